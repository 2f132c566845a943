import type { Entry, Fluid, Part, Price, Product, Quantity } from "@yonderfell/core";
import { valueIn } from "@yonderfell/core";
import { PARTS, PEOPLE, PRODUCTS } from "./catalogue.js";
import { ESTIMATES } from "./estimates.js";
import { q } from "./plate.js";
import { between, type Random } from "./random.js";
import type { ScenarioMachine } from "./scenario.js";
import { BILLED, UNDER_WARRANTY, USED_FLUIDS } from "./usedFluids.js";

type FluidUsed = NonNullable<Entry["fluids"]>[number];
type PartUsed = NonNullable<Entry["parts"]>[number];

const DAYS_IN_YEAR = 365.25;
/** Prices rise by so much a year. */
const DEARER = 1.045;
/** One line in so many has no price noted. */
const WITHOUT_PRICE = 0.08;
const USUAL_MINUTES = 40;
const BILLED_BY = { fee: "test at Nether Skarrow", shop: "Fen End Works" } as const;

const rounded = (value: number, step: number): number =>
  Math.round(Math.round(value / step) * step * 1000) / 1000;

/** A price of today as it was so many days ago. */
const then = (price: number, ago: number): number =>
  rounded(price / DEARER ** (ago / DAYS_IN_YEAR), 0.01);

const cheapest = (prices: readonly Price[] = []): number | null =>
  prices.length === 0 ? null : Math.min(...prices.map(({ price }) => price));

/** What a litre of a product costs in its cheapest pack. */
function priceOfLitre({ packs = [] }: Product): number | null {
  const each = packs.flatMap(({ quantity, prices }) => {
    const price = cheapest(prices);
    return price === null ? [] : [price / valueIn(quantity, "L")];
  });
  return each.length === 0 ? null : Math.min(...each);
}

const noted = (price: number | null, ago: number, random: Random): object =>
  random() < WITHOUT_PRICE || price === null ? {} : { price: then(price, ago) };

/** What a product cost a litre so many days ago, noted mostly. */
function litreOf(id: string | null | undefined, ago: number, random: Random): object {
  const product = PRODUCTS.find((one) => one.id === id);
  return noted(product === undefined ? null : priceOfLitre(product), ago, random);
}

/** What stands in the handbook is not what some take: as a share of it. */
const TAKES: Readonly<Record<string, number>> = { "f-hat-oil": 0.92 };

function fluidUsed(
  fluid: Pick<Fluid, "id" | "capacities" | "working" | "product">,
): { readonly quantity: Quantity; readonly condition: string } | null {
  const chosen = fluid.working?.[0]?.capacity;
  const capacity =
    fluid.capacities?.find(({ id }) => id === chosen) ?? fluid.capacities?.[0] ?? null;
  if (capacity === null) return null;
  const { value, unit } = capacity.quantity;
  const takes = value * (TAKES[fluid.id] ?? 1);
  return { quantity: q(takes, unit), condition: capacity.condition };
}

function fluidsOf(
  machine: ScenarioMachine,
  tasks: readonly string[],
  ago: number,
  random: Random,
): FluidUsed[] {
  return tasks.flatMap((task): FluidUsed[] => {
    const fluid = (machine.fluids ?? []).find(({ id }) => id === USED_FLUIDS[task]);
    const filling = fluid === undefined ? null : fluidUsed(fluid);
    if (fluid === undefined || filling === null) return [];
    const { quantity: capacity, condition } = filling;
    const step = capacity.value < 2 ? 0.05 : 0.1;
    const filled = rounded(capacity.value * between(random, 0.985, 1.01), step);
    const drained = rounded(filled * between(random, 0.92, 0.99), step);
    const { product } = fluid;
    const used = {
      ...{ fluid: fluid.id, condition },
      ...{ out: q(drained, capacity.unit), in: q(filled, capacity.unit) },
    };
    const from = { ...litreOf(product, ago, random), from: "stock" as const };
    return [{ ...used, onMark: true, ...(product ? { product, ...from } : {}) }];
  });
}

function partsOf(
  { fitments = [] }: ScenarioMachine,
  tasks: readonly string[],
  ago: number,
  random: Random,
): PartUsed[] {
  return fitments.flatMap((fitment): PartUsed[] => {
    if (fitment.tasks?.some((task) => tasks.includes(task)) !== true) return [];
    const part = PARTS.find(({ id }) => id === fitment.part);
    if (part === undefined) return [];
    const each = priceOfOne(part);
    const from = isKept(part) ? ("stock" as const) : ("bought" as const);
    const count = fitment.perService ?? 1;
    return [{ part: part.id, count, ...noted(each, ago, random), from }];
  });
}

/** What one of a part costs. */
function priceOfOne({ prices, pack }: Part): number | null {
  const price = cheapest(prices);
  return price === null ? null : price / (pack ?? 1);
}

/** Filters, seals and plugs are on the shelf; the rest is bought when it is wanted. */
export function isKept({ kind }: Pick<Part, "kind">): boolean {
  return ["filter", "seal", "plug"].includes(kind ?? "");
}

/** What an entry of so many days ago says of the work beside the tasks it did. */
export function workOf(
  machine: ScenarioMachine,
  tasks: readonly string[],
  ago: number,
  random: Random,
): Partial<Entry> {
  const billed = tasks.flatMap((task) => {
    const bill = BILLED[task];
    return bill === undefined ? [] : [{ kind: bill[0], amount: then(bill[1], ago) }];
  });
  const own = tasks.filter((task) => BILLED[task] === undefined);
  const [first, second] = PEOPLE;
  const person = random() < 0.7 ? first : second;
  const minutes = own.reduce(
    (sum, task) => sum + (ESTIMATES[task] ?? USUAL_MINUTES) * between(random, 0.8, 1.3),
    0,
  );
  const fluids = fluidsOf(machine, own, ago, random);
  const parts = partsOf(machine, own, ago, random);
  const costs = billed.map(({ kind, amount }) => ({ what: BILLED_BY[kind], amount, kind }));
  const isWarranty = tasks.some((task) => UNDER_WARRANTY.has(task));
  return {
    ...(fluids.length === 0 ? {} : { fluids }),
    ...(parts.length === 0 ? {} : { parts }),
    ...(own.length === 0 || person === undefined
      ? {}
      : {
          work: [
            {
              person: person.id,
              minutes: Math.max(5, rounded(minutes, 5)),
              ...(person.rate ? { rate: then(person.rate, ago) } : {}),
            },
          ],
        }),
    ...(costs.length === 0 ? {} : { costs }),
    ...(isWarranty ? { warranty: true } : {}),
  };
}

/** The gritter's engine has begun to use oil: litres by days ago. */
const TOP_UPS: Readonly<Record<string, readonly (readonly [number, number])[]>> = {
  "m-gritter": [
    [950, 0.4],
    [812, 0.5],
    [560, 0.5],
    [452, 0.6],
    [231, 0.8],
    [147, 1],
    [68, 1.4],
    [33, 1.3],
    [12, 1.6],
  ],
};

/** The mower's engine took a little between services for years, then far more: litres by hours run since. */
const TOP_UPS_BY_RUN: Readonly<Record<string, readonly (readonly [number, number])[]>> = {
  "m-mower": [
    [1110, 0.3],
    [955, 0.25],
    [806, 0.35],
    [662, 0.3],
    [515, 0.35],
    [362, 0.3],
    [232, 0.4],
    [178, 0.5],
  ],
};

interface ToppedUp {
  readonly daysAgo: number;
  readonly says: Partial<Entry>;
}

/** What was topped up on a machine, by days ago; `agoAt` tells how many days ago it had so much less on its first meter. */
export function topUpsOf(
  machine: ScenarioMachine,
  random: Random,
  agoAt: (run: number) => number,
): ToppedUp[] {
  const fluid = machine.fluids?.[0];
  const product = fluid?.product ?? null;
  const toppedUp = (daysAgo: number, litres: number, more: object): ToppedUp => {
    const fluids = [{ fluid: fluid?.id, product, in: q(litres, "L"), ...more }];
    return { daysAgo, says: { isTopUp: true, fluids } as unknown as Partial<Entry> };
  };
  return [
    ...(TOP_UPS[machine.id] ?? []).map(([daysAgo, litres]) =>
      toppedUp(daysAgo, litres, { from: "stock", ...litreOf(product, daysAgo, random) }),
    ),
    ...(TOP_UPS_BY_RUN[machine.id] ?? []).map(([run, litres]) =>
      toppedUp(agoAt(run), litres, { from: "bought" }),
    ),
  ];
}
