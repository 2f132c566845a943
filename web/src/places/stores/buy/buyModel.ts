import {
  addDays,
  catalogueOf,
  formatDay,
  itemKey,
  stockFigure,
  type BoardMachine,
  type DayNumber,
  type NeededFor,
  type PackBought,
  type ShoppingLine,
  type StoreItem,
} from "@yonderfell/core";
import {
  counted,
  fullDate,
  listOfWords,
  NBSP,
  plainText,
  shortDate,
} from "../../../words/format.js";
import { money } from "../../../words/money.js";
import type { Shopping } from "../../../work/shelves.worker.js";
import { itemAmount, itemName, stockWords } from "../stockWords.js";

/** How far ahead one buys. */
export const SPANS = [
  ["14", "two weeks"],
  ["30", "the next month"],
  ["91", "three months"],
  ["182", "half a year"],
] as const;

/** The last day of a span. */
export const untilOf = (span: string, today: DayNumber): DayNumber =>
  addDays(today, Number(SPANS.find(([days]) => days === span)?.[0] ?? "30"));

/** What the lines of a list are worded with. */
export interface BuyWords {
  readonly nameOf: (item: StoreItem) => string;
  readonly tagOf: (machine: string) => string;
  readonly taskOf: (machine: string, task: string) => string;
  readonly findingOf: (finding: string) => string;
  readonly today: DayNumber;
  readonly currency: string;
}

/** The words of a list, from what it was made from. */
export function buyWords(
  { parts, products, findings, tasks }: Shopping,
  machines: readonly BoardMachine[],
  today: DayNumber,
  currency: string,
): BuyWords {
  const catalogue = catalogueOf({ parts, products });
  const tags = new Map<string, string>(machines.map(({ machine }) => [machine.id, machine.tag]));
  const names = new Map(tasks.map(({ id, machine, name }) => [`${machine} ${id}`, name]));
  const found = new Map<string, string>(
    findings.map(({ id, what, kind }) => [id, what ?? kind ?? "a finding"]),
  );
  return {
    nameOf: (item) => itemName(item, catalogue),
    tagOf: (machine) => tags.get(machine) ?? "",
    taskOf: (machine, task) => names.get(`${machine} ${task}`) ?? "",
    findingOf: (finding) => found.get(finding) ?? "a finding",
    ...{ today, currency },
  };
}

const workOf = (of: NeededFor, machine: string, words: BuyWords): string => {
  switch (of.code) {
    case "visit":
      return listOfWords(of.tasks.map((task) => words.taskOf(machine, task)).filter(Boolean));
    case "seal":
      return "seal";
    case "finding":
      return words.findingOf(of.finding);
    case "journey":
      return `journey: ${listOfWords(of.tasks.map((task) => words.taskOf(machine, task)))}`;
  }
};

/** What a line is for, work by work: `07 Oil and filter, 12 Dec: 6 L`. */
export function forWords({ needs, unit, least }: ShoppingLine, words: BuyWords): string[] {
  const lines = needs.map(({ machine, of, on, amount }) => {
    const isSettled = of.code !== "visit" || of.visit !== null;
    const day = on === null ? "no day yet" : shortDate(on, words.today);
    const work = workOf(of, machine, words);
    return `${words.tagOf(machine)}${NBSP}${work}, ${day}${isSettled ? "" : " (proposed)"}: ${itemAmount(amount, unit)}`;
  });
  return least > 0 ? [...lines, `to keep on the shelf: ${itemAmount(least, unit)}`] : lines;
}

/** A pack: `2 × 5 L`; pieces that are not packed `3`. */
const packWords = ({ count, size }: Pick<PackBought, "count" | "size">, unit: string): string =>
  unit === "piece"
    ? size === 1
      ? stockWords(count)
      : `${count} × ${stockWords(size)}`
    : `${count} × ${stockWords(size)}${NBSP}${unit}`;

/** What is bought of a line; what is missing where there is no pack. */
export function buyingWords({ buying, unit, short }: ShoppingLine): string {
  if (buying === null) return `${itemAmount(short, unit)}, no pack recorded`;
  return buying.packs.map((pack) => packWords(pack, unit)).join(" + ");
}

/** Who sells it, and what it costs. */
export function costWords({ buying }: ShoppingLine, { currency }: BuyWords): string {
  if (buying === null || buying.cost === null) return "cost unknown";
  return money(buying.cost, currency);
}

/** The sources of a line. */
export const sourcesOf = ({ buying }: ShoppingLine): string[] => [
  ...new Set((buying?.packs ?? []).flatMap(({ source }) => source ?? [])),
];

/** How a number was superseded, empty where it was not. */
export function numberWords({ instead, standsFor, item }: ShoppingLine, words: BuyWords): string {
  if (instead !== null) return `order ${instead}: it has taken the place of this number`;
  if (standsFor.length === 0) return "";
  const old = standsFor.map((part) => words.nameOf({ part }));
  return `in place of ${listOfWords(old.filter((name) => name !== words.nameOf(item)))}`;
}

/** What there is and what is on its way: `2 there, 1 on order`. */
export function thereWords({ onHand, onOrder, disagrees, unit }: ShoppingLine): string {
  const there = disagrees
    ? "the counts do not agree: taken as none"
    : `${itemAmount(onHand, unit)} there`;
  return onOrder > 0 ? `${there}, ${itemAmount(onOrder, unit)} on order` : there;
}

/** Why a bigger pack would pay, empty where none would. */
export function biggerWords({ bigger, unit }: ShoppingLine, { currency }: BuyWords): string {
  if (bigger === null) return "";
  const packs = bigger.packs.map((pack) => packWords(pack, unit)).join(" + ");
  const saved = money(bigger.inSmall - bigger.cost, currency);
  const aYear = Math.round(bigger.aYear * 10) / 10;
  return `A year takes ${itemAmount(aYear, unit)}: ${packs} for ${money(bigger.cost, currency)} is ${saved} cheaper than in these packs. Where it keeps that long.`;
}

/** A line by a key of its own. */
export const keyOfLine = ({ item }: ShoppingLine): string => itemKey(item);

/** The list as a table for a spreadsheet, with plain figures. */
export function buyTable({ list }: Shopping, words: BuyWords): string[][] {
  const plain = (text: string): string => plainText(text);
  const rows = list.toBuy.flatMap((line): string[][] => {
    const packs = line.buying?.packs ?? [];
    const common = (buy: string[]): string[] => [
      ...[line.by === null ? "" : formatDay(line.by), line.instead ?? "", words.nameOf(line.item)],
      ...buy,
      ...[line.needed + line.least, line.onHand, line.onOrder].map((one) =>
        String(stockFigure(one)),
      ),
      line.unit,
      plain(forWords(line, words).join("; ")),
    ];
    if (packs.length === 0) return [common(["", "", "", ""])];
    return packs.map(({ count, size, price, source }) =>
      common([
        ...[String(count), String(stockFigure(size))],
        ...[price === null ? "" : (price * count).toFixed(2), source ?? ""],
      ]),
    );
  });
  return [
    [
      ...["Wanted by", "Order instead", "Item", "Packs", "Pack of", "Cost", "From"],
      ...["Needed", "On hand", "On order", "Unit", "For"],
    ],
    ...rows,
  ];
}

/** The list as text for a message: what to buy where, by when. */
export function buyMessage({ list }: Shopping, words: BuyWords): string {
  const bySource = new Map<string, ShoppingLine[]>();
  for (const line of list.toBuy) {
    const source = sourcesOf(line).join(" and ") || "Source not known";
    bySource.set(source, [...(bySource.get(source) ?? []), line]);
  }
  const parts = [...bySource].map(([source, lines]) =>
    [
      `${source}:`,
      ...lines.map((line) => {
        const name =
          line.instead === null
            ? words.nameOf(line.item)
            : `${line.instead} (for ${words.nameOf(line.item)})`;
        const by = line.by === null ? "" : `, by ${fullDate(line.by)}`;
        return `- ${buyingWords(line)}: ${name}${by}, ${costWords(line, words)}`;
      }),
    ].join("\n"),
  );
  const unknown = list.unpriced > 0 ? `, ${counted(list.unpriced, "line")} of unknown cost` : "";
  const total = `Together ${money(list.cost, words.currency)}${unknown}.`;
  return plainText([...parts, total].join("\n\n"));
}
