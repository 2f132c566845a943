import type { Section } from "./recordSchemas.js";

/** What one record of each section and several of them are called. */
export const SECTION_WORDS = {
  machines: ["machine", "machines"],
  readings: ["reading", "readings"],
  meterChanges: ["meter change", "meter changes"],
  tasks: ["task", "tasks"],
  entries: ["entry", "entries"],
  fluids: ["fluid", "fluids"],
  servicePoints: ["service point", "service points"],
  specifications: ["specification", "specifications"],
  fitments: ["fitment", "fitments"],
  visits: ["visit", "visits"],
  journeys: ["journey", "journeys"],
  parts: ["part", "parts"],
  products: ["product", "products"],
  people: ["person", "people"],
  bays: ["bay", "bays"],
  places: ["place", "places"],
} as const satisfies Readonly<Record<Section, readonly [one: string, many: string]>>;
