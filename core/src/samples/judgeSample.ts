import { byDate, currentRecords } from "../book/slice/currentRecords.js";
import type { Machine } from "../book/records/machine.js";
import type { Sample } from "../book/records/sample.js";
import { valueIn } from "../quantity/quantity.js";
import { SAMPLE } from "../inspect/sample.js";
import { worstOf, type Verdict } from "../inspect/verdict.js";
import { WEAR_METALS } from "./figures.js";

/** What a sample says of one figure. */
export interface JudgedFigure {
  readonly name: string;
  readonly value: number;
  /** By a hundred hours of the oil, or a hundred hundreds of kilometres; null for what is not worn off. */
  readonly rate: number | null;
  /** The same figure of the machine's own earlier samples, from five on; null before. */
  readonly median: number | null;
  readonly sigma: number | null;
  readonly verdict: Verdict;
}

/** What to do with the oil, by its sample. */
export type SampleAdvice = "stop and look" | "shorten" | "keep" | "extend";

/** What a sample says. */
export interface JudgedSample {
  readonly sample: Sample;
  /** In the order of the laboratory. */
  readonly each: readonly JudgedFigure[];
  /** The worst of them. */
  readonly verdict: Verdict;
  readonly advice: SampleAdvice;
  /** How many earlier ones it was compared with. */
  readonly earlier: number;
}

const HUNDRED = 100;

/** The life of the oil as the sum *sample* counts it: hours, or hundreds of kilometres; null where it is not known. */
export function oilLifeOf({ oilLife, meter }: Sample, machine: Machine): number | null {
  if ((oilLife ?? null) === null || (oilLife ?? 0) <= 0) return null;
  const meters = machine.meters ?? [];
  const unit = (meters.find(({ id }) => id === meter) ?? meters[0])?.unit ?? "h";
  const life = { value: oilLife ?? 0, unit };
  return unit === "h" ? life.value : valueIn(life, "km") / HUNDRED;
}

/** The current samples of a system of a machine, the oldest first. */
export function samplesOf(samples: readonly Sample[], fluid: Sample["fluid"]): Sample[] {
  return currentRecords(samples)
    .filter(({ record }) => record.fluid === fluid)
    .toSorted(byDate)
    .map(({ record }) => record);
}

/**
 * What the samples of one system say, by the sum *sample*, each against those before it: `own` are its current samples, the
 * oldest first, as {@link samplesOf} gives them. One that is not answered yet, or whose oil's life is not known, says nothing and is left out.
 */
export function judgeSamples(own: readonly Sample[], machine: Machine): JudgedSample[] {
  const judged: JudgedSample[] = [];
  const earlier: { readonly oilLife: number; readonly values: Record<string, number> }[] = [];
  for (const sample of own) {
    const oilLife = oilLifeOf(sample, machine);
    const { result } = sample;
    if (oilLife === null || !result) continue;
    const { values, limits, lowest } = result;
    const wear = WEAR_METALS.filter((name) => Object.hasOwn(values, name));
    const asked = SAMPLE.ask({
      ...{ oilLife, values, wear, earlier: [...earlier] },
      ...(limits ? { limits } : {}),
      ...(lowest ? { lowest } : {}),
    });
    if ("answer" in asked && !("refused" in asked.answer)) {
      const { each, advice } = asked.answer as unknown as Pick<JudgedSample, "each" | "advice">;
      const verdict = worstOf(each.map((one) => one.verdict));
      judged.push({ sample, each, verdict, advice, earlier: earlier.length });
    }
    earlier.push({ oilLife, values });
  }
  return judged;
}
