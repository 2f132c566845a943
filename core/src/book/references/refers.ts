import type { IdPaths } from "./idPaths.js";
import type { Known } from "../records/known.js";
import type { RecordOf, Section } from "../records/recordSchemas.js";
import { SECTIONS } from "../records/sections.js";

/** What an id in a record is the id of; `null` where it only tells and need not be there. */
export type ReferredTo = Section | "meters" | "pictures";

/** The ids in a record, which the compiler knows; those that are keys of an object (`#`) are said by hand. */
type References<T> = { readonly [At in keyof IdPaths<T>]: IdPaths<T>[At] | null } & {
  readonly [At in `${string}.#`]: ReferredTo;
} & { readonly [At in `${string}.pictures.*.hash`]: "pictures" } & Pictures<T>;

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
    "regimes.*.*.checklist": "checklists",
    "nth.of": "tasks",
    "follows.task": "tasks",
    "follows.meter": "meters",
    "uses.*.fluid": "fluids",
    method: "methods",
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
    job: "jobs",
    round: "rounds",
    "closes.*": "findings",
    "pictures.*.hash": "pictures",
  },
  fluids: { product: "products" },
  servicePoints: { fluid: "fluids", "pictures.*.hash": "pictures" },
  specifications: {},
  fitments: { part: "parts", "tasks.*": "tasks" },
  visits: { "tasks.*": "tasks", "turns.*.task": "tasks", "without.*": "tasks" },
  journeys: { meter: "meters" },
  bookings: { "tasks.*": "tasks", "findings.*": "findings" },
  rounds: {
    checklist: "checklists",
    "meters.#": "meters",
    "estimatedMeters.*": "meters",
    "results.*.pictures.*.hash": "pictures",
  },
  findings: {
    "life.#": "meters",
    round: "rounds",
    job: "jobs",
    "parts.*.part": "parts",
    "dueAt.meter": "meters",
    "pictures.*.hash": "pictures",
  },
  samples: { fluid: "fluids", meter: "meters", product: "products" },
  // What was proposed of something is told, and hinders nobody from taking it out.
  lessons: { task: null, fluid: null, meter: null },
  jobs: {
    "tasks.*": "tasks",
    "steps.*.system": "fluids",
    "steps.*.tasks.*": "tasks",
    "steps.*.part": "parts",
    "findings.*": "findings",
    // A visit that is decided anew goes; the job it was begun for goes on.
    visit: null,
    "finished.entry": "entries",
  },
  jobEvents: { job: "jobs", "pictures.*.hash": "pictures" },
  parts: { "contains.*.part": "parts" },
  products: {},
  people: {},
  bays: { place: "places" },
  places: {},
  checklists: {},
  methods: {},
  closures: { person: "people", bay: "bays" },
  // A note of where it came from: the move stands whatever becomes of the work.
  stockMoves: { part: "parts", product: "products", entry: null },
  containers: {},
  wasteMoves: { container: "containers" },
  orders: {
    "lines.*.part": "parts",
    "lines.*.product": "products",
    "received.*.lines.*.part": "parts",
    "received.*.lines.*.product": "products",
  },
} as const satisfies { readonly [S in Section]: References<RecordOf[S]> };

/** The sections whose records others refer to. */
export const REFERRED_SECTIONS: readonly Section[] = SECTIONS.filter((section) =>
  SECTIONS.some((from) => Object.values<ReferredTo | null>(REFERS[from]).includes(section)),
);

/** The sections whose records may hold pictures. */
export const PICTURED_SECTIONS: readonly Section[] = SECTIONS.filter((section) =>
  Object.values<ReferredTo | null>(REFERS[section]).includes("pictures"),
);
