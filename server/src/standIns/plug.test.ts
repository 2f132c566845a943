import { mkdtempSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { serve } from "../serve.js";
import { simulatedEngine, type PlugReading } from "./simulatedEngine.js";

const webFolder = mkdtempSync(join(tmpdir(), "yonderfell-web-"));
writeFileSync(join(webFolder, "index.html"), "<!doctype html><title>Yonderfell</title>");

test("the simulated machine warms up in a few minutes and comes down to its idle", () => {
  const at = (seconds: number): PlugReading => simulatedEngine(seconds, []);
  expect(at(0)).toMatchObject({ temperature: 14, revolutions: 1150, volts: 14.4 });
  expect(at(100).temperature).toBeGreaterThan(35);
  expect(at(100).temperature).toBeLessThan(45);
  expect(at(300).temperature).toBeGreaterThan(60);
  expect(at(3600)).toMatchObject({ temperature: 92 });
  expect(Math.abs(at(3600).revolutions - 760)).toBeLessThanOrEqual(8);
});

/** Reads a stream until so many of its readings have come; the rest of it is left. */
async function readings(address: string, count: number): Promise<string[]> {
  const leave = new AbortController();
  const response = await fetch(`${address}stand-ins/plug`, { signal: leave.signal });
  expect(response.headers.get("content-type")).toBe("text/event-stream");
  expect(response.headers.get("content-encoding")).toBeNull();
  let text = "";
  const decoder = new TextDecoder();
  for await (const part of response.body ?? []) {
    text += decoder.decode(part, { stream: true });
    if (text.split("event: reading").length > count && text.endsWith("\n\n")) break;
  }
  leave.abort();
  return text.split("\n\n").filter((event) => event !== "");
}

const readingOf = (event: string | undefined): PlugReading =>
  JSON.parse((event ?? "").split("data: ")[1] ?? "null") as PlugReading;

test("the plug says that it is simulated, then what it reads, again and again", async () => {
  const plug = { codes: ["A 1"], every: 5 };
  const serving = await serve({ webFolder, opensDemonstration: false, plug }, 0);
  try {
    const [first, ...told] = await readings(serving.address, 2);
    expect(first).toBe('event: plug\ndata: {"name":"Simulated diagnostic plug","simulated":true}');
    expect(told.map(readingOf)[0]).toMatchObject({ temperature: 14, codes: ["A 1"] });
    expect(told.length).toBeGreaterThanOrEqual(2);
  } finally {
    await serving.stop();
  }
});

test("whoever comes later reads the same machine, which is cold again when nobody read it for long", async () => {
  let now = 1_000_000;
  const plug = { clock: () => now, every: 3_600_000 };
  const serving = await serve({ webFolder, opensDemonstration: false, plug }, 0);
  const read = async (): Promise<number> =>
    readingOf((await readings(serving.address, 1))[1]).temperature;
  try {
    expect(await read()).toBe(14);
    now += 100_000;
    expect(await read()).toBeGreaterThan(35);
    now += 700_000;
    expect(await read()).toBe(14);
  } finally {
    await serving.stop();
  }
});

test("streams that are open end when the server stops", async () => {
  // Patience without end: the stream itself must end, not be cut off.
  const serving = await serve({ webFolder, opensDemonstration: false }, 0, undefined, 2 ** 30);
  const response = await fetch(`${serving.address}stand-ins/plug`);
  const all = response.text();
  await serving.stop();
  expect(await all).toContain("event: plug");
});
