/** @jest-environment jsdom */
import "@testing-library/jest-dom";
import { cleanup, render, screen } from "@testing-library/react";
import { At, layOutAsOnADesk, openBook } from "../../../../test/openedBook.js";
import { BOOK } from "../../../../test/skarrowVale.js";
import SystemPage from "./SystemPage.js";

layOutAsOnADesk();
afterEach(cleanup);

const LABEL = "25/8";
const ONLINE = {
  ...BOOK,
  samples: (BOOK.samples ?? []).map((sample) =>
    sample.label === LABEL ? { ...sample, online: true } : sample,
  ),
};

/** A laboratory that answers every question alike. */
function laboratory(told: object | null): void {
  const reply = {
    ...{ ok: told !== null, status: 200, json: () => Promise.resolve(told) },
    headers: new Headers({ "content-type": told === null ? "text/html" : "application/json" }),
  };
  globalThis.fetch = (() => Promise.resolve(reply)) as unknown as typeof fetch;
}

const REPORT = { label: LABEL, known: true, laboratory: "Corrie", simulated: true, answers: [] };

async function shown(): Promise<void> {
  await openBook(ONLINE);
  render(
    <At path="/rounds/samples/:machineId/:fluidId" address="/rounds/samples/m-carrier/f-carr-oil">
      <SystemPage />
    </At>,
  );
}

test.each<[string, object | null, RegExp]>([
  ["is late", { ...REPORT, promised: "2020-01-01T08:00:00Z" }, /^Late: Corrie promised it for/],
  ["is at it", { ...REPORT, promised: "2099-01-01T08:00:00Z" }, /^Corrie promises it for/],
  ["knows nothing of it", { label: LABEL, known: false }, /knows nothing of this label/],
  ["is not there", null, /cannot be reached from here/],
])("a laboratory that %s says so", async (_, told, words) => {
  laboratory(told);
  await shown();
  expect(await screen.findByText(words)).toBeInTheDocument();
});
