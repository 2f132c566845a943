import { mkdtempSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import request from "supertest";
import { createApp } from "../app.js";
import { LABORATORY, type LabMood } from "./laboratory.js";

const webFolder = mkdtempSync(join(tmpdir(), "yonderfell-web-"));
writeFileSync(join(webFolder, "index.html"), "<!doctype html><title>Yonderfell</title>");

interface Told {
  readonly promised: string;
  readonly simulated: boolean;
  readonly answers: readonly {
    readonly number: number;
    readonly figures: readonly { readonly name: string; readonly unit: string }[];
  }[];
}

const SAMPLES = "/stand-ins/laboratory/samples";

/** A laboratory of one mood, with a clock of its own. */
function laboratory(mood: LabMood) {
  let now = Date.parse("2026-11-23T08:00:00Z");
  const options = { clock: () => now, takes: 1000, again: 500, moodOf: () => mood };
  const app = createApp({ webFolder, opensDemonstration: false, laboratory: options });
  return {
    send: (body: object) => request(app).post(SAMPLES).send(body),
    ask: (label = "07/1") => request(app).get(`${SAMPLES}/${encodeURIComponent(label)}`),
    later: (by: number) => (now += by),
  };
}

const SENT = { label: "07/1", oilLife: 120 };

test("a sample is promised, awaited and answered under its label", async () => {
  const { send, ask, later } = laboratory("plain");
  const sent = await send(SENT).expect(202);
  const told = sent.body as Told;
  expect(told).toMatchObject({ promised: "2026-11-23T08:00:01.000Z", simulated: true });
  later(999);
  expect(((await ask()).body as Told).answers).toEqual([]);
  later(1);
  const [answer, ...more] = ((await ask()).body as Told).answers;
  expect(more).toEqual([]);
  expect(answer?.figures.find(({ name }) => name === "water")?.unit).toBe("percent");
  expect(((await ask()).body as Told).answers).toEqual([answer]);
});

test("it may be late, write another unit, answer twice, or lose what it was sent", async () => {
  const late = laboratory("late");
  await late.send(SENT);
  late.later(2999);
  expect(((await late.ask()).body as Told).answers).toEqual([]);
  late.later(1);
  expect(((await late.ask()).body as Told).answers).toHaveLength(1);

  const other = laboratory("other-unit");
  await other.send(SENT);
  other.later(1000);
  const [answer] = ((await other.ask()).body as Told).answers;
  expect(answer?.figures.find(({ name }) => name === "water")?.unit).toBe("ppm");

  const twice = laboratory("twice");
  await twice.send(SENT);
  twice.later(1000);
  expect(((await twice.ask()).body as Told).answers).toHaveLength(1);
  twice.later(500);
  const answers = ((await twice.ask()).body as Told).answers;
  expect(answers.map(({ number }) => number)).toEqual([1, 2]);
  expect(answers[0]?.figures).not.toEqual(answers[1]?.figures);

  const lost = laboratory("lost");
  await lost.send(SENT);
  expect((await lost.ask()).body).toMatchObject({ known: true });
  lost.later(1000);
  expect((await lost.ask()).body).toEqual({ label: "07/1", known: false, simulated: true });
});

test("what bears no label is refused, and what was never sent is not known", async () => {
  const { send, ask } = laboratory("plain");
  await send({ oilLife: 10 }).expect(400, { code: "label-missing" });
  await send({ label: "x".repeat(81) }).expect(400);
  expect((await ask("other")).body).toMatchObject({ label: "other", known: false });
});

test("most samples are dealt with as they should be, some in each of the other ways", () => {
  const moods = Array.from({ length: 200 }, (_, at) => LABORATORY.moodOf(`07/${at}`));
  for (const mood of ["late", "other-unit", "twice", "lost"]) expect(moods).toContain(mood);
  expect(moods.filter((mood) => mood === "plain").length).toBeGreaterThan(100);
});
