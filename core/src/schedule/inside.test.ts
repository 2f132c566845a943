import { bookOf, done, task } from "../../test/books.js";
import { dayOf, formatDay } from "../calendar/dayNumber.js";
import { readBook } from "../book/file/readBook.js";
import { machineBookOf } from "../book/slice/machineBook.js";
import { machinePlateOf } from "../book/slice/machinePlate.js";
import type { MachineId } from "../book/records/ids.js";
import { insideOf, plateNow } from "./inside.js";
import { reckonBook } from "./reckonBook.js";

const VAN = "van" as MachineId;
const ON = dayOf("2026-11-23");
const filled = (product: string, more: object = {}): object => ({
  fluids: [{ fluid: "sump", product, in: { value: 5, unit: "L" }, ...more }],
});

function bookWith(entries: readonly object[]) {
  const read = readBook(
    JSON.stringify(
      bookOf({
        tasks: [
          task(
            "oil",
            [
              { months: 6, for: ["mineral"] },
              { months: 24, for: ["full synthetic"] },
            ],
            {
              uses: [{ fluid: "sump" }],
            },
          ),
          task("wash", [{ days: 30 }]),
        ],
        fluids: [
          { id: "sump", machine: "van", system: "engine", kind: "engine oil", product: "plate" },
        ],
        products: [
          { id: "plate", name: "Plate", kind: "engine oil" },
          { id: "fell", name: "Fellmaster", kind: "engine oil", base: "mineral" },
          { id: "tarn", name: "Tarnside", kind: "engine oil", base: "full synthetic" },
        ],
        entries,
      }),
    ),
  );
  if (!read.ok) throw new Error(JSON.stringify(read.issues[0]));
  return read.value;
}

/** What is in the sump, and since when by the log. */
function inSump(entries: readonly object[]): string {
  const book = bookWith(entries);
  const own = machineBookOf(book, VAN);
  if (own === null) throw new Error("it has the van");
  const found = insideOf(machinePlateOf(book, VAN), own, ON).get("sump" as never);
  expect(plateNow(machinePlateOf(book, VAN), own, ON).fluids[0]?.product).toBe(found?.product);
  return `${found?.product} ${found?.by?.date ?? "by the plate"}`;
}

const FELL = done("e1", "2025-05-01", ["oil"], filled("fell"));
const TARN = done("e2", "2026-05-01", ["oil"], filled("tarn"));

test.each([
  ["nothing by the log", [], "plate by the plate"],
  ["the latest that went in", [TARN, FELL], "tarn 2026-05-01"],
  ["not a top-up", [FELL, { ...TARN, isTopUp: true }], "fell 2025-05-01"],
  ["not with work that does not use it", [FELL, { ...TARN, tasks: ["wash"] }], "fell 2025-05-01"],
  [
    "not what only came out",
    [FELL, { ...TARN, ...filled("tarn", { in: null }) }],
    "fell 2025-05-01",
  ],
  ["not what is to come", [FELL, { ...TARN, date: "2026-12-01" }], "fell 2025-05-01"],
  [
    "not what was void",
    [FELL, TARN, { ...TARN, id: "v", replaces: "e2", void: true }],
    "fell 2025-05-01",
  ],
  [
    "as it was corrected",
    [FELL, TARN, { ...TARN, id: "c", replaces: "e2", ...filled("fell") }],
    "fell 2026-05-01",
  ],
])("in the system is %s", (_name, entries, expected) => {
  expect(inSump(entries)).toBe(expected);
});

test("limits by product follow what the log has put in, also on an earlier day", () => {
  const book = bookWith([FELL, TARN]);
  const dueOn = (on: string): (string | null)[] => {
    const limits = reckonBook(book, dayOf(on))[0]?.tasks[0]?.limits ?? [];
    return limits.map((limit) =>
      limit.kind === "calendar" && limit.dueOn !== null ? formatDay(limit.dueOn) : null,
    );
  };
  expect(dueOn("2026-11-23")).toEqual(["2028-05-01"]);
  expect(dueOn("2025-11-23")).toEqual(["2025-11-01"]);
});
