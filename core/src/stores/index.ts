export { type MissingFigure, type NeedsSource, taskNeeds, usualRate } from "./taskNeeds.js";
