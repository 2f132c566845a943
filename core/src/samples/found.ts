import type { Finding } from "../book/records/finding.js";
import { worstOf } from "../inspect/verdict.js";
import { sampleFigure } from "./figures.js";
import type { JudgedSample } from "./judgeSample.js";

/** A finding before anybody has noted it. */
type FoundBySample = Pick<
  Finding,
  | ("machine" | "kind" | "found" | "life" | "what" | "where" | "verdict")
  | ("evidence" | "todo" | "also" | "decision")
>;

/**
 * What a sample found, as a finding of its machine: the worst of its verdicts, what stands out as its evidence, what that usually means as what
 * to suspect. It has no id yet: whoever notes it gives one. Null where all of it is sound.
 */
export function findingOfSample(
  { sample, each, advice }: JudgedSample,
  system: string,
): FoundBySample | null {
  const out = each.filter(({ verdict }) => verdict !== "sound");
  if (out.length === 0) return null;
  const verdict = worstOf(out.map((one) => one.verdict));
  const figures = out.map(({ name, value }) =>
    `${name} ${value} ${sampleFigure(name)?.unit ?? ""}`.trim(),
  );
  const also = out.flatMap(({ name }) => {
    const means = sampleFigure(name)?.means;
    return means === undefined ? [] : [`${name}: ${means}`];
  });
  const { meter, life } = sample;
  return {
    ...{ machine: sample.machine, kind: "oil sample" },
    found: sample.result?.on ?? sample.date,
    ...(meter && life !== null && life !== undefined ? { life: { [meter]: life } } : {}),
    ...{ what: "Oil sample stands out", where: system, verdict },
    evidence: `sample ${sample.label ?? sample.id}: ${figures.join(", ")}`,
    todo:
      advice === "stop and look"
        ? "stop and look before it is run on"
        : "change it sooner, sample again",
    also,
    decision: verdict === "stop" ? "now" : "next visit",
  };
}
