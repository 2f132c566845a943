import {
  changeCard,
  giveUpJob,
  putDownJob,
  takeUpJob,
  tapJob,
  type ChangeCardIssue,
  type CommandContext,
  type CommandResult,
  type GiveUpIssue,
  type Job,
  type JobStep,
  type Slice,
  type Tap,
  type TapContext,
  type TapIssue,
  type TaskId,
} from "@yonderfell/core";
import { useBook } from "../../session/openBook.js";
import { useCommands } from "../../session/useCommands.js";
import { changeIssueWords, giveUpIssueWords, tapIssueWords } from "./benchWords.js";
import type { ShownJob } from "./useBench.js";

/** What is told of a step; which step and by whom is filled in. */
type StepTap = Omit<Tap, "step" | "by">;

const NEEDS = ["jobs", "jobEvents"] as const;

const onTheClock = (context: CommandContext): TapContext => ({ ...context, at: Date.now() });

/** What one does with a job: each is durable before anything is shown of it. */
export interface Taps {
  /** Tells of a step; whether it was taken. */
  readonly tell: (step: string | null, ...taps: readonly StepTap[]) => Promise<boolean>;
  readonly takeUp: (who: string) => Promise<boolean>;
  readonly putDown: (why: string) => Promise<boolean>;
  readonly giveUp: () => Promise<boolean>;
  readonly change: (steps: readonly JobStep[], tasks: readonly TaskId[]) => Promise<boolean>;
  /** What stood in the way of the last, empty where nothing did. */
  readonly failure: string;
}

type TapCommand<Issue> = (
  slice: Slice<(typeof NEEDS)[number]>,
  context: TapContext,
) => CommandResult<Issue>;

/** Runs commands on a job; answers whether what was asked is done. */
function useOnJob<Issue extends { readonly code: string }>(
  { machine }: Job,
  wordsOf: (issue: Issue) => string,
): {
  readonly run: (command: TapCommand<Issue>, told: string) => Promise<boolean>;
  readonly failure: string;
} {
  const { storage } = useBook();
  const { run, failure } = useCommands<Issue>(wordsOf, true);
  return {
    failure,
    run: async (command, told) => {
      const saved = await run(
        (_, around) =>
          storage.perform(
            machine,
            NEEDS,
            (slice, context) => command(slice, onTheClock(context)),
            around,
          ),
        told,
      );
      return saved !== null;
    },
  };
}

/** The ways to go on with a job, one after another. */
export function useTaps({ job }: Pick<ShownJob, "job">, who: string): Taps {
  const taps = useOnJob<TapIssue>(job, tapIssueWords);
  const card = useOnJob<ChangeCardIssue>(job, changeIssueWords);
  const end = useOnJob<GiveUpIssue>(job, giveUpIssueWords);
  const by = who === "" ? {} : { by: who };
  const { id } = job;
  return {
    tell: (step, ...told) => {
      const whole = told.map((tap) => ({ ...tap, ...by, ...(step === null ? {} : { step }) }));
      return taps.run((slice, context) => tapJob(slice, id, whole, context), "");
    },
    takeUp: (name) => taps.run((slice, context) => takeUpJob(slice, id, name, context), ""),
    putDown: (why) =>
      taps.run((slice, context) => putDownJob(slice, id, { by: who, why }, context), "Put down."),
    giveUp: () =>
      end.run(
        (slice, context) => giveUpJob(slice, id, context),
        "Given up. What it was for stays due.",
      ),
    change: (steps, tasks) =>
      card.run((slice) => changeCard(slice, id, { steps, tasks }), "The card is changed."),
    failure: taps.failure || card.failure || end.failure,
  };
}
