import type { Part } from "@yonderfell/core";
import type { ReactElement } from "react";
import { LongList } from "../../../ui/LongList.js";
import { counted } from "../../../words/format.js";
import { cheapestFirst, priceWords, riseWords } from "../../../words/partWords.js";
import { useCurrency } from "../../shared/currency/useCurrency.js";

const keyOf = (part: Part): string => part.id;
const heightOf = (): number => 62;

/** The parts of the book, by number. */
export function PartList({
  parts,
  isAll,
  onEdit,
}: {
  readonly parts: readonly Part[];
  readonly isAll: boolean;
  readonly onEdit: (part: Part) => void;
}): ReactElement {
  return (
    <section aria-labelledby="parts" className="mb-8">
      <h2 id="parts" className="text-large font-bold">
        Parts <span className="font-normal text-quiet tabular-nums">{parts.length}</span>
      </h2>
      {parts.length === 0 && (
        <p className="border-t border-hairline py-3 text-quiet">
          {isAll
            ? "No parts yet. Write down filters, belts, plugs and seals by their numbers."
            : "No part fits these words."}
        </p>
      )}
      <div role="list">
        <LongList
          items={parts}
          keyOf={keyOf}
          heightOf={heightOf}
          draw={(part) => <PartRow part={part} onEdit={onEdit} />}
        />
      </div>
    </section>
  );
}

function PartRow({
  part,
  onEdit,
}: {
  readonly part: Part;
  readonly onEdit: (part: Part) => void;
}): ReactElement {
  const currency = useCurrency();
  const { number, name, kind, supersededBy, equivalents, pack, prices, note } = part;
  const [cheapest, ...others] = cheapestFirst(prices);
  return (
    <div
      role="listitem"
      className="grid min-h-[62px] items-center gap-x-6 gap-y-0.5 border-t border-hairline py-1.5 lg:grid-cols-[10rem_minmax(14rem,1.2fr)_minmax(12rem,1fr)_minmax(10rem,0.8fr)_3.5rem]"
    >
      <span className="font-mono font-bold">{number}</span>
      <span className="leading-tight">
        <span className="block font-medium">{name}</span>
        <span className="text-fine text-quiet">
          {[kind ?? "", note ?? ""].filter(Boolean).join(". ")}
        </span>
      </span>
      <span className="text-fine leading-tight">
        {(supersededBy ?? "") !== "" && (
          <strong className="block text-soon-text">order {supersededBy} instead</strong>
        )}
        {(equivalents ?? []).length > 0 && (
          <span className="block text-quiet">equivalent: {(equivalents ?? []).join(", ")}</span>
        )}
        {(pack ?? 1) > 1 && <span className="block text-quiet">packs of {pack}</span>}
      </span>
      <span className="leading-tight tabular-nums">
        {cheapest === undefined ? (
          <span className="text-quiet">no price</span>
        ) : (
          priceWords(cheapest, currency)
        )}
        {cheapest !== undefined && (
          <span className="block text-fine text-soon-text empty:hidden">
            {riseWords(prices, cheapest, currency)}
          </span>
        )}
        {others.length > 0 && (
          <span className="block text-fine text-quiet">
            {counted(others.length, "dearer source")}
          </span>
        )}
      </span>
      <button
        type="button"
        aria-label={`Edit ${name} ${number}`}
        className="min-h-10 text-clear hover:underline"
        onClick={() => onEdit(part)}
      >
        Edit
      </button>
    </div>
  );
}
