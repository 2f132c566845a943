import type { StockItem } from "@yonderfell/core";
import type { ReactElement } from "react";

const WIDTH = 150;
const HEIGHT = 22;
const BASE = 17;
/** A block is one piece, or so many litres or kilograms. */
const A_BLOCK = 5;
const BLOCK = 9;
const STEP = 12;
const MOST_BLOCKS = 12;

/** How much there is, as things standing on a board: a block for a piece or for five litres, the last as wide as what is left of it; the least a mark across the board; below nothing blocks that are not there. More than twelve are broken off. The figure stands beside it. */
export function ShelfBar({ stock }: { readonly stock: StockItem }): ReactElement {
  const { onHand, least, short, unit } = stock;
  const each = unit === "piece" ? 1 : A_BLOCK;
  const blocks = Math.min(Math.abs(onHand) / each, MOST_BLOCKS);
  const tone = onHand < 0 ? "text-overdue" : short ? "text-due" : "text-clear";
  const notch = least === null ? null : Math.min(least / each, MOST_BLOCKS) * STEP;
  const isBroken = Math.abs(onHand) / each > MOST_BLOCKS;
  return (
    <svg
      aria-hidden="true"
      width={WIDTH}
      height={HEIGHT}
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      className={tone}
    >
      <line x1={0} x2={WIDTH} y1={BASE} y2={BASE} stroke="var(--rule)" strokeWidth={2} />
      {Array.from({ length: Math.ceil(blocks) }, (_, at) => (
        <rect
          key={at}
          x={2 + at * STEP}
          y={4}
          width={Math.max(1.5, Math.min(1, blocks - at) * BLOCK)}
          height={BASE - 6}
          fill={onHand < 0 ? "none" : "currentColor"}
          stroke="currentColor"
          strokeWidth={onHand < 0 ? 1.5 : 0}
          strokeDasharray={onHand < 0 ? "3 2" : undefined}
        />
      ))}
      {isBroken && (
        <path
          d={`M${WIDTH - 4} 5 l3 3 l-3 3 l3 3`}
          fill="none"
          stroke="currentColor"
          strokeWidth={1.5}
        />
      )}
      {notch !== null && (
        <path d={`M${notch + 0.5} 0 V${HEIGHT}`} stroke="var(--ink)" strokeWidth={2} />
      )}
    </svg>
  );
}
