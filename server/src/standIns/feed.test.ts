import { mkdtempSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import request from "supertest";
import { createApp } from "../app.js";

const webFolder = mkdtempSync(join(tmpdir(), "yonderfell-web-"));
writeFileSync(join(webFolder, "index.html"), "<!doctype html><title>Yonderfell</title>");
const app = createApp({ webFolder, opensDemonstration: false });

const box = (machine: string, more: object = {}): object => ({
  ...{ machine, meter: "odo", unit: "km", perDay: 60 },
  dial: [{ on: "2026-11-01", value: 1000 }],
  ...more,
});

interface Line {
  readonly machine: string;
  readonly date: string;
  readonly value: number;
  readonly unit: string;
  readonly source: string;
}

const ask = async (body: object): Promise<Line[]> => {
  const answer = await request(app)
    .post("/stand-ins/feed")
    .send({ until: "2026-11-15", ...body })
    .buffer(true)
    .parse((response, done) => {
      let text = "";
      response.on("data", (part: Buffer) => (text += part.toString("utf8")));
      response.on("end", () => done(null, text));
    })
    .expect(200);
  return (answer.body as string)
    .trimEnd()
    .split("\n")
    .map((line) => JSON.parse(line) as Line);
};

test("it says that it is simulated", async () => {
  const answer = await request(app).get("/stand-ins/feed");
  expect(answer.body).toEqual({ feed: "Dale boxes (simulated)", simulated: true });
});

test("a box tells a figure a day, with a gap, and one of them twice", async () => {
  const lines = await ask({ boxes: [box("18")] });
  const days = lines.map(({ date }) => Number(date.slice(-2)));
  expect(days).toEqual([2, 3, 6, 7, 7, 8, 9, 10, 11, 12, 13, 14, 15]);
  const values = lines.map(({ value }) => value);
  expect(values).toEqual(values.toSorted((one, other) => one - other));
  expect(lines.every(({ source, unit }) => source === "feed" && unit === "km")).toBe(true);
  expect(await ask({ boxes: [box("18")] })).toEqual(lines);
});

test("the second jumps once, the third says another unit once", async () => {
  const lines = await ask({ boxes: [box("18"), box("05"), box("15")] });
  const of = (machine: string): Line[] => lines.filter((line) => line.machine === machine);
  const jumps = of("05").filter(({ value }) => value > 9000);
  expect(jumps.map(({ date }) => date)).toEqual(["2026-11-06"]);
  expect(of("15").filter(({ unit }) => unit === "mi")).toHaveLength(1);
});

test("between what was read it keeps to it, and on those days is a little ahead", async () => {
  const dial = [
    { on: "2026-11-01", value: 1000 },
    { on: "2026-11-11", value: 1500 },
  ];
  const lines = await ask({ boxes: [box("18"), box("05", { dial })] });
  const own = lines.filter(({ machine }) => machine === "05");
  expect(own.find(({ date }) => date === "2026-11-02")?.value).toBe(1050);
  expect(own.find(({ date }) => date === "2026-11-11")?.value).toBe(1502);
});

test("as a table it is the same, with what needs quotes in quotes", async () => {
  const body = { until: "2026-11-03", as: "csv", boxes: [box('Ferry, "old"')] };
  const { text } = await request(app).post("/stand-ins/feed").send(body);
  expect(text.split("\n").slice(0, 2)).toEqual([
    "machine,meter,date,value,unit,source",
    '"Ferry, ""old""",odo,2026-11-02,1060,km,feed',
  ]);
});

test.each([
  [{}],
  [{ boxes: [], until: "soon" }],
  [{ boxes: [{ machine: "18" }], until: "2026-11-15" }],
  [{ boxes: [box("18", { unit: "league" })], until: "2026-11-15" }],
  [{ boxes: [box("18", { dial: [{ on: "2026-11-01", value: -1 }] })], until: "2026-11-15" }],
])("what names no boxes or days is refused: %j", async (body) => {
  const answer = await request(app).post("/stand-ins/feed").send(body).expect(400);
  expect(answer.body).toEqual({ code: "boxes-missing" });
});
