import type { Finding } from "../book/records/finding.js";
import type { FindingId } from "../book/records/ids.js";
import { sampleFigure } from "./figures.js";
import type { JudgedSample } from "./judgeSample.js";

/** How bad each verdict is, the worst last. */
const WORSE = ["sound", "watch", "attend", "stop"] as const;

/**
 * What a sample found, as a finding of its machine: the worst of its verdicts, what stands out as its evidence, what that usually means as what
 * to suspect. Null where all of it is sound.
 */
export function findingOfSample(
  { sample, each, advice }: JudgedSample,
  system: string,
  id: string,
): Finding | null {
  const out = each.filter(({ verdict }) => verdict !== "sound");
  const [worst] = WORSE.filter((one) => out.some(({ verdict }) => verdict === one)).toReversed();
  if (worst === undefined) return null;
  const figures = out.map(({ name, value }) =>
    `${name} ${value} ${sampleFigure(name)?.unit ?? ""}`.trim(),
  );
  const also = out.flatMap(({ name }) => {
    const means = sampleFigure(name)?.means;
    return means === undefined ? [] : [`${name}: ${means}`];
  });
  const { meter, life } = sample;
  return {
    ...{ id: id as FindingId, machine: sample.machine, kind: "oil sample" },
    found: sample.result?.on ?? sample.date,
    ...(meter && life !== null && life !== undefined ? { life: { [meter]: life } } : {}),
    ...{ what: "Oil sample stands out", where: system, verdict: worst },
    evidence: `sample ${sample.label ?? sample.id}: ${figures.join(", ")}`,
    todo:
      advice === "stop and look"
        ? "stop and look before it is run on"
        : "change it sooner, sample again",
    also,
    decision: worst === "stop" ? "now" : "next visit",
  };
}
