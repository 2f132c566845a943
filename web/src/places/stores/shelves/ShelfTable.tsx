import { dayOf, stockWord, type DayNumber, type ShelfItem } from "@yonderfell/core";
import type { ReactElement } from "react";
import { counted, fullDate, shortDate } from "../../../words/format.js";
import { money } from "../../../words/money.js";
import { itemAmount } from "../stockWords.js";
import { ShelfBar } from "./ShelfBar.js";
import { keyOfShelfItem } from "./shelfModel.js";

const CELL = "border-t border-hairline py-1.5 pr-4 align-baseline";
const HEAD = "pr-4 pb-1 text-left text-fine font-semibold text-quiet";

/** The items of shelves as a table; on a narrow screen an item is a block of its own. */
export function ShelfTable({
  items,
  today,
  currency,
  onMove,
}: {
  readonly items: readonly ShelfItem[];
  readonly today: DayNumber;
  readonly currency: string;
  readonly onMove: (item: ShelfItem) => void;
}): ReactElement {
  return (
    <table className="w-full max-lg:block">
      <thead className="max-lg:sr-only">
        <tr>
          <th scope="col" className={HEAD}>
            Item
          </th>
          <th scope="col" className={HEAD}>
            Shelf
          </th>
          <th scope="col" className={`${HEAD} text-right`}>
            On hand
          </th>
          <th scope="col" className={`${HEAD} print:hidden`}>
            <span className="sr-only">Drawn</span>
          </th>
          <th scope="col" className={HEAD}>
            Counted
          </th>
          <th scope="col" className={HEAD}>
            Last moved
          </th>
          <th scope="col" className={`${HEAD} text-right`}>
            Worth
          </th>
          <th scope="col" className={`${HEAD} print:hidden`}>
            <span className="sr-only">Write down</span>
          </th>
        </tr>
      </thead>
      <tbody className="max-lg:block">
        {items.map((one) => (
          <ShelfRow
            key={keyOfShelfItem(one)}
            one={one}
            today={today}
            currency={currency}
            onMove={onMove}
          />
        ))}
      </tbody>
    </table>
  );
}

function ShelfRow({
  one,
  today,
  currency,
  onMove,
}: {
  readonly one: ShelfItem;
  readonly today: DayNumber;
  readonly currency: string;
  readonly onMove: (item: ShelfItem) => void;
}): ReactElement {
  const { stock, number, name, shelves, moved, isStill, worth } = one;
  const { onHand, unit, counted: countedOn } = stock;
  return (
    <tr className="max-lg:grid max-lg:grid-cols-[1fr_auto] max-lg:border-t max-lg:border-hairline max-lg:py-2 max-lg:[&>td]:border-t-0 max-lg:[&>td]:py-0.5">
      <td className={CELL}>
        <WhatItIs one={one} today={today} />
      </td>
      <td className={`${CELL} text-quiet max-lg:order-3`}>
        <span className="lg:hidden">shelf </span>
        {shelves.length === 0 ? "not said" : shelves.join(", ")}
      </td>
      <td className={`${CELL} text-right text-large font-bold tabular-nums`}>
        {itemAmount(onHand, unit)}
      </td>
      <td className={`${CELL} align-top max-lg:hidden print:hidden`}>
        <ShelfBar stock={stock} />
      </td>
      <td className={`${CELL} max-lg:hidden`}>
        {countedOn === null ? (
          <span className="text-quiet">never</span>
        ) : (
          fullDate(dayOf(countedOn))
        )}
      </td>
      <td className={`${CELL} max-lg:hidden`}>
        {moved === null ? <span className="text-quiet">never</span> : shortDate(moved, today)}
        {isStill && <span className="block text-fine text-soon-text">a year or more ago</span>}
      </td>
      <td className={`${CELL} text-right tabular-nums max-lg:hidden`}>
        {worth === null ? <span className="text-quiet">no price</span> : money(worth, currency)}
      </td>
      <td className={`${CELL} text-right max-lg:order-4 print:hidden`}>
        <button
          type="button"
          aria-label={`Write down what came or went of ${number} ${name}`}
          className="text-clear hover:underline"
          onClick={() => onMove(one)}
        >
          Came or went
        </button>
      </td>
    </tr>
  );
}

/** What an item is, and what deserves a word of it. */
function WhatItIs({
  one: { stock, number, name, open, bestBefore },
  today,
}: {
  readonly one: ShelfItem;
  readonly today: DayNumber;
}): ReactElement {
  const { onHand, unit, least } = stock;
  const word = stockWord(stock);
  const isPast = bestBefore !== null && bestBefore < today;
  return (
    <>
      {number !== "" && <span className="mr-1 font-mono font-bold">{number}</span>}{" "}
      <span className="font-medium">{name}</span>
      {word !== "" && (
        <strong className={`block text-fine ${onHand < 0 ? "text-overdue" : "text-due"}`}>
          {onHand < 0 ? `${word}: count it` : `below its least, ${itemAmount(least ?? 0, unit)}`}
        </strong>
      )}
      {open > 0 && (
        <span className={`block text-fine ${isPast ? "font-semibold text-due" : "text-quiet"}`}>
          {counted(open, "open container")}
          {bestBefore !== null &&
            `, best before ${fullDate(bestBefore)}${isPast ? ": past, do not use it" : ""}`}
        </span>
      )}
    </>
  );
}
