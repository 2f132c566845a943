/** What a book file calls itself in its `format` field. */
export const BOOK_FORMAT = "yonderfell-book";

/** The version this program writes. */
export const BOOK_VERSION = 1;

/** The sections of which the due rules speak (due rules §1). */
export const RULE_SECTIONS = ["machines", "readings", "meterChanges", "tasks", "entries"] as const;
export type RuleSection = (typeof RULE_SECTIONS)[number];

/** The sections of a machine's plate: what belongs in it and on it. */
export const PLATE_SECTIONS = ["fluids", "servicePoints", "specifications", "fitments"] as const;
export type PlateSection = (typeof PLATE_SECTIONS)[number];

/** The sections of what is planned for a machine. */
export const PLANNED_SECTIONS = ["visits", "journeys"] as const;
export type PlannedSection = (typeof PLANNED_SECTIONS)[number];

/** The sections of what belongs to no one machine. */
export const SHARED_SECTIONS = ["parts", "products", "people", "bays", "places"] as const;
export type SharedSection = (typeof SHARED_SECTIONS)[number];

/** The sections that hold records, in the order of the file. */
export const SECTIONS = [
  ...RULE_SECTIONS,
  ...PLATE_SECTIONS,
  ...PLANNED_SECTIONS,
  ...SHARED_SECTIONS,
] as const;
export type Section = (typeof SECTIONS)[number];

/** The sections whose records are dated, ordered by `seq` and superseded rather than overwritten. */
export const DATED_SECTIONS = ["readings", "meterChanges", "entries"] as const;
export type DatedSection = (typeof DATED_SECTIONS)[number];
