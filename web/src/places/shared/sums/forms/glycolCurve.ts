import { SUMS } from "@yonderfell/core";

export type Glycol = "ethylene" | "propylene";

const FREEZES = SUMS.find(({ name }) => name === "freeze-point");
const SHARES = SUMS.find(({ name }) => name === "glycol-share");

/** Where a mix freezes in °C, as the sum says; past the table, the coldest it tells. */
export function freezesAtShare(glycol: Glycol, share: number): number {
  const asked = FREEZES?.ask({ glycol, share });
  if (asked === undefined || "wrong" in asked) return 0;
  const { freezesAt, below } = asked.answer as { freezesAt: number | null; below: number | null };
  return freezesAt ?? below ?? 0;
}

/** The share that freezes at some °C, as the sum says; null where no mix is as cold. */
export function shareFreezingAt(glycol: Glycol, freezesAt: number): number | null {
  const asked = SHARES?.ask({ glycol, freezesAt });
  if (asked === undefined || "wrong" in asked) return null;
  return (asked.answer as { share?: number }).share ?? null;
}
