import {
  byDate,
  currentRecords,
  dayOf,
  itemKey,
  itemNamed,
  type StockMove,
  type StockUnit,
  type StoreItem,
} from "@yonderfell/core";
import type { ReactElement } from "react";
import { useLiveOf } from "../../../data/useLiveOf.js";
import { useBook } from "../../../session/openBook.js";
import { fullDate } from "../../../words/format.js";
import { money } from "../../../words/money.js";
import { quantityWords } from "../../../words/quantityWords.js";
import { useCurrency } from "../../shared/currency/useCurrency.js";
import { itemAmount, MOVE_WORDS } from "../stockWords.js";
import { useMoves } from "./useMoves.js";

/** So many of the latest moves are listed. */
const LATEST = 8;

/** What came, went and was counted of an item lately; what was mistaken is struck out, and stays among the superseded. */
export function MovesOf({
  item,
  unit,
}: {
  readonly item: StoreItem;
  readonly unit: StockUnit;
}): ReactElement | null {
  const { storage } = useBook();
  const { strike, failure } = useMoves();
  const moves = useLiveOf("moves", () => storage.list("stockMoves"), [storage]);
  const key = itemKey(item);
  const own = currentRecords(moves ?? [])
    .filter(({ record }) => {
      const named = itemNamed(record);
      return named !== null && itemKey(named) === key;
    })
    .sort(byDate)
    .slice(-LATEST)
    .reverse();
  if (own.length === 0) return null;
  return (
    <section aria-labelledby="moves-of" className="pb-3">
      <h3 id="moves-of" className="text-fine font-semibold text-quiet">
        Came and went so far
      </h3>
      <p role="alert" className="text-due empty:hidden">
        {failure}
      </p>
      <ul>
        {own.map(({ record }) => (
          <MoveLine
            key={record.id}
            move={record}
            unit={unit}
            onStrike={() => void strike(record.id)}
          />
        ))}
      </ul>
    </section>
  );
}

function MoveLine({
  move: { date, why, amount, price, source, note },
  unit,
  onStrike,
}: {
  readonly move: StockMove;
  readonly unit: StockUnit;
  readonly onStrike: () => void;
}): ReactElement {
  const currency = useCurrency();
  const day = fullDate(dayOf(date));
  const much = typeof amount === "number" ? itemAmount(amount, unit) : quantityWords(amount);
  const more = [typeof price === "number" ? money(price, currency) : "", source ?? "", note ?? ""];
  return (
    <li className="flex flex-wrap items-center gap-x-4 border-t border-hairline py-1 sm:grid sm:grid-cols-[7rem_8rem_5rem_1fr_auto]">
      <span>{day}</span>
      <span>{MOVE_WORDS[why]}</span>
      <span className="font-semibold tabular-nums">{much}</span>
      <span className="text-quiet">{more.filter(Boolean).join(", ")}</span>
      <button
        type="button"
        aria-label={`Strike out ${MOVE_WORDS[why]} ${much} on ${day}`}
        className="ml-auto min-h-9 text-clear hover:underline"
        onClick={onStrike}
      >
        Strike out
      </button>
    </li>
  );
}
