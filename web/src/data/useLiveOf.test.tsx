/** @jest-environment jsdom */
import "@testing-library/jest-dom";
import { render, screen } from "@testing-library/react";
import type { ReactElement } from "react";
import { useLiveOf } from "./useLiveOf.js";

const FIGURES: Readonly<Record<string, number>> = { bus: 677, mower: 2028 };

/** Every figure that ever stood under the name of a machine. */
const seen: string[] = [];

function Shown({ machine }: { readonly machine: string }): ReactElement {
  const figure = useLiveOf(machine, () => Promise.resolve(FIGURES[machine]), []);
  seen.push(`${machine}: ${figure ?? "…"}`);
  return <p>{`${machine}: ${figure ?? "…"}`}</p>;
}

test("where another machine is asked for, the figure of the one before never stands under its name", async () => {
  const { rerender } = render(<Shown machine="bus" />);
  await screen.findByText("bus: 677");
  rerender(<Shown machine="mower" />);
  await screen.findByText("mower: 2028");
  expect(seen).toContain("mower: …");
  expect(seen).not.toContain("mower: 677");
});
