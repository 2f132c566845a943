import { bookOf, task } from "../../../test/books.js";
import { readBookData } from "../file/readBook.js";
import type { RecordOf } from "../records/recordSchemas.js";
import { PICTURED_SECTIONS, REFERRED_SECTIONS } from "./refers.js";
import { ownReferences, pictureHashes, sharedReferences } from "./referencesIn.js";
import { ownerOf } from "./ownerOf.js";
import {
  DATED_SECTIONS,
  LOG_SECTIONS,
  OWN_DATED_SECTIONS,
  PLATE_SECTIONS,
  RULE_SECTIONS,
  SHARED_SECTIONS,
} from "../records/sections.js";

test("what is said of sections together follows from what is declared of each", () => {
  expect(RULE_SECTIONS).toEqual(["machines", "readings", "meterChanges", "tasks", "entries"]);
  expect(PLATE_SECTIONS).toEqual(["fluids", "servicePoints", "specifications", "fitments"]);
  expect(SHARED_SECTIONS).toEqual([
    ...["parts", "products", "people", "bays", "places", "checklists", "methods", "closures"],
    ...["stockMoves", "containers", "wasteMoves", "orders"],
  ]);
  expect(DATED_SECTIONS).toEqual([
    ...["readings", "meterChanges", "entries", "bookings", "rounds", "samples"],
    ...["stockMoves", "wasteMoves"],
  ]);
  expect(OWN_DATED_SECTIONS).toEqual([
    ...["readings", "meterChanges", "entries", "bookings", "rounds", "samples"],
  ]);
  expect(LOG_SECTIONS).toEqual(["readings", "meterChanges", "entries"]);
  expect(PICTURED_SECTIONS).toEqual([
    ...["machines", "entries", "servicePoints", "rounds", "findings", "jobEvents"],
  ]);
  expect(REFERRED_SECTIONS).toEqual([
    ...["tasks", "entries", "fluids", "rounds", "findings", "jobs", "parts", "products"],
    ...["people", "bays", "places", "checklists", "methods", "containers"],
  ]);
});

test("ids are found in fields, in lists, in lists of lists and as keys, each with its place", () => {
  const entry = {
    meters: { odo: 10, hours: 2 },
    tasks: ["oil", "filter"],
    lookAgain: [
      { task: "brakes", meter: null },
      { task: "belt", meter: "odo" },
    ],
    replaces: "an earlier one",
    note: null,
  } as unknown as RecordOf["entries"];
  expect(ownReferences("entries", entry)).toEqual([
    { to: "meters", id: "odo", path: ["meters", "odo"] },
    { to: "meters", id: "hours", path: ["meters", "hours"] },
    { to: "tasks", id: "oil", path: ["tasks", 0] },
    { to: "tasks", id: "filter", path: ["tasks", 1] },
    { to: "tasks", id: "brakes", path: ["lookAgain", 0, "task"] },
    { to: "tasks", id: "belt", path: ["lookAgain", 1, "task"] },
    { to: "meters", id: "odo", path: ["lookAgain", 1, "meter"] },
  ]);
  const limits = { regimes: { usual: [{ months: 6 }, { meter: "odo", every: 9 }] } };
  expect(ownReferences("tasks", limits as unknown as RecordOf["tasks"])).toEqual([
    { to: "meters", id: "odo", path: ["regimes", "usual", 1, "meter"] },
  ]);
});

test("shared records that are referred to are told apart from those of the machine", () => {
  const fitment = { part: "p-filter", tasks: ["oil"] } as unknown as RecordOf["fitments"];
  expect(sharedReferences("fitments", fitment)).toEqual([
    { section: "parts", id: "p-filter", path: ["part"] },
  ]);
  expect(ownReferences("fitments", fitment)).toEqual([
    { to: "tasks", id: "oil", path: ["tasks", 0] },
  ]);
});

test("the pictures of a record are told by their hashes", () => {
  const pictures = [{ hash: "aa" }, { hash: "bb" }];
  const point = { fluid: "oil", pictures } as unknown as RecordOf["servicePoints"];
  expect(pictureHashes("servicePoints", point)).toEqual(["aa", "bb"]);
  expect(ownReferences("servicePoints", point)).toHaveLength(1);
});

test("a record belongs to the machine it names, a machine to itself, a shared one to none", () => {
  const machine = { id: "van", machine: "an extra field" } as unknown as RecordOf["machines"];
  expect(ownerOf("machines", machine)).toBe("van");
  expect(ownerOf("tasks", { id: "oil", machine: "van" } as unknown as RecordOf["tasks"])).toBe(
    "van",
  );
  expect(ownerOf("parts", { id: "p", machine: "x" } as unknown as RecordOf["parts"])).toBeNull();
});

test("where a task was taken from need not be there", () => {
  const origin = { machine: "sold long ago", key: "oil", as: "{}" };
  const read = readBookData(bookOf({ tasks: [task("oil", [{ months: 12 }], { origin })] }));
  expect(read).toMatchObject({ ok: true });
});
