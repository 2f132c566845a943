import {
  machineBookOf,
  machinePlateOf,
  plannedWork,
  settingsOf,
  type Entry,
  type MachineId,
  type PlannedWork,
} from "@yonderfell/core";
import { BOOK, TODAY } from "../../../../test/skarrowVale.js";
import type { WorkSource } from "../../../session/useWorkSource.js";
import { logOutlook } from "./logModel.js";
import {
  formTookOf,
  NOTHING_TOOK,
  notYetTaken,
  refilled,
  repersoned,
  takenAsPlanned,
  tookFrom,
  withoutDropped,
  type FormTook,
} from "./tookModel.js";

const BUS = "m-bus" as MachineId;

function source(): WorkSource {
  const book = machineBookOf(BOOK, BUS);
  if (book === null) throw new Error("Skarrow Vale has a library bus");
  return {
    book,
    plate: machinePlateOf(BOOK, BUS),
    parts: BOOK.parts ?? [],
    products: BOOK.products ?? [],
    people: BOOK.people ?? [],
    stockMoves: BOOK.stockMoves ?? [],
    settings: BOOK.settings,
  };
}

const plan = (...tasks: string[]): PlannedWork =>
  plannedWork(
    source().book.tasks.filter(({ id }) => tasks.includes(id)),
    source(),
  );
const read = (took: FormTook): ReturnType<typeof tookFrom> => tookFrom(took, null);
const wrong = (took: Partial<FormTook>): string[] =>
  read({ ...NOTHING_TOOK, ...took }).issues.map(({ field, what }) => `${field} ${what}`);

test("as planned takes all that the tasks are known to take, once", () => {
  const oil = plan("t-bus-oil");
  expect(oil.fluids.length).toBeGreaterThan(0);
  expect(oil.parts.length).toBeGreaterThan(0);
  const taken = takenAsPlanned(oil, NOTHING_TOOK);
  expect(takenAsPlanned(oil, taken)).toEqual(taken);
  expect(notYetTaken(oil, taken)).toMatchObject({ fluids: [], parts: [] });
  const { took, issues } = read(taken);
  expect(issues).toEqual([]);
  expect(took.fluids).toMatchObject([
    { fluid: "f-bus-oil", in: { value: 12.6, unit: "L" }, product: "p-fell-15w40" },
  ]);
  expect(took.parts?.map(({ count }) => count)).toEqual(oil.parts.map(({ count }) => count));
});

test("what was taken as planned goes with its task, what was changed stays", () => {
  const oil = plan("t-bus-oil");
  const none = plan();
  const taken = takenAsPlanned(oil, NOTHING_TOOK);
  expect(withoutDropped(taken, oil, none)).toEqual(NOTHING_TOOK);
  const changed = { ...taken, fluids: taken.fluids.map((row) => ({ ...row, in: "12.8" })) };
  expect(withoutDropped(changed, oil, none)).toEqual({ ...changed, parts: [] });
  expect(withoutDropped(taken, oil, oil)).toEqual(taken);
});

test("an entry comes back from the form as it was, with what the form does not show", () => {
  const entry = {
    id: "e",
    machine: BUS,
    date: "2026-01-01",
    fluids: [
      {
        fluid: "f-bus-oil",
        product: "p-fell-15w40",
        condition: "with filter",
        in: { value: 3, unit: "us-gal", typed: "3 gal" },
        out: { value: 11, unit: "L" },
        onMark: true,
        price: 10 / 3,
        from: "stock",
        batch: "B 7",
      },
      { fluid: "f-bus-oil", in: { value: 1, unit: "L" } },
    ],
    parts: [{ part: "pa", count: 2, price: 1 / 3, from: "supplied", seen: true }],
    work: [{ person: "A. Stranger", minutes: 12.5, rate: 100 / 7, at: "shed" }],
    costs: [{ what: "credit", amount: -12.25, kind: "shop" }, { what: "unpriced" }],
    closes: ["fd"],
    warranty: true,
  } as unknown as Entry;
  const { took, issues } = read(formTookOf(entry));
  expect(issues).toEqual([]);
  expect(took).toMatchObject({ isTopUp: false, warranty: true, closes: ["fd"] });
  const bought = { from: "bought" };
  expect(took.fluids).toEqual([entry.fluids?.[0], { ...entry.fluids?.[1], ...bought }]);
  expect(took.parts).toEqual(entry.parts);
  expect(took.work).toEqual(entry.work);
  expect(took.costs).toEqual(entry.costs);
});

test("what cannot be read is named with its place", () => {
  const [fluid] = takenAsPlanned(plan("t-bus-oil"), NOTHING_TOOK).fluids;
  if (fluid === undefined) throw new Error("the bus has an engine");
  expect(
    wrong({
      fluids: [
        { ...fluid, in: "much" },
        { ...fluid, in: "", out: "" },
        { ...fluid, fluid: "", price: "-1" },
        { ...fluid, in: "5 Nm" },
      ],
    }),
  ).toEqual([
    "fluids.0.in amount-wrong",
    "fluids.1.in nothing-moved",
    "fluids.2.fluid system-missing",
    "fluids.2.price price-wrong",
    "fluids.3.in amount-wrong",
  ]);
  const part = { part: "", count: "0", price: "x", from: "bought", kept: "" } as const;
  expect(wrong({ parts: [part] })).toEqual([
    "parts.0.part part-missing",
    "parts.0.count count-wrong",
    "parts.0.price price-wrong",
  ]);
  expect(wrong({ work: [{ person: "", minutes: "", rate: "", kept: "" }] })).toEqual([
    "work.0.person person-missing",
    "work.0.minutes minutes-wrong",
  ]);
  expect(wrong({ costs: [{ what: " ", amount: "free", kind: "", kept: "" }] })).toEqual([
    "costs.0.what what-missing",
    "costs.0.amount cost-wrong",
  ]);
});

test("another product brings its price, another person the rate", () => {
  const [fluid] = takenAsPlanned(plan("t-bus-oil"), NOTHING_TOOK).fluids;
  if (fluid === undefined) throw new Error("the bus has an engine");
  const other = refilled({ ...fluid, product: "p-tarn-5w30" }, source());
  expect(other.product).toBe("p-tarn-5w30");
  expect(other.price).not.toBe(fluid.price);
  const row = repersoned({ person: "pe-rigg", minutes: "30", rate: "", kept: "" }, source());
  expect(row.rate).toBe("38");
});

test("an amount over 5 % off the working capacity needs a word, and a word is enough", () => {
  const [row] = takenAsPlanned(plan("t-bus-oil"), NOTHING_TOOK).fluids;
  if (row === undefined) throw new Error("an oil change takes oil");
  const asked = (amount: string, note: string): string[] => {
    const form = {
      ...{ date: "2026-11-23", tasks: ["t-bus-oil"], tests: [], papers: [] },
      ...{ followUps: "" as const, figures: [], note },
      took: { ...NOTHING_TOOK, fluids: [{ ...row, in: amount }] },
    };
    const around = { settings: settingsOf(BOOK), today: TODAY, correcting: null, work: source() };
    return logOutlook(source().book, form, around).issues.map(({ code }) => code);
  };
  expect(asked("12.6 L", "")).toEqual([]);
  // 5 % off 12.6 L is 13.23 L and 11.97 L.
  expect(asked("13.2", "")).toEqual([]);
  expect(asked("13.3", "")).toEqual(["needs-a-word"]);
  expect(asked("11.9", "")).toEqual(["needs-a-word"]);
  expect(asked("13.3", "the cooler was off")).toEqual([]);
});

test("a product that is wrong for the system needs a word, and a word is enough", () => {
  const [row] = takenAsPlanned(plan("t-bus-oil"), NOTHING_TOOK).fluids;
  if (row === undefined) throw new Error("an oil change takes oil");
  const asked = (product: string, note: string): string[] => {
    const form = {
      ...{ date: "2026-11-23", tasks: ["t-bus-oil"], tests: [], papers: [] },
      ...{ followUps: "" as const, figures: [], note },
      took: { ...NOTHING_TOOK, fluids: [{ ...row, product, in: "12.6 L" }] },
    };
    const around = { settings: settingsOf(BOOK), today: TODAY, correcting: null, work: source() };
    return logOutlook(source().book, form, around).issues.map(({ code }) => code);
  };
  expect(asked("p-cool-oat", "")).toEqual(["wrong-product"]);
  expect(asked("p-cool-oat", "taken for oil, drained at once")).toEqual([]);
  // Not shown to meet what is required is said, and does not keep it from being saved.
  expect(asked("p-tarn-5w30", "")).toEqual([]);
});

test("what was measured goes through the form as it was, and can be left out", () => {
  const measure = { name: "battery, at rest", readings: [{ value: 12.3, unit: "V" }] };
  const entry = { id: "e", machine: "m-bus", date: "2026-11-20", measures: [measure] };
  const took = formTookOf(entry as unknown as Entry);
  expect(read(took).took.measures).toEqual([measure]);
  expect(read({ ...took, measures: [] }).took.measures).toEqual([]);
});
