import { CSV_KINDS, writeCsv, type Book } from "@yonderfell/core";
import { BOOK } from "../../test/skarrowVale.js";
import { tableOfText, textOfFile } from "./csvText.js";
import type { TableChoices, TablePlan } from "@yonderfell/core";
import { NOW, ALL, NONE, recordsOf, silent, Opened, bytes } from "../../test/openedTables.js";

test("text is read as Unicode with and without its mark, and as older spreadsheets write it", () => {
  expect(textOfFile(bytes("Öl"))).toBe("Öl");
  expect(textOfFile(Uint8Array.of(0xd6, 0x6c))).toBe("Öl");
  expect(textOfFile(Uint8Array.of(0xff, 0xfe, 0xd6, 0x00, 0x6c, 0x00))).toBe("Öl");
  expect(textOfFile(Uint8Array.of(0x50, 0x4b, 0x00, 0x03))).toBeNull();
});

test.each([",", ";", "\t"])("rows are taken apart at %j, quotes and all", (separator) => {
  const text = `a${separator}b\r\n"1${separator} ""x""\ny"${separator}2\r\n`;
  expect(tableOfText(text).rows.slice(0, 2)).toEqual([
    ["a", "b"],
    [`1${separator} "x"\ny`, "2"],
  ]);
});

test.each(CSV_KINDS)(
  "the %s of the demonstration go out and in again without a change",
  async (kind) => {
    const opened = await Opened.with(BOOK);
    const file = await opened.tables.file("book", kind);
    const plan = await opened.plan(await file.text());
    expect(plan).toMatchObject({ kind, issueCount: 0, groups: [], sure: 0 });
    expect((plan as TablePlan).counts.same).toBe(BOOK[kind]?.length);
    const before = await opened.storage.everything();
    const { rows } = tableOfText(await file.text());
    expect(rows.slice(0, -1)).toEqual(writeCsv(before, kind));
  },
);

test("readings and entries taken out of a book are the same when they are brought in", async () => {
  // A job and the entry it was finished with name each other: neither can be there without the other.
  const logged = (BOOK.entries ?? []).filter((entry) => (entry.job ?? null) === null);
  const whole = await Opened.with({ ...BOOK, jobs: [], jobEvents: [], entries: logged });
  const before = await whole.storage.everything();
  const emptied = await Opened.with({ ...before, readings: [], entries: [] });
  const { storage, tables } = emptied;
  for (const kind of ["readings", "entries"] as const) {
    const file = await whole.tables.file("book", kind);
    await emptied.plan(await file.text());
    expect(await tables.keep("book", ALL, NOW, silent)).toMatchObject({ ok: true });
  }
  expect(await storage.everything()).toEqual(before);
  expect(await storage.takeBack(2, NOW)).toMatchObject({ ok: true });
  expect((await storage.everything()).entries).toEqual([]);
});

test("what is in doubt is brought in only where a person says so, by reason or by row", async () => {
  const file = "Machine,Date,Reading\n07,22.11.2026,10\n07,22.11.2026,11\n07,22.11.2030,12\n";
  const counts = async (choices: TableChoices): Promise<number> => {
    const opened = await Opened.with(BOOK);
    const plan = await opened.plan(file);
    expect((plan as TablePlan).groups.map(({ code, count }) => [code, count])).toEqual([
      ["figure-in-doubt", 2],
      ["in-future", 1],
    ]);
    const kept = await opened.tables.keep("book", choices, NOW, silent);
    const after = (await opened.storage.everything()).readings?.length ?? 0;
    const records = kept.ok ? recordsOf(kept.value) : -1;
    expect(records).toBe(after - (BOOK.readings?.length ?? 0));
    return records;
  };
  expect(await counts(NONE)).toBe(0);
  expect(await counts({ ...NONE, codes: ["in-future"] })).toBe(1);
  expect(await counts({ ...NONE, answers: new Map([["item 0", true]]) })).toBe(1);
  expect(await counts({ ...ALL, answers: new Map([["item 1", false]]) })).toBe(2);
});

test("machines come with their places, people and figures, and are told as what was written", async () => {
  const opened = await Opened.with(BOOK);
  const file = [
    "Unit No;Registration;Vehicle type;Current mileage (km);Date read;Responsible;Depot",
    "91;SK 91 TEN;van;84350;20.11.2026;Ina Tarn;North yard",
    "92;SK 92 TEN;van;12000;20.11.2026;ina tarn;North yard",
    "93;;trailer;;;Bo Fell;North yard",
  ].join("\n");
  const plan = (await opened.plan(file)) as TablePlan;
  expect(plan).toMatchObject({ kind: "machines", counts: { new: 3 }, issueCount: 0 });
  // One question for two machines of the same place and person, another for the third.
  expect(
    plan.groups.map(({ code, questions }) => [code, questions.map(({ count }) => count)]),
  ).toEqual([["place-unknown", [2, 1]]]);
  const kept = await opened.tables.keep("book", { ...ALL, codes: ["place-unknown"] }, NOW, silent);
  expect(kept.ok && kept.value.written).toEqual([
    { section: "places", added: 1, changed: 0 },
    { section: "people", added: 2, changed: 0 },
    { section: "machines", added: 3, changed: 0 },
    { section: "readings", added: 2, changed: 0 },
  ]);
  const after = await opened.storage.everything();
  const machines = after.machines?.slice(-3) ?? [];
  const people = after.people?.slice(-2) ?? [];
  const readings = after.readings?.slice(-2) ?? [];
  expect(people.map(({ name, initials }) => [name, initials])).toEqual([
    ["Ina Tarn", "IT"],
    ["Bo Fell", "BF"],
  ]);
  expect(machines.map(({ person }) => person)).toEqual([
    people[0]?.id,
    people[0]?.id,
    people[1]?.id,
  ]);
  expect(readings.map(({ date, value }) => [date, value])).toEqual([
    ["2026-11-20", 84350],
    ["2026-11-20", 12000],
  ]);
});

test("what follows work of earlier days is asked about once, and taken as done where it was", async () => {
  const book = {
    ...{ format: "yonderfell-book", version: 2 },
    machines: [
      {
        ...{ id: "m", tag: "41", name: "Lorry", kind: "lorry" },
        meters: [{ id: "odo", measure: "distance", unit: "km", perDay: 100 }],
      },
    ],
    tasks: [
      { id: "off", machine: "m", name: "wheels off", regimes: { handbook: [{ months: 24 }] } },
      {
        ...{ id: "nuts", machine: "m", name: "wheel nuts, torque again" },
        follows: { task: "off", meter: "odo", amount: 50 },
      },
    ],
    readings: [{ id: "r", machine: "m", meter: "odo", date: "2026-11-20", value: 90000, seq: 1 }],
  } as unknown as Book;
  const file = "Machine,Date,Work done,Odometer\n41,2026-08-03,wheels off,80000\n";
  const after = async (followUpsDone: boolean | null): Promise<unknown> => {
    const opened = await Opened.with(book);
    expect(await opened.plan(file)).toMatchObject({
      followUps: { names: ["wheel nuts, torque again"], count: 1, machines: 1 },
    });
    const kept = await opened.tables.keep("book", { ...ALL, followUpsDone }, NOW, silent);
    if (!kept.ok) return kept.issues;
    const { entries = [] } = await opened.storage.everything();
    return entries.map(({ tasks, assumed }) => [tasks, assumed ?? false]);
  };
  expect(await after(null)).toEqual([{ code: "follow-ups-not-said" }]);
  expect(await after(false)).toEqual([[["off"], false]]);
  expect(await after(true)).toEqual([
    [["off"], false],
    [["nuts"], true],
  ]);
});

test("a table is refused where the book has changed since it was looked at", async () => {
  const opened = await Opened.with(BOOK);
  const file = "Name,Number\nBelt,X-1\n";
  await opened.plan(file);
  await opened.storage.apply({ command: "else", records: [] }, NOW);
  const kept = await opened.tables.keep("book", ALL, NOW, silent);
  expect(kept).toEqual({ ok: false, issues: [{ code: "book-changed" }] });
});
