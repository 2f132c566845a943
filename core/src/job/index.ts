export { type JobState, jobState } from "./jobState.js";
export { readJobFile } from "./jobFile.js";
export { DANGERS } from "./make/cautions.js";
export { makeCard, type MadeCard } from "./make/makeCard.js";
export type { CardLack } from "./make/places.js";
export { METHODS } from "./make/library/index.js";
export { cardFrom, type CardFrom } from "./make/cardFrom.js";
