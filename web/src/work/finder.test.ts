import {
  BOOK_NEEDS,
  correctEntry,
  dayOf,
  keepRecord,
  logWork,
  type EntryId,
  type LogWorkInput,
  type MachineId,
} from "@yonderfell/core";
import { changeOf } from "../../test/changeOf.js";
import { BOOK, countingSurroundings } from "../../test/skarrowVale.js";
import { MemoryStorage } from "../../test/memoryStorage.js";
import { Finder } from "./finder.js";

const BUS = "m-bus" as MachineId;
const WORK: LogWorkInput = { day: dayOf("2026-11-20"), tasks: [], figures: [], note: "" };

let storage: MemoryStorage;
let finder: Finder;

beforeEach(async () => {
  storage = new MemoryStorage();
  await storage.fill(BOOK);
  finder = new Finder(storage);
});

const titles = async (words: string): Promise<string[]> =>
  (await finder.find(words, 60)).map(({ kind, tag, title }) => `${kind} ${tag} ${title}`);

async function note(words: string): Promise<EntryId> {
  await storage.perform(
    BUS,
    BOOK_NEEDS,
    (book, context) => logWork(book, { ...WORK, note: words }, context),
    countingSurroundings(words),
  );
  return (await storage.everything()).entries?.at(-1)?.id as EntryId;
}

test("a machine comes before its tasks, and those before the log", async () => {
  const found = await titles("07");
  expect(found[0]).toBe("machine 07 Library bus");
  const kinds = found.map((line) => line.split(" ")[0]);
  expect(kinds.indexOf("entry")).toBeGreaterThan(kinds.lastIndexOf("task"));
});

test("a machine is found by what its number plate shows", async () => {
  const bus = BOOK.machines?.find(({ id }) => id === BUS) ?? null;
  if (bus === null) throw new Error("no bus");
  const kept = keepRecord([bus], "machines", bus, { ...bus, registration: "SK12TEN" });
  await storage.apply(changeOf(kept), "2026-11-23T09:00:00.000Z");
  expect(await titles("sk12ten")).toEqual(["machine 07 Library bus"]);
});

test("all words must fit, begun or with a slip of the finger", async () => {
  expect(await titles("07 eng oil")).toContain("task 07 Engine oil and filter");
  expect(await titles("libary")).toContain("machine 07 Library bus");
  expect(await titles("07 flails")).toEqual([]);
  expect(await titles("zzz")).toEqual([]);
});

test("a point of the plate is found by its name, with its torque and its tool, as soon as it is written down", async () => {
  const points = (BOOK.servicePoints ?? []).filter(({ machine }) => machine === BUS);
  const [drain] = points.filter(({ purpose, torque }) => purpose === "drain" && torque);
  if (drain === undefined) throw new Error("the bus has a drain plug with a torque");
  const found = (await finder.find(`07 ${drain.name} torque`, 30)).find(
    ({ kind }) => kind === "point",
  );
  expect(found).toMatchObject({ id: drain.id, machine: BUS, tag: "07" });
  expect(found?.detail).toContain("N·m");
  const records = [
    {
      section: "servicePoints" as const,
      id: drain.id,
      before: drain,
      after: { ...drain, name: "Mudgate plug" },
    },
  ];
  await storage.apply({ command: "keep", records }, "2026-11-23T10:00:00.000Z");
  expect((await titles("mudgate"))[0]).toBe("point 07 Mudgate plug");
});

test("what was found on a machine is found by its words", async () => {
  expect(await titles("uses oil gritter")).toEqual(["finding 21 Engine uses oil, more each month"]);
});

test("an entry is found by its day and by its note as soon as it is logged, and no longer when it is corrected or taken back", async () => {
  const id = await note("Sidelight bulb renewed");
  expect(await titles("sidelight")).toEqual(["entry 07 Sidelight bulb renewed"]);
  expect(await titles("20 november sidelight")).toHaveLength(1);
  await storage.perform(
    BUS,
    BOOK_NEEDS,
    (book, context) => correctEntry(book, id, { ...WORK, note: "Headlight bulb" }, context),
    countingSurroundings("c"),
  );
  expect(await titles("sidelight")).toEqual([]);
  expect(await titles("headlight")).toHaveLength(1);
  await storage.takeBack(2, "2026-11-23T09:00:00.000Z");
  expect(await titles("sidelight")).toHaveLength(1);
});

test("of entries that fit as well the latest comes first", async () => {
  const dates = (await finder.find("07 engine oil", 30))
    .filter((found) => found.kind === "entry")
    .map((found) => found.date);
  expect(dates.length).toBeGreaterThan(2);
  expect(dates).toEqual([...dates].sort().reverse());
});

test("searches typed one after the other do not get in each other's way", async () => {
  const results = await Promise.all(["e", "en", "eng", "engi"].map((words) => titles(words)));
  expect(results.every((found) => found.length > 0)).toBe(true);
});

test("a part is found by its number, by an equivalent and by the machine that takes it, as soon as it stands in the book", async () => {
  const part = (BOOK.parts ?? []).find((one) => (one.equivalents ?? []).length > 0);
  if (part === undefined) throw new Error("the demonstration has no equivalent");
  const line = `part  ${part.name} ${part.number}`;
  const taker = (BOOK.fitments ?? []).find((one) => one.part === part.id)?.machine;
  const tag = (BOOK.machines ?? []).find((one) => one.id === taker)?.tag ?? "";
  expect(await titles(part.number)).toContain(line);
  expect(await titles((part.equivalents ?? [])[0] ?? "")).toContain(line);
  expect(await titles(`${tag} ${part.name}`)).toContain(line);
  const change = keepRecord([part], "parts", part, { ...part, number: "ZX 9000" });
  await storage.apply(changeOf(change), "2026-11-23T09:00:00.000Z", true);
  expect(await titles("zx 9000")).toEqual([`part  ${part.name} ZX 9000`]);
  expect(await titles(part.number)).not.toContain(line);
});

test("a fluid is found by what its label claims", async () => {
  const product = (BOOK.products ?? []).find((one) => (one.claims ?? []).length > 0);
  expect(await titles((product?.claims ?? [])[0] ?? "")).toContain(`fluid  ${product?.name}`);
});
