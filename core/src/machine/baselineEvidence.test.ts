import { bookOf, done, read, task, VAN } from "../../test/books.js";
import { machineBookOf } from "../book/slice/machineBook.js";
import type { MachineId } from "../book/records/ids.js";
import { dayOf } from "../calendar/dayNumber.js";
import { CHECKLIST_LIBRARY } from "../inspect/library/index.js";
import { baselineEvidence, type BaselineFound } from "./baselineEvidence.js";

const TODAY = dayOf("2026-11-23");
const LIST = CHECKLIST_LIBRARY.find(({ name }) => name.startsWith("Taking on"));
if (LIST === undefined) throw new Error("there is a list for taking on");
const [LOOK, SMELL] = (LIST.checks ?? []).filter(({ fluid }) => fluid === "engine oil");
const PARTICLES = (LIST.checks ?? []).find(({ name }) => name.includes("particles"));

const OIL = { id: "f-oil", machine: "van", system: "engine", kind: "engine oil" };
const TASK = task("oil", [{ months: 12 }], { uses: [{ fluid: "f-oil" }] });

interface Looked {
  readonly check: string | undefined;
  readonly verdict: string;
  readonly picked?: string;
  readonly readings?: readonly object[];
}

const walked = (date: string, results: readonly Looked[]): object => ({
  ...{ id: `n-${date}`, seq: dayOf(date), machine: "van", checklist: LIST.id, date, results },
});

function found(
  rounds: readonly object[],
  { entries = [], samples = [] }: { readonly entries?: object[]; readonly samples?: object[] } = {},
): BaselineFound | null {
  const book = bookOf({
    ...{ machines: [VAN], tasks: [TASK], rounds, entries },
    readings: [read("2026-11-20", 80000, { seq: 1 })],
  });
  const own = machineBookOf(book, "van" as MachineId);
  const [oil] = own?.tasks ?? [];
  if (own === null || oil === undefined) throw new Error("the van has its oil");
  const sources = { fluids: [OIL], checklists: [LIST], samples } as never;
  return baselineEvidence(oil, own, sources, TODAY);
}

const low = { check: LOOK?.id, verdict: "attend", picked: "low" };
const dark = { check: LOOK?.id, verdict: "watch", picked: "dark" };
const milky = { check: LOOK?.id, verdict: "attend", picked: "milky or rusty" };
const clear = { check: LOOK?.id, verdict: "sound", picked: "at its mark, clear" };
const smells = { check: SMELL?.id, verdict: "sound", picked: "of itself" };
const burnt = { check: SMELL?.id, verdict: "attend", picked: "burnt" };

test("nothing speaks of a task that nobody looked at; papers alone do not", () => {
  expect(found([])).toBeNull();
  expect(found([], { entries: [done("e", "2025-01-01", ["oil"])] })).toBeNull();
});

test("all sound: it is left", () => {
  expect(found([walked("2026-11-20", [clear, smells])])).toMatchObject({
    ...{ proposed: "leave", isConflict: false },
    evidence: [
      { rank: "level", found: "at its mark, clear" },
      { rank: "smell", found: "of itself" },
    ],
  });
});

test.each([
  ["dark", [dark, smells], "drain and fill", "colour"],
  ["milky", [milky, smells], "flush", "colour"],
  ["burnt though clear", [clear, burnt], "drain and fill", "smell"],
  ["dark and burnt", [burnt, dark], "drain and fill", "colour"],
  ["low and burnt", [burnt, low], "drain and fill", "level"],
])("%s: by the first that is not sound", (_, results, proposed, rank) => {
  const one = found([walked("2026-11-20", results)]);
  expect(one?.proposed).toBe(proposed);
  expect(one?.evidence.find(({ verdict }) => verdict !== "sound")?.rank).toBe(rank);
});

test("papers that say it is fresh do not outweigh what is seen; that they disagree is said", () => {
  const entries = [done("e", "2026-10-01", ["oil"], { note: "stamp in the book" })];
  const one = found([walked("2026-11-20", [milky])], { entries });
  expect(one).toMatchObject({ proposed: "flush", isConflict: true });
  expect(one?.evidence.at(-1)).toMatchObject({ rank: "history", found: "stamp in the book" });
});

test("the latest look counts, and one that was not looked at says nothing", () => {
  const rounds = [walked("2026-10-01", [milky]), walked("2026-11-20", [clear])];
  expect(found(rounds)?.proposed).toBe("leave");
  const shut = { check: LOOK?.id, verdict: "left closed" };
  expect(found([walked("2026-11-20", [shut])])).toBeNull();
});

test("flakes are attended to at once; a sample is a test", () => {
  const flakes = { check: PARTICLES?.id, verdict: "stop", picked: "flakes or chips" };
  const list = found([walked("2026-11-20", [clear, flakes])]);
  expect(list).toMatchObject({ proposed: "do now", isConflict: true });
  expect(list?.evidence.map(({ rank }) => rank)).toEqual(["level", "particles"]);
  const result = { on: "2026-11-10", values: { iron: 200 }, limits: { iron: { stop: 150 } } };
  const sample = {
    ...{ id: "s", seq: 9, machine: "van", fluid: "f-oil", date: "2026-11-01", label: "V1/1" },
    ...{ meter: "odo", oilLife: 9000, result },
  };
  const one = found([walked("2026-11-20", [clear])], { samples: [sample] });
  expect(one).toMatchObject({ proposed: "do now", isConflict: true });
  expect(one?.evidence[1]).toMatchObject({ rank: "test", what: "sample V1/1", verdict: "stop" });
});
