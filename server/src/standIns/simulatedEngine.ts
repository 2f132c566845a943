/** What a plug reads from a machine at one moment. */
export interface PlugReading {
  /** Of the fluid, °C. */
  readonly temperature: number;
  /** A minute. */
  readonly revolutions: number;
  readonly volts: number;
  /** The reminder and fault codes that the machine raises. */
  readonly codes: readonly string[];
}

const COLD = 14;
const WARM = 92;
/** It comes this much nearer to its working warmth in each span: by 1 − 1/e. */
const WARMING_SECONDS = 300;
const FAST_IDLE = 1150;
const IDLE = 760;
/** Revolutions never stand quite still. */
const UNREST = 8;
const UNREST_SECONDS = 3;

/** The codes it raises unless it is told others. */
export const SIMULATED_CODES = ["INSP 2", "P0128"];

/** A machine that was started cold `seconds` ago and idles: it warms up in a few minutes. No real machine is read. */
export function simulatedEngine(seconds: number, codes: readonly string[]): PlugReading {
  const warm = 1 - Math.exp(-seconds / WARMING_SECONDS);
  const unrest = UNREST * Math.sin(seconds / UNREST_SECONDS);
  return {
    temperature: Number((COLD + (WARM - COLD) * warm).toFixed(1)),
    revolutions: Math.round(FAST_IDLE + (IDLE - FAST_IDLE) * warm + unrest),
    volts: Number((14.4 - 0.4 * warm).toFixed(1)),
    codes,
  };
}
