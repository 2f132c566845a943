import type { StockItem } from "@yonderfell/core";
import type { ReactElement } from "react";

const WIDTH = 132;
const HEIGHT = 22;
const BASE = 16;

/** How much there is, as things standing on a board: solid to what is there, the least a notch under the board; below nothing a gap that is ruled out. Its figure stands beside it. */
export function ShelfBar({ stock }: { readonly stock: StockItem }): ReactElement {
  const { onHand, least, short } = stock;
  const most = Math.max(Math.abs(onHand), (least ?? 0) * 2, 1);
  const at = (value: number): number => (Math.min(value, most) / most) * (WIDTH - 4) + 2;
  const tone = onHand < 0 ? "text-overdue" : short ? "text-due" : "text-clear";
  return (
    <svg
      aria-hidden="true"
      width={WIDTH}
      height={HEIGHT}
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      className={tone}
    >
      <line x1={0} x2={WIDTH} y1={BASE} y2={BASE} stroke="var(--rule)" strokeWidth={2} />
      {onHand > 0 && (
        <rect x={2} y={4} width={at(onHand) - 2} height={BASE - 5} fill="currentColor" />
      )}
      {onHand < 0 && (
        <path
          d={`M2 4 H${at(-onHand)} V${BASE - 1} H2 Z M2 ${BASE - 1} L${at(-onHand)} 4`}
          fill="none"
          stroke="currentColor"
          strokeWidth={1.5}
          strokeDasharray="3 2"
        />
      )}
      {least !== null && (
        <path d={`M${at(least)} 1 V${HEIGHT}`} stroke="var(--ink)" strokeWidth={2} />
      )}
    </svg>
  );
}
