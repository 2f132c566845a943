export { type StockItem, type StockList, stockOn } from "./stockOn.js";
export { wasteOn, type WasteStanding } from "./wasteOn.js";
export { type MissingFigure, type NeedsSource, taskNeeds, usualRate } from "./taskNeeds.js";
export { plainAmount, priceOfPart, type PriceOfOne } from "./price.js";
