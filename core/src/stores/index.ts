export {
  type ContainerStanding,
  containersOn,
  shareOfContainer,
  type WasteOfSpan,
  wasteOfSpan,
} from "./containersOn.js";
export {
  type ContainerAhead,
  containerAhead,
  type DrainAhead,
  drainsAhead,
} from "./drainsAhead.js";
export {
  type Catalogue,
  catalogueOf,
  currentNumber,
  itemKey,
  itemNamed,
  type StoreItem,
  unitOfItem,
} from "./item.js";
export type { StoreNeed, NeedGap, NeededFor, VisitAhead } from "./needs.js";
export { type AheadBook, type Horizon, needsAhead, type VisitsAhead } from "./needsAhead.js";
export type { BiggerPack, Buying, PackBought, PackOffer } from "./offers.js";
export {
  type CameOf,
  closeLine,
  type OrderIssue,
  type OrderPlaced,
  placeOrder,
  receiveOrder,
} from "./orderCommands.js";
export { isOpenOrder, type LineStanding, orderStanding } from "./orders.js";
export { plannedDrains } from "./plannedDrains.js";
export {
  currentPrices,
  plainAmount,
  priceOfPart,
  priceOfProduct,
  type PriceOfOne,
} from "./price.js";
export { inTheEnd, type OwnLine, type OwnWork, ownWork, quoteTotal } from "./quote.js";
export { type ShelfItem, shelfList, stockFigure, stockTable, stockWord } from "./shelfList.js";
export {
  type ShoppingLine,
  type ShoppingList,
  shoppingList,
  type SourceSum,
} from "./shoppingList.js";
export {
  amountIn,
  type CountBeside,
  countsBeside,
  countsLess,
  countStock,
  type KitRest,
  kitRests,
  moveStock,
  returnFromKit,
  type StockIssue,
  stockMoveOf,
  type StockTold,
  strikeMove,
} from "./stockCommands.js";
export { type StockItem, type StockList, stockOn, type StockUnit } from "./stockOn.js";
export {
  offersAnswerSchema,
  priceHistory,
  priceRise,
  type SupplierAnswer,
  type SupplierOffer,
  type SupplierOrder,
  supplierOrderSchema,
} from "./supplier.js";
export { type MissingFigure, type NeedsSource, taskNeeds, usualRate } from "./taskNeeds.js";
export { usedInYear } from "./usedInYear.js";
export {
  keepContainer,
  moveWaste,
  strikeWaste,
  type WasteIssue,
  type WasteTold,
} from "./wasteCommands.js";
export { type WasteAmount, wasteOn, type WasteStanding } from "./wasteOn.js";
