import {
  keepAnswer,
  leaveAnswer,
  sendSample,
  strikeSample,
  type CommandContext,
  type CommandResult,
  type Sample,
  type SampleIssue,
  type Slice,
} from "@yonderfell/core";
import { useCommands } from "../../../session/useCommands.js";
import { sampleIssueWords } from "./sampleWords.js";

type Result = NonNullable<Sample["result"]>;

/** What one does with a sample; each answers whether it is done. */
interface Sampling {
  readonly sent: (how: { readonly lab: string; readonly online: boolean }) => Promise<boolean>;
  readonly answer: (result: Result, isInstead: boolean) => Promise<boolean>;
  readonly leave: (number: number) => Promise<boolean>;
  readonly strike: (why: string) => Promise<boolean>;
  readonly failure: string;
}

/** The ways to go on with a sample that was taken. */
export function useSampling({ machine, id }: Sample): Sampling {
  const { run, failure } = useCommands<SampleIssue>(sampleIssueWords);
  const act = async (
    command: (slice: Slice<"samples">, context: CommandContext) => CommandResult<SampleIssue>,
    told: string,
  ): Promise<boolean> => {
    const saved = await run(
      (storage, around) => storage.perform(machine, ["samples"], command, around),
      told,
    );
    return saved !== null;
  };
  return {
    sent: (how) => act((slice, context) => sendSample(slice, id, how, context), "Sent."),
    answer: (result, isInstead) =>
      act((slice, context) => keepAnswer(slice, id, result, isInstead, context), "Kept."),
    leave: (number) => act((slice) => leaveAnswer(slice, id, number), "Left aside."),
    strike: (why) => act((slice, context) => strikeSample(slice, id, why, context), "Struck out."),
    failure,
  };
}
