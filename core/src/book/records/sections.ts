import type { Known } from "./known.js";
import type { RecordOf, Section } from "./recordSchemas.js";

export type { Section } from "./recordSchemas.js";

/** What a book file calls itself in its `format` field. */
export const BOOK_FORMAT = "yonderfell-book";

/** The version this program writes. */
export const BOOK_VERSION = 2;

type Has<T, Field extends string> = Field extends keyof Known<T> ? true : false;

/** What is declared of a section of the book, beside what it {@link REFERS} to. Everything that can be is derived from it. */
interface Declared<T> {
  /** Whose its records are: a machine's (named in `machine`), the machines themselves, or no one machine's. */
  readonly owner: Has<T, "machine"> extends true ? "machine" : "itself" | "shared";
  /** What is read together: what the due rules speak of (§1), the plate, what is planned, found, being worked on, in the stores, shared. */
  readonly part: "rules" | "plate" | "planned" | "found" | "jobs" | "stores" | "shared";
  /** Whether its records are dated, ordered by `seq` and superseded rather than overwritten. */
  readonly isDated: Has<T, "replaces">;
  /** The version of the book it came with. */
  readonly since: number;
}

/** One row of the table below: whose, in which part, whether dated, since which version. */
const section = <
  const Owner extends "machine" | "itself" | "shared",
  const Part extends Declared<unknown>["part"],
  const IsDated extends boolean,
>(
  owner: Owner,
  part: Part,
  isDated: IsDated,
  since = 1,
): {
  readonly owner: Owner;
  readonly part: Part;
  readonly isDated: IsDated;
  readonly since: number;
} => ({ owner, part, isDated, since });

/** The sections of the book, in the order of the file. */
export const DECLARED = {
  machines: section("itself", "rules", false),
  readings: section("machine", "rules", true),
  meterChanges: section("machine", "rules", true),
  tasks: section("machine", "rules", false),
  entries: section("machine", "rules", true),
  fluids: section("machine", "plate", false),
  servicePoints: section("machine", "plate", false),
  specifications: section("machine", "plate", false),
  fitments: section("machine", "plate", false),
  visits: section("machine", "planned", false),
  journeys: section("machine", "planned", false),
  bookings: section("machine", "planned", true, 2),
  rounds: section("machine", "found", true, 2),
  findings: section("machine", "found", false, 2),
  samples: section("machine", "found", true, 2),
  lessons: section("machine", "found", false, 2),
  jobs: section("machine", "jobs", false, 2),
  jobEvents: section("machine", "jobs", false, 2),
  parts: section("shared", "shared", false),
  products: section("shared", "shared", false),
  people: section("shared", "shared", false),
  bays: section("shared", "shared", false),
  places: section("shared", "shared", false),
  checklists: section("shared", "shared", false, 2),
  methods: section("shared", "shared", false, 2),
  closures: section("shared", "shared", false, 2),
  stockMoves: section("shared", "stores", true, 2),
  containers: section("shared", "stores", false, 2),
  wasteMoves: section("shared", "stores", true, 2),
  orders: section("shared", "stores", false, 2),
} as const satisfies { readonly [S in Section]: Declared<RecordOf[S]> };

/** The sections that hold records, in the order of the file. */
export const SECTIONS = Object.keys(DECLARED) as readonly Section[];

/** The sections that a book of some version could have; a later one was then a field like any other. */
export function sectionsOfVersion(version: number): readonly Section[] {
  return SECTIONS.filter((one) => DECLARED[one].since <= version);
}

/** The sections of which something is declared. */
type Where<Declaration> = {
  [S in Section]: (typeof DECLARED)[S] extends Declaration ? S : never;
}[Section];

/** Pure, so that a page that does without a list does without it. */
function where<const Declaration extends object>(
  declaration: Declaration,
): readonly Where<Declaration>[] {
  const said = Object.entries(declaration);
  return SECTIONS.filter((section) => {
    const declared: Readonly<Record<string, unknown>> = DECLARED[section];
    return said.every(([key, value]) => declared[key] === value);
  }) as readonly Section[] as readonly Where<Declaration>[];
}

/** The sections of which the due rules speak (due rules §1). */
export const RULE_SECTIONS = /* @__PURE__ */ where({ part: "rules" });
export type RuleSection = Where<{ readonly part: "rules" }>;

/** The sections of a machine's plate: what belongs in it and on it. */
export const PLATE_SECTIONS = /* @__PURE__ */ where({ part: "plate" });
export type PlateSection = Where<{ readonly part: "plate" }>;

/** The sections of what belongs to no one machine. */
export const SHARED_SECTIONS = /* @__PURE__ */ where({ owner: "shared" });
export type SharedSection = Where<{ readonly owner: "shared" }>;

/** The sections whose records belong to a machine. */
export const OWNED_SECTIONS = /* @__PURE__ */ where({ owner: "machine" });
export type OwnedSection = Where<{ readonly owner: "machine" }>;

/** The sections whose records are dated, ordered by `seq` and superseded rather than overwritten. */
export const DATED_SECTIONS = /* @__PURE__ */ where({ isDated: true });
export type DatedSection = Where<{ readonly isDated: true }>;

/** The dated sections of machines: their records can be put right on another machine than the one they were written for. */
export const OWN_DATED_SECTIONS = /* @__PURE__ */ where({ owner: "machine", isDated: true });
export type OwnDatedSection = Where<{ readonly owner: "machine"; readonly isDated: true }>;

/** The dated sections that the due rules speak of (§1): the log, which is corrected record by record. */
export const LOG_SECTIONS = /* @__PURE__ */ where({ part: "rules", isDated: true });
export type LogSection = Where<{ readonly part: "rules"; readonly isDated: true }>;

/** Whether the records of a section belong to no one machine. */
export function isShared(section: Section): section is SharedSection {
  return DECLARED[section].owner === "shared";
}

/** Whether the records of a section belong to machines. */
export function isOwned(section: Section): section is OwnedSection {
  return DECLARED[section].owner === "machine";
}

/** Whether the records of a section are dated and belong to machines. */
export function isOwnDated(section: Section): section is OwnDatedSection {
  return isOwned(section) && isDated(section);
}

/** Whether the records of a section are dated and superseded rather than overwritten. */
export function isDated(section: Section): section is DatedSection {
  return DECLARED[section].isDated;
}
