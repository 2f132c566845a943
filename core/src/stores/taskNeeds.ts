import type { Fluid } from "../book/records/fluid.js";
import type { TaskId } from "../book/records/ids.js";
import type { MachinePlate } from "../book/slice/machinePlate.js";
import type { Part } from "../book/records/part.js";
import type { Product } from "../book/records/product.js";
import type { Task, TaskUse } from "../book/records/task.js";
import type { Person } from "../book/records/workshop.js";
import { capacityAnswers, type CapacityAnswer } from "../fluid/capacity.js";
import type { Quantity } from "../quantity/quantity.js";
import { plainAmount, priceOfPart, priceOfProduct } from "./price.js";

/** What one turn of a task takes, in litres and the book's money; null where it is not known. */
export interface TaskNeeds {
  readonly minutes: number | null;
  readonly litres: number;
  /** Parts at their cheapest source, shares of packs. */
  readonly parts: number;
  readonly fluids: number;
  /** Minutes at the rate. */
  readonly labour: number;
  /** What has no figure: the sums leave it out. */
  readonly missing: readonly MissingFigure[];
}

/** A figure that is not recorded, so that a sum leaves it out. */
export type MissingFigure =
  | { readonly code: "minutes"; readonly what: string }
  | { readonly code: "price"; readonly what: string }
  | { readonly code: "capacity"; readonly what: string }
  | { readonly code: "product"; readonly what: string }
  | { readonly code: "rate"; readonly what: string };

/** What the needs of tasks are reckoned from. */
export interface NeedsSource {
  readonly plate: MachinePlate;
  readonly parts: readonly Part[];
  readonly products: readonly Product[];
  /** What an hour of work costs; null where nobody has a rate. */
  readonly rate: number | null;
}

const MINUTES_AN_HOUR = 60;

/** What an hour costs where it is not said who does it: the mean rate of those who are there; null where none has a rate. */
export function usualRate(people: readonly Person[]): number | null {
  const rates = people.flatMap(({ rate, hasLeft }) => (hasLeft === true ? [] : (rate ?? [])));
  return rates.length === 0 ? null : rates.reduce((sum, rate) => sum + rate, 0) / rates.length;
}

/** How much of a fluid one turn takes, in litres (or kilograms): as the task says, else the working capacity of the condition it names, else of the first there is. */
export function amountOfUse(use: TaskUse, fluid: Fluid | undefined): number | null {
  const quantity = quantityOfUse(use, fluid);
  return quantity === null ? null : plainAmount(quantity);
}

/** The same as it is recorded, in its own unit. */
export function quantityOfUse(use: TaskUse, fluid: Fluid | undefined): Quantity | null {
  return use.quantity ?? (fluid === undefined ? null : workingQuantity(fluid, use.condition));
}

/** What is known of a condition, else of the first there is. */
function meantAnswer(fluid: Fluid, condition: string | null | undefined): CapacityAnswer | null {
  const answers = capacityAnswers(fluid);
  return answers.find((answer) => answer.condition === condition) ?? answers[0] ?? null;
}

/** The working capacity of a fluid system for a condition, else for the first there is; null where none is recorded. */
export function workingQuantity(
  fluid: Fluid,
  condition: string | null | undefined,
): Quantity | null {
  return meantAnswer(fluid, condition)?.working.quantity ?? null;
}

/** The condition under which a use goes by the plate: its own, or that of the capacity it is worked by; null where it says how much itself, or nothing is recorded. */
export function conditionOfUse({ condition, quantity }: TaskUse, fluid: Fluid): string | null {
  if (condition) return condition;
  return quantity ? null : (meantAnswer(fluid, condition)?.condition ?? null);
}

/** What one turn of a task takes: parts by the fitments that name it, fluids by the plate, minutes at the rate. */
export function taskNeeds(task: Task, source: NeedsSource): TaskNeeds {
  const missing: MissingFigure[] = [];
  const minutes = task.minutes ?? null;
  if (minutes === null) missing.push({ code: "minutes", what: task.name });
  if (minutes !== null && source.rate === null) missing.push({ code: "rate", what: task.name });
  const labour = ((minutes ?? 0) / MINUTES_AN_HOUR) * (source.rate ?? 0);
  const parts = partsOf(task.id, source, missing);
  const { litres, fluids } = fluidsOf(task, source, missing);
  return { minutes, litres, parts, fluids, labour, missing };
}

function partsOf(task: TaskId, { plate, parts }: NeedsSource, missing: MissingFigure[]): number {
  let sum = 0;
  for (const { part: id, perService, tasks } of plate.fitments) {
    if (!(tasks ?? []).includes(task)) continue;
    const part = parts.find((one) => one.id === id);
    const price = part === undefined ? null : priceOfPart(part);
    if (price === null) missing.push({ code: "price", what: part?.name ?? id });
    else sum += (perService ?? 1) * price.price;
  }
  return sum;
}

function fluidsOf(
  task: Task,
  { plate, products }: NeedsSource,
  missing: MissingFigure[],
): Pick<TaskNeeds, "litres" | "fluids"> {
  let litres = 0;
  let fluids = 0;
  for (const use of task.uses ?? []) {
    const fluid = plate.fluids.find((one) => one.id === use.fluid);
    const system = fluid?.system ?? use.fluid;
    const amount = amountOfUse(use, fluid);
    if (amount === null) {
      missing.push({ code: "capacity", what: system });
      continue;
    }
    litres += amount;
    const product = products.find((one) => one.id === fluid?.product);
    if (product === undefined) missing.push({ code: "product", what: system });
    const price = product === undefined ? null : priceOfProduct(product);
    if (price !== null) fluids += amount * price.price;
    else if (product !== undefined) missing.push({ code: "price", what: product.name });
  }
  return { litres, fluids };
}
