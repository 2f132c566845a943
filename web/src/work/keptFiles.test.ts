import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { dayOf, reckonBook, SECTIONS } from "@yonderfell/core";
import { MemoryStorage } from "../../test/memoryStorage.js";
import { Exchange } from "./exchange.js";

/** Files as past versions of the program have written them: they are never written again, and open for good. */
const FOLDER = join(__dirname, "../../test/kept");

/** The day the kept files were written on. */
const DAY = dayOf("2026-11-24");

/** What each file held when it was written: records by section, and tasks by how they stood on that day. */
const HELD: Readonly<Record<string, { readonly records: object; readonly standing: object }>> = {
  "book-1.yonderfell.zip": {
    records: {
      ...{ machines: 15, tasks: 98, readings: 1137, meterChanges: 1, entries: 191, visits: 3 },
      ...{ fluids: 42, servicePoints: 24, specifications: 41, fitments: 21, journeys: 2 },
      ...{ parts: 20, products: 10, people: 2, bays: 2, places: 4 },
    },
    standing: { clear: 62, due: 12, finished: 1, overdue: 4, soon: 13, unknown: 6 },
  },
};

test("every file that is kept is looked at", () => {
  expect(readdirSync(FOLDER).sort()).toEqual(Object.keys(HELD).sort());
});

test.each(Object.entries(HELD))(
  "%s opens as it was written, and says the same of its day",
  async (name, { records, standing }) => {
    const storage = new MemoryStorage();
    const files = new Exchange(() => storage);
    const looked = await files.look(new Blob([readFileSync(join(FOLDER, name))]), DAY);
    if (!looked.ok) throw new Error(looked.issues.join("\n"));
    expect(looked.value.changed).toEqual([]);
    expect(await files.keep("kept", () => undefined)).toBe(true);
    const book = await storage.everything();
    const counts = SECTIONS.map((section) => [section, book[section]?.length ?? 0] as const);
    expect(Object.fromEntries(counts.filter(([, count]) => count > 0))).toEqual(records);
    expect(await storage.picturesInUse()).toHaveLength(1);
    const stands: Record<string, number> = {};
    for (const { status } of reckonBook(book, DAY).flatMap(({ tasks }) => tasks)) {
      stands[status] = (stands[status] ?? 0) + 1;
    }
    expect(stands).toEqual(standing);
  },
);
