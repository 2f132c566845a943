import type { IdPaths } from "./idPaths.js";
import type { Known } from "../records/known.js";
import type { RecordOf, Section } from "../records/recordSchemas.js";
import { SECTIONS } from "../records/sections.js";

/** What an id in a record is the id of; `null` where it only tells and need not be there. */
export type ReferredTo = Section | "meters" | "pictures";

/** The ids in a record, which the compiler knows; those that are keys of an object (`#`) are said by hand. */
type References<T> = { readonly [At in keyof IdPaths<T>]: IdPaths<T>[At] | null } & {
  readonly [At in `${string}.#`]: ReferredTo;
} & Pictures<T>;

/** The pictures of a record, by their hash. */
type Pictures<T> = "pictures" extends keyof Known<T>
  ? { readonly "pictures.*.hash": "pictures" }
  : unknown;

/**
 * The ids that records of each section hold beside `machine` and `replaces`, by where they stand, and what
 * they are ids of. The compiler names each that is missing. Apart from what else is declared of sections,
 * because the first sight of a book does without.
 */
export const REFERS = {
  machines: {
    "runningIn.meter": "meters",
    "reminders.*.tasks.*": "tasks",
    "baseline.left.*": "tasks",
    place: "places",
    person: "people",
    "pictures.*.hash": "pictures",
  },
  readings: { meter: "meters" },
  meterChanges: { meter: "meters" },
  tasks: {
    "regimes.*.*.meter": "meters",
    "nth.of": "tasks",
    "follows.task": "tasks",
    "follows.meter": "meters",
    "uses.*.fluid": "fluids",
    "origin.machine": null,
  },
  entries: {
    "meters.#": "meters",
    "estimatedMeters.*": "meters",
    "tasks.*": "tasks",
    "wanted.*": "tasks",
    "lookAgain.*.task": "tasks",
    "lookAgain.*.meter": "meters",
    "fluids.*.fluid": "fluids",
    "fluids.*.product": "products",
    "parts.*.part": "parts",
  },
  fluids: { product: "products" },
  servicePoints: { fluid: "fluids", "pictures.*.hash": "pictures" },
  specifications: {},
  fitments: { part: "parts", "tasks.*": "tasks" },
  visits: { "tasks.*": "tasks", "turns.*.task": "tasks", "without.*": "tasks" },
  journeys: { meter: "meters" },
  parts: {},
  products: {},
  people: {},
  bays: { place: "places" },
  places: {},
} as const satisfies { readonly [S in Section]: References<RecordOf[S]> };

/** The sections whose records others refer to. */
export const REFERRED_SECTIONS: readonly Section[] = SECTIONS.filter((section) =>
  SECTIONS.some((from) => Object.values<ReferredTo | null>(REFERS[from]).includes(section)),
);

/** The sections whose records may hold pictures. */
export const PICTURED_SECTIONS: readonly Section[] = SECTIONS.filter((section) =>
  Object.values<ReferredTo | null>(REFERS[section]).includes("pictures"),
);
