import type { ShoppingLine } from "@yonderfell/core";
import type { ReactElement } from "react";
import { shortDate } from "../../../words/format.js";
import { itemAmount } from "../stockWords.js";
import {
  biggerWords,
  buyingWords,
  costWords,
  forWords,
  keyOfLine,
  numberWords,
  sourcesOf,
  thereWords,
  type BuyWords,
} from "./buyModel.js";
import { useBasket } from "./useBasket.js";

/** So many jobs of a line are listed at once; the rest on a press. */
const FIRST_JOBS = 3;

/** The lines of a shopping list: by when, what, in which packs, what it costs, and what for. */
export function BuyLines({
  lines,
  words,
}: {
  readonly lines: readonly ShoppingLine[];
  readonly words: BuyWords;
}): ReactElement {
  const { taken, toggle } = useBasket();
  return (
    <ul className="max-w-5xl">
      {lines.map((line) => (
        <BuyLine
          key={keyOfLine(line)}
          line={line}
          words={words}
          isTaken={taken.has(keyOfLine(line))}
          onTake={toggle}
        />
      ))}
    </ul>
  );
}

const thereTone = ({ disagrees }: ShoppingLine): string =>
  disagrees ? "font-semibold text-overdue" : "text-quiet";

function BuyLine({
  line,
  words,
  isTaken,
  onTake,
}: {
  readonly line: ShoppingLine;
  readonly words: BuyWords;
  readonly isTaken: boolean;
  readonly onTake: (key: string) => void;
}): ReactElement {
  const { by, unit, buying } = line;
  const isToBuy = line.short > 0;
  const superseded = numberWords(line, words);
  const bigger = biggerWords(line, words);
  return (
    <li className="grid break-inside-avoid items-start gap-x-5 gap-y-0.5 border-t border-hairline py-2 max-sm:grid-cols-[auto_1fr] sm:grid-cols-[1.5rem_7.5rem_9rem_1fr_8rem] print:grid-cols-[1.2rem_4.5rem_7rem_1fr_6.5rem] print:gap-x-3">
      {isToBuy ? (
        <Tick
          name={words.nameOf(line.item)}
          isTaken={isTaken}
          onTake={() => onTake(keyOfLine(line))}
        />
      ) : (
        <span />
      )}
      <span className="text-quiet tabular-nums">
        {isToBuy && by !== null && (
          <>
            by <strong className="text-ink">{shortDate(by, words.today)}</strong>
          </>
        )}
        {isToBuy && by === null && "no day"}
        {!isToBuy && "covered"}
      </span>
      <strong
        className={`text-large leading-tight tabular-nums max-sm:col-start-2 ${isTaken ? "line-through" : ""}`}
      >
        {isToBuy ? buyingWords(line) : itemAmount(line.needed + line.least, unit)}
      </strong>
      <div className="max-sm:col-start-2">
        <span className={`font-semibold ${isTaken ? "text-quiet line-through" : ""}`}>
          {words.nameOf(line.item)}
        </span>
        {superseded !== "" && <strong className="block text-soon-text">{superseded}</strong>}
        <span className={`block text-fine ${thereTone(line)}`}>
          {thereWords(line)}
          {buying !== null &&
            buying.left > 0.0005 &&
            `; ${itemAmount(buying.left, unit)} left over`}
        </span>
        <Jobs jobs={forWords(line, words)} />
        {bigger !== "" && <span className="block text-fine text-clear">{bigger}</span>}
      </div>
      <div className="text-right tabular-nums max-sm:col-start-2 max-sm:text-left">
        {isToBuy && <Cost line={line} words={words} />}
      </div>
    </li>
  );
}

/** Whether it is in the basket already. */
function Tick({
  name,
  isTaken,
  onTake,
}: {
  readonly name: string;
  readonly isTaken: boolean;
  readonly onTake: () => void;
}): ReactElement {
  return (
    <label className="-m-3 grid size-11 place-items-center max-sm:size-12">
      <input
        type="checkbox"
        aria-label={`In the basket: ${name}`}
        className="size-6 accent-(--clear) print:size-5"
        checked={isTaken}
        onChange={onTake}
      />
    </label>
  );
}

/** What a line costs, and from whom. */
function Cost({
  line,
  words,
}: {
  readonly line: ShoppingLine;
  readonly words: BuyWords;
}): ReactElement {
  const isKnown = (line.buying?.cost ?? null) !== null;
  return (
    <>
      <span className={isKnown ? "font-bold" : "font-semibold text-due"}>
        {costWords(line, words)}
      </span>
      <span className="block text-fine text-quiet">{sourcesOf(line).join(", ")}</span>
    </>
  );
}

function Jobs({ jobs }: { readonly jobs: readonly string[] }): ReactElement {
  const first = jobs.slice(0, FIRST_JOBS);
  const rest = jobs.slice(FIRST_JOBS);
  return (
    <div className="text-fine text-quiet">
      {first.map((job, at) => (
        <span key={at} className="block">
          {job}
        </span>
      ))}
      {rest.length > 0 && (
        <details className="print:hidden">
          <summary className="cursor-pointer text-clear">and {rest.length} more</summary>
          {rest.map((job, at) => (
            <span key={at} className="block">
              {job}
            </span>
          ))}
        </details>
      )}
      {rest.length > 0 && <span className="hidden print:block">{rest.join("; ")}</span>}
    </div>
  );
}
