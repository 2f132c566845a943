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
  /** The version of the book it came with; the first where absent. */
  readonly since?: number;
}

/** The sections of the book, in the order of the file. */
export const DECLARED = {
  machines: {
    owner: "itself",
    part: "rules",
    isDated: false,
  },
  readings: {
    owner: "machine",
    part: "rules",
    isDated: true,
  },
  meterChanges: {
    owner: "machine",
    part: "rules",
    isDated: true,
  },
  tasks: {
    owner: "machine",
    part: "rules",
    isDated: false,
  },
  entries: {
    owner: "machine",
    part: "rules",
    isDated: true,
  },
  fluids: {
    owner: "machine",
    part: "plate",
    isDated: false,
  },
  servicePoints: {
    owner: "machine",
    part: "plate",
    isDated: false,
  },
  specifications: {
    owner: "machine",
    part: "plate",
    isDated: false,
  },
  fitments: {
    owner: "machine",
    part: "plate",
    isDated: false,
  },
  visits: {
    owner: "machine",
    part: "planned",
    isDated: false,
  },
  journeys: {
    owner: "machine",
    part: "planned",
    isDated: false,
  },
  bookings: {
    owner: "machine",
    part: "planned",
    isDated: true,
    since: 2,
  },
  rounds: {
    owner: "machine",
    part: "found",
    isDated: true,
    since: 2,
  },
  findings: {
    owner: "machine",
    part: "found",
    isDated: false,
    since: 2,
  },
  samples: {
    owner: "machine",
    part: "found",
    isDated: true,
    since: 2,
  },
  jobs: {
    owner: "machine",
    part: "jobs",
    isDated: false,
    since: 2,
  },
  jobEvents: {
    owner: "machine",
    part: "jobs",
    isDated: false,
    since: 2,
  },
  parts: {
    owner: "shared",
    part: "shared",
    isDated: false,
  },
  products: {
    owner: "shared",
    part: "shared",
    isDated: false,
  },
  people: {
    owner: "shared",
    part: "shared",
    isDated: false,
  },
  bays: {
    owner: "shared",
    part: "shared",
    isDated: false,
  },
  places: {
    owner: "shared",
    part: "shared",
    isDated: false,
  },
  checklists: {
    owner: "shared",
    part: "shared",
    isDated: false,
    since: 2,
  },
  methods: {
    owner: "shared",
    part: "shared",
    isDated: false,
    since: 2,
  },
  closures: {
    owner: "shared",
    part: "shared",
    isDated: false,
    since: 2,
  },
  stockMoves: {
    owner: "shared",
    part: "stores",
    isDated: true,
    since: 2,
  },
  containers: {
    owner: "shared",
    part: "stores",
    isDated: false,
    since: 2,
  },
  wasteMoves: {
    owner: "shared",
    part: "stores",
    isDated: true,
    since: 2,
  },
  orders: {
    owner: "shared",
    part: "stores",
    isDated: false,
    since: 2,
  },
} as const satisfies { readonly [S in Section]: Declared<RecordOf[S]> };

/** The sections that hold records, in the order of the file. */
export const SECTIONS = Object.keys(DECLARED) as readonly Section[];

/** The sections that a book of some version could have; a later one was then a field like any other. */
export function sectionsOfVersion(version: number): readonly Section[] {
  return SECTIONS.filter((section) => {
    const declared = DECLARED[section];
    return !("since" in declared) || declared.since <= version;
  });
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
