import {
  catalogueOf,
  dayOf,
  DEFAULT_PLANNING,
  EMPTY_PLATE,
  machineBooksOf,
  needsAhead,
  planUntil,
  settingsOf,
  shoppingList,
  stockOn,
  usedInYear,
  visitsOfMachine,
  type Book,
  type DayNumber,
  type MachineId,
  type VisitAhead,
} from "@yonderfell/core";
import { report } from "./browser.js";
import { largeBook, type BookSize } from "./largeBook.js";
import { medianTimes } from "./median.js";

/** 200 machines of 20 tasks each. */
const SIZE: BookSize = { machines: 200, tasksEach: 20, readingsEach: 150, entriesEach: 50 };
const WEEKS = 26;
const PRODUCTS = 12;
const PARTS = 60;
const FLUIDS_EACH = 4;
const MOST_MS = 1000;

const L = (value: number): object => ({ value, unit: "L" });
const priced = (price: number): object => ({ prices: [{ source: "Bench Factors", price }] });

/** A book of machines that take oils and filters, some of which are in stock and on order. */
function bookToShop(today: DayNumber): Book {
  const book = largeBook(SIZE, today);
  const products = Array.from({ length: PRODUCTS }, (_, at) => ({
    ...{ id: `oil${at}`, name: `Oil ${at}`, kind: "engine oil" },
    packs: [5, 20, 60, 200].map((size) => ({ quantity: L(size), ...priced(size * 4 - size / 40) })),
  }));
  const parts = Array.from({ length: PARTS }, (_, at) => ({
    ...{ id: `part${at}`, name: `Filter ${at}`, number: `F ${at}`, pack: 1 + (at % 3) },
    ...{ ...priced(5 + at), least: at % 4 },
    ...(at % 10 === 0 && at + 1 < PARTS ? { supersededBy: `F ${at + 1}` } : {}),
  }));
  const machines = book.machines ?? [];
  const fluids = machines.flatMap(({ id }, machine) =>
    Array.from({ length: FLUIDS_EACH }, (_, at) => ({
      ...{ id: `${id} f${at}`, machine: id, system: `system ${at}`, kind: "engine oil" },
      ...{ product: `oil${(machine + at) % PRODUCTS}` },
      capacities: [{ source: "handbook", condition: "drain and fill", quantity: L(4 + at * 3) }],
    })),
  );
  const tasks = (book.tasks ?? []).map((task, at) => ({
    ...{ ...task, minutes: 20 },
    ...(at % 3 === 0 ? { uses: [{ fluid: `${task.machine} f${at % FLUIDS_EACH}` }] } : {}),
  }));
  const fitments = tasks.map((task, at) => ({
    ...{ id: `fit${at}`, machine: task.machine, part: `part${at % PARTS}`, tasks: [task.id] },
  }));
  const orders = [
    {
      ...{ id: "o", source: "Bench Factors", placed: "2026-11-01" },
      lines: parts.slice(0, 20).map(({ id }) => ({ part: id, count: 4 })),
    },
  ];
  const own = { products, parts, fluids, tasks, fitments, orders };
  return { ...book, ...own, entries: [], stockMoves: [] } as unknown as Book;
}

/** The visits ahead of a book, as they are planned. */
function visitsOf(book: Book, today: DayNumber): Map<MachineId, VisitAhead[]> {
  const planning = { ...DEFAULT_PLANNING, weeks: WEEKS };
  const source = { settings: settingsOf(book), planning, parts: [], products: [], rate: 40 };
  return new Map(
    machineBooksOf(book).map((own) => {
      const plan = visitsOfMachine(own, EMPTY_PLATE, { visits: [], journeys: [] }, source, today);
      const visits = plan.visits.map(({ day, turns }) => ({
        ...{ day, visit: null, tasks: turns.map(({ task }) => task) },
      }));
      return [own.machines[0].id, visits];
    }),
  );
}

/** Measures what to buy for 200 machines over 26 weeks, the visits being planned: what they need, what there is, in which packs. */
export function measureShopping(parse: number): void {
  const today = dayOf("2026-11-23");
  const book = bookToShop(today);
  const visits = visitsOf(book, today);
  const until = planUntil(today, { weeks: WEEKS });
  let lines = 0;
  let needed = 0;
  const make = (): void => {
    const { needs } = needsAhead(book, visits, { today, until, machines: null });
    const list = shoppingList(needs, {
      ...{ catalogue: catalogueOf(book), stock: stockOn(book, today), orders: book.orders ?? [] },
      ...{ aYear: usedInYear(book, today), source: null },
    });
    lines = list.toBuy.length;
    needed = needs.length;
  };
  const [time = 0] = medianTimes([make], 5, 1);
  const count = [...visits.values()].flat().length;
  console.log(
    `shopping: ${count} visits of ${SIZE.machines} machines need ${needed} things, ${lines} to buy`,
  );
  report("what to buy over 26 weeks, visits planned", time, MOST_MS);
  console.log(`what to buy: ${(time / parse).toFixed(3)} × JSON.parse of the large book`);
}
