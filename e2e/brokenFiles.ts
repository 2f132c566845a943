import { dayOf, machineBookOf, readBook, type MachineId } from "@yonderfell/core";
import { demonstrationBook } from "@yonderfell/demo";
import { seededRandom } from "@yonderfell/demo/random";

/** A file that is no sound book, and what was done to it. */
export interface BrokenFile {
  readonly name: string;
  readonly text: string;
  readonly harm: string;
}

type Random = () => number;
type Json = Record<string, unknown>;
type Harm = (book: Json, random: Random) => string;

const FEW = 30;
const TODAY = dayOf("2026-11-23");

function smallBook(): Json {
  const own = machineBookOf(demonstrationBook(TODAY), "m-bus" as MachineId);
  // Few records, so that a thousand files are looked through quickly.
  const readings = own?.readings.slice(0, FEW);
  return { format: "yonderfell-book", version: 2, ...own, readings };
}

let small: string | null = null;

/** A sound book of its own each time, to be harmed. */
function soundBook(): Json {
  small ??= JSON.stringify(smallBook());
  return JSON.parse(small) as Json;
}

const pick = <T>(random: Random, list: readonly T[]): T =>
  list[Math.floor(random() * list.length)] as T;

const records = (book: Json, section: string): Json[] => book[section] as Json[];
const SECTIONS = ["machines", "tasks", "readings", "entries"] as const;
const some = (book: Json, random: Random): Json =>
  pick(random, records(book, pick(random, SECTIONS)));
const text = (book: Json): string => JSON.stringify(book, null, 1);
const ODD_VALUES = [null, true, "twelve", -1, {}, [], "2026-02-30", 1.5];

/** What can be wrong with a file; each gives the text of the file. */
const HARMS: Readonly<Record<string, Harm>> = {
  truncated: (book, random) => text(book).slice(0, Math.floor(random() * (text(book).length - 3))),
  "a character lost": (book, random) => {
    const whole = text(book);
    const marks = [...whole.matchAll(/[{}[\]":,]/g)].map((match) => match.index);
    const at = pick(random, marks);
    return whole.slice(0, at) + whole.slice(at + 1);
  },
  "a character of another kind": (book, random) => {
    const whole = text(book);
    const at = Math.floor(random() * whole.length);
    return `${whole.slice(0, at)}\u0000${whole.slice(at + 1)}`;
  },
  "no JSON at all": (_book, random) =>
    Array.from({ length: 200 }, () => String.fromCharCode(Math.floor(random() * 900))).join(""),
  "another thing": (_book, random) => pick(random, ["", "[]", "null", "12", '"book"', "{}"]),
  "another format": (book) => text({ ...book, format: "logbook" }),
  "a newer version": (book, random) => text({ ...book, version: 3 + Math.floor(random() * 9) }),
  "a field of a record made something else": (book, random) => {
    const record = some(book, random);
    record[pick(random, Object.keys(record))] = pick(random, ODD_VALUES);
    return text(book);
  },
  "a field that is needed taken away": (book, random) => {
    const record = some(book, random);
    delete record[pick(random, ["id", "machine", "date", "name", "value"])];
    return text(book);
  },
  "a section that is no list": (book, random) =>
    text({ ...book, [pick(random, SECTIONS)]: pick(random, [{}, "none", 3]) }),
  "a record that is no record": (book, random) => {
    records(book, pick(random, SECTIONS)).splice(
      0,
      1,
      pick<unknown>(random, [null, 4, "x"]) as Json,
    );
    return text(book);
  },
  "two of one id": (book, random) => {
    const list = records(book, pick(random, SECTIONS));
    list.push({ ...pick(random, list) });
    return text(book);
  },
  "a reference to nothing": (book, random) => {
    const record = pick(random, records(book, pick(random, ["tasks", "readings", "entries"])));
    record["machine"] = `nobody-${random()}`;
    return text(book);
  },
  "a replacement that goes round": (book, random) => {
    const [one, other] = records(book, pick(random, ["readings", "entries"]));
    if (one !== undefined) one["replaces"] = other?.["id"];
    if (other !== undefined) other["replaces"] = one?.["id"];
    return text(book);
  },
  "an order given by halves": (book, random) => {
    delete pick(random, records(book, "readings"))["seq"];
    return text(book);
  },
  "a number past all numbers": (book, random) => {
    pick(random, records(book, "readings"))["value"] = "HUGE";
    return text(book).replace('"HUGE"', pick(random, ["1e999", "1e308", "-2e9"]));
  },
  "a key twice": (book, random) => {
    some(book, random)["twice"] = "ONCE";
    return text(book).replace('"ONCE"', '1, "twice": 2');
  },
  "half a character": (book, random) => {
    some(book, random)[pick(random, ["id", "words"])] = "HALF";
    return text(book).replace("HALF", pick(random, ["\\ud83d", "x\\udc00"]));
  },
  "lists without end": (book, random) => {
    const levels = pick(random, [70, 5000]);
    some(book, random)["shelf"] = "DEEP";
    return text(book).replace('"DEEP"', "[".repeat(levels) + "]".repeat(levels));
  },
  "a text without end": (book, random) => {
    some(book, random)["words"] = pick(random, ["x", "é"]).repeat(66_000);
    return text(book);
  },
};

/** So many broken files, the same for the same seed; each is one that the core refuses. */
export function brokenFiles(count: number, seed: number): BrokenFile[] {
  const random = seededRandom(seed);
  const files: BrokenFile[] = [];
  while (files.length < count) {
    const harm = pick(random, Object.keys(HARMS));
    const broken = HARMS[harm]?.(soundBook(), random) ?? "";
    // Some harm does none: a field taken away that was not there, a value of its own kind.
    if (readBook(broken).ok) continue;
    files.push({ name: `broken-${files.length}.yonderfell.json`, text: broken, harm });
  }
  return files;
}
