import { bookOf, done, task } from "../../../test/books.js";
import { formatPath } from "../file/issue.js";
import { readBookData } from "../file/readBook.js";

const L = (value: number): object => ({ value, unit: "L" });
const MM = (value: number): object => ({ value, unit: "mm" });

const SECTIONS = {
  people: [{ id: "edda", name: "Edda Tarn", initials: "ET" }],
  parts: [{ id: "filter", name: "Filter", number: "HD 4510" }],
  products: [
    { id: "oil", name: "Fellmaster" },
    { id: "grease", name: "Bogfast", kind: "grease", unit: "kg" },
  ].map((one) => ({ kind: "engine oil", ...one })),
  fluids: [{ id: "sump", machine: "van", system: "engine", kind: "engine oil" }],
  checklists: [
    {
      ...{ id: "week", name: "Weekly round" },
      checks: [
        { id: "pad", name: "pad", how: "measure", unit: "mm" },
        { id: "leaks", name: "leaks", how: "look" },
      ],
    },
  ],
};

/** The first issue of a book with the workshop of these tests, as `path: expected`. */
function firstIssue(more: object): string {
  const book = bookOf({ ...SECTIONS, ...more });
  const result = readBookData(JSON.parse(JSON.stringify(book)));
  const [issue] = result.ok ? [] : result.issues;
  return issue === undefined ? "accepted" : `${formatPath(issue.path)}: ${issue.expected}`;
}

const move = (more: object): object => ({
  stockMoves: [{ id: "s", date: "2026-01-02", why: "bought", ...more }],
});
const round = (result: object, ...others: object[]): object => ({
  rounds: [
    {
      id: "n",
      date: "2026-01-02",
      machine: "van",
      checklist: "week",
      results: [result, ...others],
    },
  ],
});
const finding = (more: object): object => ({
  findings: [{ id: "f", machine: "van", found: "2026-01-02", decision: "now", ...more }],
});
const measured = (more: object): object => ({
  tasks: [task("pads", [{ checklist: "week", check: "pad", meter: "odo", limit: 3, ...more }])],
});
const closure = (more: object): object => ({
  closures: [{ id: "c", from: "2026-12-24", to: "2026-12-31", what: "workshop", ...more }],
});

test.each([
  ["a part by count", move({ part: "filter", amount: 2 })],
  ["a part in pieces", move({ part: "filter", amount: { value: 2, unit: "piece" } })],
  ["a product by volume", move({ product: "oil", amount: L(20) })],
  ["a count of nothing", move({ product: "oil", amount: L(0), why: "counted" })],
  ["a reading with its verdict", round({ check: "pad", readings: [MM(3)], verdict: "sound" })],
  [
    "a reading at each point",
    round({ check: "pad", point: "left" }, { check: "pad", point: "right" }),
  ],
  ["a reason for none", round({ check: "pad", verdict: "left closed", reason: "not due" })],
  ["what was found on it", finding({ decision: "declined", reason: "sold in spring" })],
  ["a limit by what is measured", measured({ point: "left", grace: 5, hard: true })],
  ["a closure of all", closure({})],
  ["somebody away", closure({ what: "person", person: "edda" })],
])("%s is taken", (_name, more) => {
  expect(firstIssue(more)).toBe("accepted");
});

test.each([
  ["neither part nor product", move({ amount: 2 }), /^stockMoves\[0\]\.part: a part or a product/],
  ["both", move({ part: "filter", product: "oil", amount: 2 }), /one of the two/],
  ["nothing bought", move({ part: "filter", amount: 0 }), /amount: an amount above 0/],
  ["less than nothing", move({ part: "filter", amount: -1 }), /amount/],
  ["a part by volume", move({ part: "filter", amount: L(2) }), /a count, as parts are counted/],
  ["a product by count", move({ product: "oil", amount: 2 }), /a volume, as "Fellmaster"/],
  ["grease by volume", move({ product: "grease", amount: L(2) }), /a mass, as "Bogfast"/],
  ["a part of nobody", move({ part: "gone", amount: 2 }), /there is no "gone"/],
  [
    "a move that replaces one twice",
    {
      stockMoves: ["a", "b", "c"].map((id, at) => ({
        ...{ id, date: "2026-01-02", why: "bought", part: "filter", amount: 2 },
        ...(at === 0 ? {} : { replaces: "a" }),
      })),
    },
    /stockMoves\[2\]\.replaces: a record not yet replaced/,
  ],
  [
    "fluid from the shelf in another dimension",
    {
      entries: [
        done("e", "2026-01-02", [], {
          fluids: [{ fluid: "sump", product: "oil", from: "stock", in: { value: 2, unit: "kg" } }],
        }),
      ],
    },
    /entries\[0\]\.fluids\[0\]\.in: a volume/,
  ],
  ["two results of a check", round({ check: "pad" }, { check: "pad" }), /one result of a check/],
  ["no reason for no look", round({ check: "pad", verdict: "could not measure" }), /a reason for/],
  ["a blank reason", round({ check: "pad", verdict: "not applicable", reason: " " }), /a reason/],
  ["a round by no checklist", { rounds: [{ id: "n", date: "2026-01-02", machine: "van" }] }, /./],
  ["no decision", finding({ decision: undefined }), /decision: now, next visit, watch, declined/],
  ["declined without a word", finding({ decision: "declined" }), /reason: a reason/],
  ["a finding of a round that is not there", finding({ round: "gone" }), /there is no "gone"/],
  [
    "an entry that closes what is not there",
    { entries: [done("e", "2026-01-02", [], { closes: ["gone"] })] },
    /entries\[0\]\.closes\[0\]: the id of a finding of machine "van"/,
  ],
  [
    "a check that is not there",
    measured({ check: "gone" }),
    /checklist "week" \(there is no "gone"\)/,
  ],
  ["a check without a unit", measured({ check: "leaks" }), /a check with a unit/],
  ["a measured limit without a meter", measured({ meter: null }), /the meter that the wear/],
  ["a measured limit with an interval", measured({ every: 100 }), /nothing, as the limit is by/],
  ["a measured limit without a figure", measured({ limit: null }), /the figure at which it is due/],
  ["a closure that ends first", closure({ to: "2026-12-01" }), /a day that is not before from/],
  ["nobody away", closure({ what: "person" }), /the person, where and only where/],
  ["a bay that is the workshop", closure({ bay: "b1" }), /the bay, where and only where/],
  [
    "two checks of one id",
    {
      checklists: [
        { id: "l", name: "List", checks: ["a", "a"].map((id) => ({ id, name: id, how: "look" })) },
      ],
    },
    /checklists\[0\]\.checks\[1\]\.id: an id of its own/,
  ],
])("%s is refused", (_name, more, expected) => {
  expect(firstIssue(more)).toMatch(expected);
});
