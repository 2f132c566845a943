/** A place in a drawing, in the figures it shows. */
export interface PlotPoint {
  readonly x: number;
  readonly y: number;
}

/** A small drawing of an answer: a line, bars, marks and rules on two scales. */
export interface PlotSpec {
  /** What it shows, for those who hear it. */
  readonly words: string;
  readonly x: { readonly from: number; readonly to: number; readonly words: string };
  readonly y: { readonly from: number; readonly to: number; readonly words: string };
  readonly line?: readonly PlotPoint[];
  /** Bars from the foot of the drawing, `x` their middle, each with its figure over it. */
  readonly bars?: readonly (PlotPoint & { readonly label: string; readonly under: string })[];
  readonly marks?: readonly (PlotPoint & { readonly label: string; readonly isHollow?: boolean })[];
  /** Lines across, such as a limit. */
  readonly rules?: readonly { readonly y: number; readonly label: string }[];
}
