import type { IdPaths } from "./idPaths.js";
import type { Known } from "./known.js";
import type { RecordOf, Section } from "./recordSchemas.js";

export type { Section } from "./recordSchemas.js";

/** What a book file calls itself in its `format` field. */
export const BOOK_FORMAT = "yonderfell-book";

/** The version this program writes. */
export const BOOK_VERSION = 1;

/** What an id in a record is the id of; `null` where it only tells and need not be there. */
export type ReferredTo = Section | "meters";

/** The ids in a record, which the compiler knows; those that are keys of an object (`#`) are said by hand. */
type References<Ids> = { readonly [At in keyof Ids]: Ids[At] | null } & {
  readonly [At in `${string}.#`]: ReferredTo;
};

type Has<T, Field extends string> = Field extends keyof Known<T> ? true : false;

/** What is declared of a section of the book. Everything that can be is derived from it. */
interface Declared<T> {
  /** What one of its records and several of them are called. */
  readonly one: string;
  readonly many: string;
  /** Whose its records are: a machine's (named in `machine`), the machines themselves, or no one machine's. */
  readonly owner: Has<T, "machine"> extends true ? "machine" : "itself" | "shared";
  /** What is read together: what the due rules speak of (§1), the plate, what is planned, what is shared. */
  readonly part: "rules" | "plate" | "planned" | "shared";
  /** Whether its records are dated, ordered by `seq` and superseded rather than overwritten. */
  readonly isDated: Has<T, "replaces">;
  /** Whether its records may hold pictures, in `pictures`. */
  readonly hasPictures: Has<T, "pictures">;
  /** The ids its records hold beside `machine` and `replaces`, by where they stand, and what they are ids of. */
  readonly refers: References<IdPaths<T>>;
}

/** The sections of the book, in the order of the file. */
export const DECLARED = {
  machines: {
    one: "machine",
    many: "machines",
    owner: "itself",
    part: "rules",
    isDated: false,
    hasPictures: true,
    refers: {
      "runningIn.meter": "meters",
      "reminders.*.tasks.*": "tasks",
      "baseline.left.*": "tasks",
      place: "places",
      person: "people",
    },
  },
  readings: {
    one: "reading",
    many: "readings",
    owner: "machine",
    part: "rules",
    isDated: true,
    hasPictures: false,
    refers: { meter: "meters" },
  },
  meterChanges: {
    one: "meter change",
    many: "meter changes",
    owner: "machine",
    part: "rules",
    isDated: true,
    hasPictures: false,
    refers: { meter: "meters" },
  },
  tasks: {
    one: "task",
    many: "tasks",
    owner: "machine",
    part: "rules",
    isDated: false,
    hasPictures: false,
    refers: {
      "regimes.*.*.meter": "meters",
      "nth.of": "tasks",
      "follows.task": "tasks",
      "follows.meter": "meters",
      "uses.*.fluid": "fluids",
      "origin.machine": null,
    },
  },
  entries: {
    one: "entry",
    many: "entries",
    owner: "machine",
    part: "rules",
    isDated: true,
    hasPictures: false,
    refers: {
      "meters.#": "meters",
      "estimatedMeters.*": "meters",
      "tasks.*": "tasks",
      "wanted.*": "tasks",
      "lookAgain.*.task": "tasks",
      "lookAgain.*.meter": "meters",
    },
  },
  fluids: {
    one: "fluid",
    many: "fluids",
    owner: "machine",
    part: "plate",
    isDated: false,
    hasPictures: false,
    refers: { product: "products" },
  },
  servicePoints: {
    one: "service point",
    many: "service points",
    owner: "machine",
    part: "plate",
    isDated: false,
    hasPictures: true,
    refers: { fluid: "fluids" },
  },
  specifications: {
    one: "specification",
    many: "specifications",
    owner: "machine",
    part: "plate",
    isDated: false,
    hasPictures: false,
    refers: {},
  },
  fitments: {
    one: "fitment",
    many: "fitments",
    owner: "machine",
    part: "plate",
    isDated: false,
    hasPictures: false,
    refers: { part: "parts", "tasks.*": "tasks" },
  },
  visits: {
    one: "visit",
    many: "visits",
    owner: "machine",
    part: "planned",
    isDated: false,
    hasPictures: false,
    refers: { "tasks.*": "tasks", "turns.*.task": "tasks", "without.*": "tasks" },
  },
  journeys: {
    one: "journey",
    many: "journeys",
    owner: "machine",
    part: "planned",
    isDated: false,
    hasPictures: false,
    refers: { meter: "meters" },
  },
  parts: {
    one: "part",
    many: "parts",
    owner: "shared",
    part: "shared",
    isDated: false,
    hasPictures: false,
    refers: {},
  },
  products: {
    one: "product",
    many: "products",
    owner: "shared",
    part: "shared",
    isDated: false,
    hasPictures: false,
    refers: {},
  },
  people: {
    one: "person",
    many: "people",
    owner: "shared",
    part: "shared",
    isDated: false,
    hasPictures: false,
    refers: {},
  },
  bays: {
    one: "bay",
    many: "bays",
    owner: "shared",
    part: "shared",
    isDated: false,
    hasPictures: false,
    refers: { place: "places" },
  },
  places: {
    one: "place",
    many: "places",
    owner: "shared",
    part: "shared",
    isDated: false,
    hasPictures: false,
    refers: {},
  },
} as const satisfies { readonly [S in Section]: Declared<RecordOf[S]> };

/** The sections that hold records, in the order of the file. */
export const SECTIONS = Object.keys(DECLARED) as readonly Section[];

/** The sections of which something is declared. */
type Where<Declaration> = {
  [S in Section]: (typeof DECLARED)[S] extends Declaration ? S : never;
}[Section];

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
export const RULE_SECTIONS = where({ part: "rules" });
export type RuleSection = Where<{ readonly part: "rules" }>;

/** The sections of a machine's plate: what belongs in it and on it. */
export const PLATE_SECTIONS = where({ part: "plate" });
export type PlateSection = Where<{ readonly part: "plate" }>;

/** The sections of what is planned for a machine. */
export const PLANNED_SECTIONS = where({ part: "planned" });
export type PlannedSection = Where<{ readonly part: "planned" }>;

/** The sections of what belongs to no one machine. */
export const SHARED_SECTIONS = where({ owner: "shared" });
export type SharedSection = Where<{ readonly owner: "shared" }>;

/** The sections whose records belong to a machine. */
export const OWNED_SECTIONS = where({ owner: "machine" });
export type OwnedSection = Where<{ readonly owner: "machine" }>;

/** The sections whose records are dated, ordered by `seq` and superseded rather than overwritten. */
export const DATED_SECTIONS = where({ isDated: true });
export type DatedSection = Where<{ readonly isDated: true }>;

/** The sections whose records may hold pictures. */
export const PICTURED_SECTIONS = where({ hasPictures: true });
export type PicturedSection = Where<{ readonly hasPictures: true }>;

/** The sections whose records others refer to. */
export const REFERRED_SECTIONS: readonly Section[] = SECTIONS.filter((section) =>
  SECTIONS.some((from) =>
    Object.values<ReferredTo | null>(DECLARED[from].refers).includes(section),
  ),
);

/** Whether the records of a section belong to no one machine. */
export function isShared(section: Section): section is SharedSection {
  return DECLARED[section].owner === "shared";
}

/** Whether the records of a section are dated and superseded rather than overwritten. */
export function isDated(section: Section): section is DatedSection {
  return DECLARED[section].isDated;
}
