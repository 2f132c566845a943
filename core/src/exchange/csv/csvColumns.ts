import type { Section } from "../../book/records/sections.js";

/** What a table file can hold. */
export const CSV_KINDS = [
  "machines",
  "readings",
  "tasks",
  "parts",
  "entries",
] as const satisfies readonly Section[];
export type CsvKind = (typeof CSV_KINDS)[number];

/** A column a table may have. */
export interface CsvColumn {
  /** What the program calls it. */
  readonly key: string;
  /** What stands in the headings of a table this program writes. */
  readonly title: string;
  /** What others write for it, in small letters. */
  readonly also: readonly string[];
  /** Of which cells are dates, and of which figures: by them the way of writing is told. */
  readonly holds: "words" | "date" | "figure";
  /** Without it no row can be read. */
  readonly isNeeded: boolean;
  /** Read where others write it; tables this program writes do not have it. */
  readonly isOnlyRead: boolean;
  /** The column for what this one holds where a heading counts it in hours. */
  readonly inHours: string | null;
}

type Holds = CsvColumn["holds"];

const column = (
  key: string,
  title: string,
  also: readonly string[] = [],
  holds: Holds = "words",
  isNeeded = false,
): CsvColumn => ({ key, title, also, holds, isNeeded, isOnlyRead: false, inHours: null });

const onlyRead = (...of: Parameters<typeof column>): CsvColumn => ({
  ...column(...of),
  isOnlyRead: true,
});

const orHours = (key: string, of: CsvColumn): CsvColumn => ({ ...of, inHours: key });

const MACHINE_WORDS = [
  ...["tag", "fleet number", "fleet no", "unit number", "unit no", "vehicle", "asset"],
  ...["vehicle number", "vehicle no", "machine number", "machine no", "asset number", "asset no"],
];
const REGISTRATION_WORDS = ["registration number", "registration no", "reg no", "number plate"];
// What it is called by where it has no number of the house.
const MACHINE = column("machine", "Machine", [
  ...MACHINE_WORDS,
  ...["registration", ...REGISTRATION_WORDS],
]);
const ODOMETER_WORDS = [
  ...["odometer", "odo", "odometer reading", "mileage", "current mileage", "current odometer"],
  ...["distance", "kilometres", "kilometers", "km", "miles", "current km", "km reading"],
];
const HOUR_WORDS = [
  ...["hour meter", "hour meter reading", "engine hours", "running hours", "operating hours"],
  ...["current hours", "hrs", "machine hours"],
];
const MACHINE_ID = column("machineId", "Machine id");
const REST = column("rest", "Everything else");
const NOTE = column("note", "Note", ["notes", "remarks", "comment", "comments"]);
const DATE = column("date", "Date", ["read on", "done on", "day", "when"], "date", true);
const DATED = [
  column("void", "Counts for nothing", ["void"]),
  column("replaces", "Takes the place of", ["replaces"]),
  column("seq", "Order", ["seq"], "figure"),
];

/** The columns of each kind of table, in the order in which they are written. */
export const CSV_COLUMNS: Readonly<Record<CsvKind, readonly CsvColumn[]>> = {
  machines: [
    column("tag", "Machine number", ["machine", ...MACHINE_WORDS, "number"]),
    column("name", "Name", ["called"]),
    column("kind", "Kind", ["type", "vehicle type", "machine type", "class", "category"]),
    column("description", "Description", ["make and model", "model", "make"]),
    column("variant", "Variant", ["engine"]),
    column("vin", "VIN", [
      "vehicle identification number",
      "vin number",
      "vin no",
      "chassis number",
    ]),
    column("serial", "Serial number", ["serial", "serial no"]),
    column("registration", "Registration", REGISTRATION_WORDS),
    column("place", "Place", ["location", "site", "depot", "kept at", "base", "garage"]),
    column("person", "Looked after by", [
      ...["responsible", "responsible person", "person responsible", "person", "keeper"],
      ...["assigned to", "in charge", "driver", "operator", "mechanic"],
    ]),
    column(
      "inService",
      "In service",
      ["in service since", "first used", "first registered", "first registration", "registered on"],
      "date",
    ),
    column("acquired", "Acquired", ["bought", "purchased", "purchase date"], "date"),
    column("history", "History", ["records"]),
    column("regime", "School", ["regime", "schedule"]),
    column("gallons", "Gallons"),
    NOTE,
    column("meter", "Meter", ["meter id"]),
    column("meterName", "Meter name"),
    column("unit", "Counts in", ["unit", "meter unit"]),
    column("perDay", "A day", ["per day", "daily use"], "figure"),
    column("stoppedOn", "Stopped on", [], "date"),
    column("staleAfterDays", "Stale after days", [], "figure"),
    orHours(
      "hours",
      onlyRead(
        "reading",
        "Reading",
        ["current reading", "last reading", "meter reading", ...ODOMETER_WORDS],
        "figure",
      ),
    ),
    onlyRead("hours", "Hours", HOUR_WORDS, "figure"),
    onlyRead(
      "readOn",
      "Read on",
      [
        ...["date", "reading date", "date of reading", "date read", "last read", "as of"],
        ...["odometer date", "mileage date", "meter date"],
      ],
      "date",
    ),
    MACHINE_ID,
    REST,
  ],
  readings: [
    MACHINE,
    column("meter", "Meter", ["meter id"]),
    DATE,
    orHours(
      "hours",
      column(
        "value",
        "Reading",
        ["value", "figure", "current reading", "meter reading", ...ODOMETER_WORDS],
        "figure",
        true,
      ),
    ),
    onlyRead("hours", "Hours", HOUR_WORDS, "figure"),
    column("unit", "Unit", ["counts in"]),
    column("estimated", "Estimated", ["estimate"]),
    column("confirmed", "Confirmed"),
    column("source", "Source", ["came from", "origin"]),
    NOTE,
    ...DATED,
    MACHINE_ID,
    column("id", "Reading id"),
    REST,
  ],
  tasks: [
    MACHINE,
    column("name", "Task", ["service", "work", "job", "item", "description"], "words", true),
    column("school", "School of the limit", ["school", "regime"]),
    column("meter", "Meter", ["meter id"]),
    orHours(
      "everyHours",
      column(
        "every",
        "Every",
        [
          ...["interval", "every so much", "distance", "distance interval", "interval distance"],
          ...["km", "miles", "every km", "every miles", "interval km", "interval miles"],
        ],
        "figure",
      ),
    ),
    onlyRead(
      "everyHours",
      "Every hours",
      ["hours", "interval hours", "hours interval", "hour interval", "engine hours", "hrs"],
      "figure",
    ),
    column("at", "At", ["milestones"]),
    column("months", "Months", ["every months", "interval months"], "figure"),
    column("days", "Days", ["every days", "interval days"], "figure"),
    column("from", "From", ["starting"], "date"),
    column("grace", "Grace", ["tolerance"], "figure"),
    column("hard", "Law or warranty", ["required by law"]),
    column("for", "Only with", ["product kinds"]),
    column("checklist", "Measured in checklist", ["checklist id"]),
    column("check", "Check", ["check id"]),
    column("point", "Point of the check", ["check point"]),
    column("limit", "Due at the figure", ["wear limit"], "figure"),
    column("regime", "Follows the school"),
    column("regimeReason", "Because"),
    column("anchor", "Counted from"),
    column("combine", "Whichever comes"),
    column("nthOf", "With each turn of"),
    column("nthEvery", "Every so many turns", [], "figure"),
    column("followsTask", "Once after"),
    column("followsMeter", "After on meter"),
    column("followsAmount", "After so much", [], "figure"),
    column("followsDays", "After so many days", [], "figure"),
    column("eachUse", "Each use"),
    NOTE,
    column("ladder", "Ladder"),
    column("access", "Access"),
    column("minutes", "Minutes", ["estimated minutes", "labour minutes"], "figure"),
    column("outside", "For others"),
    column("tell", "Tell them"),
    MACHINE_ID,
    column("id", "Task id"),
    REST,
  ],
  parts: [
    column("name", "Part", ["name", "description"], "words", true),
    column(
      "number",
      "Number",
      ["part number", "part no", "article", "article number"],
      "words",
      true,
    ),
    column("kind", "Kind", ["type", "category"]),
    column("equivalents", "Equivalents", ["cross reference", "alternatives"]),
    column("supersededBy", "Superseded by", ["replaced by"]),
    column("pack", "Pack", ["pack size", "per pack"], "figure"),
    NOTE,
    column("source", "Source", ["supplier", "shop", "vendor"]),
    column("price", "Price", ["cost", "price per pack"], "figure"),
    column("on", "Priced on", ["price date"], "date"),
    column("id", "Part id"),
    REST,
  ],
  entries: [
    MACHINE,
    DATE,
    column("tasks", "Work done", ["tasks", "task", "work", "service", "job"]),
    orHours(
      "hours",
      column(
        "meters",
        "Dials",
        ["reading", "meters", "meter reading", ...ODOMETER_WORDS],
        "figure",
      ),
    ),
    onlyRead("hours", "Hours", HOUR_WORDS, "figure"),
    column("estimatedMeters", "Estimated dials"),
    column("assumed", "Taken as done", ["assumed"]),
    column("confirmed", "Confirmed"),
    column("isTopUp", "Topped up", ["top-up"]),
    column("warranty", "Warranty", ["under warranty"]),
    NOTE,
    column("fluid", "Fluid", ["fluid system"]),
    column("condition", "Condition"),
    column("product", "Product"),
    column("out", "Out", ["drained"]),
    column("in", "In", ["filled"]),
    column("fluidPrice", "Price of a litre or kilogram", [], "figure"),
    column("fluidFrom", "Fluid from"),
    column("part", "Part used", ["part number used"]),
    column("count", "Count", [], "figure"),
    column("partPrice", "Price each", [], "figure"),
    column("partFrom", "Part from"),
    column("worker", "Done by", ["who"]),
    column("minutes", "Minutes", ["minutes of work"], "figure"),
    column("rate", "Rate an hour", [], "figure"),
    column("cost", "Other cost"),
    column("amount", "Amount", [], "figure"),
    column("costKind", "Kind of cost"),
    ...DATED,
    MACHINE_ID,
    column("id", "Entry id"),
    REST,
  ],
};

/** The columns of the tables this program writes. */
export function writtenColumns(kind: CsvKind): readonly CsvColumn[] {
  return CSV_COLUMNS[kind].filter(({ isOnlyRead }) => !isOnlyRead);
}

/** The needed columns that a table lacks; figures in hours alone are figures too. */
export function missingColumns(
  kind: CsvKind,
  columns: readonly (string | null)[],
): readonly CsvColumn[] {
  return CSV_COLUMNS[kind].filter(
    ({ isNeeded, key, inHours }) =>
      isNeeded && !columns.includes(key) && (inHours === null || !columns.includes(inHours)),
  );
}

/** The column of a kind by what the program calls it. */
export function csvColumn(kind: CsvKind, key: string): CsvColumn | undefined {
  return CSV_COLUMNS[kind].find((candidate) => candidate.key === key);
}
