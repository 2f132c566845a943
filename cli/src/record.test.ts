import { mkdtempSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import {
  dayOf,
  hashOf,
  issueRecord,
  makeRecord,
  recordText,
  type MachineId,
  type RecordContent,
} from "@yonderfell/core";
import { demonstrationBook } from "@yonderfell/demo";
import { zipSync } from "fflate";
import { run } from "./run.js";

const TODAY = dayOf("2026-11-23");
const FOLDER = mkdtempSync(join(tmpdir(), "yonderfell-record-"));

function file(name: string, bytes: Uint8Array | string): string {
  const path = join(FOLDER, name);
  writeFileSync(path, bytes);
  return path;
}

const bytes = (text: string): Uint8Array => new TextEncoder().encode(text);
const PICTURE = bytes("a picture");
const TABLE = bytes("Date,Kind\r\n");

/** The record of the demonstration's hatchback, with one picture at its first line. */
function record(): string {
  const made = makeRecord(demonstrationBook(TODAY), {
    ...{ machine: "m-hatch" as MachineId, from: dayOf("2000-01-01"), to: TODAY },
    ...{ issued: TODAY, book: "Skarrow Vale" },
  }) as RecordContent;
  const pictures = [{ hash: hashOf(PICTURE) }];
  const lines = made.lines.map((line, index) => (index === 0 ? { ...line, pictures } : line));
  return recordText(issueRecord({ ...made, lines }, hashOf(TABLE)));
}

const TEXT = record();
const zipped = (change: Record<string, Uint8Array> = {}): Uint8Array =>
  zipSync({
    "record.json": bytes(TEXT),
    "record.csv": TABLE,
    [`pictures/${hashOf(PICTURE)}.jpg`]: [PICTURE, { level: 0 }],
    ...change,
  });
const verify = (path: string, ...more: string[]): ReturnType<typeof run> =>
  run(["record", "verify", path, ...more], TODAY);

test("a record is as issued, alone and in its zip, and its digest is said", () => {
  for (const path of [file("record.json", TEXT), file("record.zip", zipped())]) {
    const { status, output } = verify(path);
    expect([status, output]).toEqual([0, expect.stringContaining("\nAs issued.\nSHA-256 ")]);
    expect(output).toContain("H1 Hatchback, issued 2026-11-23");
    expect(TEXT).toContain(/SHA-256 (\w{64})/.exec(output)?.[1]);
  }
});

test("what was changed since is named, in words and as JSON", () => {
  const { lines } = JSON.parse(TEXT) as { lines: { date: string }[] };
  const text = TEXT.replace("Tarnside Semi", "Tarnside Full");
  const at = lines.findIndex((line) => JSON.stringify(line).includes("Tarnside Semi"));
  const changed = file("changed.zip", zipped({ "record.json": bytes(text) }));
  expect(verify(changed).output).toContain(
    `Changed since it was issued:\n  line ${at + 1}, of ${lines[at]?.date}`,
  );
  expect(JSON.parse(verify(changed, "--json").output)).toMatchObject({
    asIssued: false,
    changed: [{ code: "line", at: at + 1 }],
  });
  const other = file("other.zip", zipped({ "record.csv": bytes("Date\r\n") }));
  expect(verify(other).output).toMatch(/record\.csv$/);
});

test("no byte of what a zip holds can be changed unseen", () => {
  const whole = zipped();
  const plain = verify(file("whole.zip", whole), "--json").output;
  const seen = { other: 0, same: 0 };
  for (let at = 0; at < whole.length; at += 7) {
    const broken = whole.slice();
    broken[at] = (broken[at] ?? 0) ^ 1;
    const { status, output } = verify(file("broken.zip", broken), "--json");
    // What tells of the packing, such as the time of a file, holds nothing that was issued.
    if (status === 0 && output === plain) seen.same += 1;
    else seen.other += 1;
  }
  expect(seen.same).toBeLessThan(80);
  expect(seen.other).toBeGreaterThan((whole.length / 7) * 0.9);
});

test.each<[string, string[], RegExp]>([
  ["no file", ["record", "verify"], /record: expected verify and one file/],
  ["another word", ["record", "make", "x"], /record: expected verify and one file/],
  ["a file that is not there", ["record", "verify", "none.zip"], /there is no such file/],
  ["another file", ["record", "verify", file("a.txt", "hello")], /expected a service record/],
  ["a broken zip", ["record", "verify", file("b.zip", "PK hello")], /its zip is damaged/],
  [
    "another zip",
    ["record", "verify", file("c.zip", zipSync({ "a.txt": TABLE }))],
    /expected a service record/,
  ],
])("%s is refused with what was expected", (_what, words, expected) => {
  const { status, complaint } = run(words, TODAY);
  expect(status).toBe(2);
  expect(complaint).toMatch(expected);
});
