import { formatPath } from "../file/issue.js";
import { readBookData } from "../file/readBook.js";
import { VAN } from "../../../test/books.js";

const LITRES = { value: 5.1, unit: "L" };
const OIL = {
  id: "oil",
  machine: "van",
  system: "engine",
  kind: "engine oil",
  capacities: [
    { id: "a", source: "handbook", condition: "with filter", quantity: LITRES },
    { id: "b", source: "label", condition: "with filter", quantity: { value: 4.8, unit: "L" } },
  ],
};
const PLUG = { id: "plug", machine: "van", purpose: "drain", name: "Sump plug" };
const PART = { id: "p1", name: "Oil filter", number: "F 102" };

function firstIssue(sections: object): string {
  const book = { format: "yonderfell-book", version: 2, machines: [VAN], ...sections };
  const result = readBookData(JSON.parse(JSON.stringify(book)));
  const [issue] = result.ok ? [] : result.issues;
  return issue === undefined ? "accepted" : `${formatPath(issue.path)}: ${issue.expected}`;
}

const machine = (fields: object): object => ({ machines: [{ ...VAN, ...fields }] });
const stop = (id: string, released: object | null = null): object => ({
  ...{ id, since: "2026-01-01", reason: "brake line corroded", released },
});

test.each<[string, object]>([
  ["a plate", { fluids: [OIL], servicePoints: [{ ...PLUG, fluid: "oil" }] }],
  [
    "a choice among capacities",
    { fluids: [{ ...OIL, working: [{ capacity: "b", reason: "measured" }] }] },
  ],
  ["a fitment of a part", { parts: [PART], fitments: [{ id: "f", machine: "van", part: "p1" }] }],
  [
    "lay-ups by dates and by months",
    machine({ laidUp: [{ from: "2026-11-01" }, { months: [1, 2] }] }),
  ],
  [
    "one stop that is over and one that is not",
    machine({
      stops: [stop("a", { on: "2026-01-02", by: "E. Thwaite", done: "line renewed" }), stop("b")],
    }),
  ],
  ["a place", { places: [{ id: "shed", name: "Shed" }], machines: [{ ...VAN, place: "shed" }] }],
])("%s is accepted", (_name, sections) => {
  expect(firstIssue(sections)).toBe("accepted");
});

test.each<[string, object, RegExp]>([
  ["a fluid of no machine", { fluids: [{ ...OIL, machine: "x" }] }, /^fluids\[0\]\.machine/],
  [
    "an unknown kind of fluid",
    { fluids: [{ ...OIL, kind: "treacle" }] },
    /^fluids\[0\]\.kind: a kind of fluid/,
  ],
  [
    "two capacities of one id",
    { fluids: [{ ...OIL, capacities: [OIL.capacities[0], OIL.capacities[0]] }] },
    /^fluids\[0\]\.capacities\[1\]\.id/,
  ],
  [
    "a choice of no capacity",
    { fluids: [{ ...OIL, working: [{ capacity: "x", reason: "" }] }] },
    /^fluids\[0\]\.working\[0\]\.capacity: one of its capacities/,
  ],
  [
    "two choices for one condition",
    {
      fluids: [
        {
          ...OIL,
          working: [
            { capacity: "a", reason: "" },
            { capacity: "b", reason: "" },
          ],
        },
      ],
    },
    /working\[1\]\.capacity: one choice for "with filter"/,
  ],
  [
    "a capacity in no known unit",
    {
      fluids: [
        { ...OIL, capacities: [{ ...OIL.capacities[0], quantity: { value: 1, unit: "firkin" } }] },
      ],
    },
    /quantity\.unit: the name of a unit/,
  ],
  [
    "a point of a fluid that is not there",
    { servicePoints: [{ ...PLUG, fluid: "oil" }] },
    /^servicePoints\[0\]\.fluid/,
  ],
  [
    "a fitment of no part",
    { fitments: [{ id: "f", machine: "van", part: "p1" }] },
    /^fitments\[0\]\.part: the id of one of the parts/,
  ],
  [
    "a fitment for no task",
    { parts: [PART], fitments: [{ id: "f", machine: "van", part: "p1", tasks: ["t"] }] },
    /^fitments\[0\]\.tasks\[0\]/,
  ],
  [
    "a machine at no place",
    machine({ place: "shed" }),
    /^machines\[0\]\.place: the id of one of the places/,
  ],
  ["a product that is not there", { fluids: [{ ...OIL, product: "p" }] }, /^fluids\[0\]\.product/],
  [
    "a specification that specifies nothing",
    { specifications: [{ id: "s", machine: "van", group: "tyre", name: "Front" }] },
    /^specifications\[0\]: what is specified/,
  ],
  [
    "a month that is none",
    machine({ laidUp: [{ months: [13] }] }),
    /laidUp\[0\]\.months\[0\]: a month, 1 to 12/,
  ],
  [
    "a lay-up by dates and by months",
    machine({ laidUp: [{ from: "2026-11-01", months: [1] }] }),
    /laidUp\[0\]: either/,
  ],
  [
    "a lay-up that ends before it begins",
    machine({ laidUp: [{ from: "2026-11-01", to: "2026-10-01" }] }),
    /laidUp\[0\]\.to/,
  ],
  [
    "two stops at once",
    machine({ stops: [stop("a"), stop("b")] }),
    /^machines\[0\]\.stops\[1\]\.released/,
  ],
  [
    "a release without a name",
    machine({ stops: [stop("a", { on: "2026-01-02", by: "", done: "x" })] }),
    /released\.by/,
  ],
  [
    "a picture that is no hash",
    machine({ pictures: [{ hash: "../x" }] }),
    /pictures\[0\]\.hash: a SHA-256/,
  ],
])("%s is refused", (_name, sections, expected) => {
  expect(firstIssue(sections)).toMatch(expected);
});
