import {
  finishRound,
  dropRound,
  leaveTheRest,
  tellAsBefore,
  tellFigures,
  tellReading,
  tellResult,
  type CheckResult,
  type CommandContext,
  type CommandResult,
  type Figures,
  type RoundIssue,
  type Slice,
} from "@yonderfell/core";
import { useBook } from "../../session/openBook.js";
import { useCommands } from "../../session/useCommands.js";
import { roundIssueWords } from "./roundWords.js";
import type { ShownRound } from "./useRounds.js";

const NEEDS = ["rounds", "findings", "specifications", "entries"] as const;

type RoundSlice = Slice<(typeof NEEDS)[number]>;

/** What one does with a round: each is durable before anything is shown of it. */
export interface Telling {
  /** Tells something of a place, beside what was told of it before. */
  readonly tell: (told: CheckResult) => Promise<boolean>;
  readonly read: (at: Pick<CheckResult, "check" | "point">, value: number) => Promise<boolean>;
  /** Tells what the sum of a check is asked with. */
  readonly figures: (
    at: Pick<CheckResult, "check" | "point">,
    figures: Figures,
  ) => Promise<boolean>;
  /** Tells that what is open at a station is as it was before. */
  readonly asBefore: (station: string) => Promise<boolean>;
  readonly leaveRest: (reason: string) => Promise<boolean>;
  readonly finish: (dials: Parameters<typeof finishRound>[3]) => Promise<boolean>;
  readonly drop: () => Promise<boolean>;
  /** What stood in the way of the last, empty where nothing did. */
  readonly failure: string;
}

/** The ways to go on with a round, one after another. */
export function useTelling({ round, checklist }: ShownRound): Telling {
  const { storage } = useBook();
  const { run, failure } = useCommands<RoundIssue>(roundIssueWords, true);
  const { id, machine } = round;
  const command = async (
    act: (slice: RoundSlice, context: CommandContext) => CommandResult<RoundIssue>,
    told: string,
  ): Promise<boolean> => {
    const saved = await run((_, around) => storage.perform(machine, NEEDS, act, around), told);
    return saved !== null;
  };
  return {
    tell: (told) =>
      command((slice, context) => tellResult(slice, id, checklist, told, context), ""),
    read: (at, value) =>
      command((slice, context) => tellReading(slice, id, checklist, at, value, context), ""),
    figures: (at, figures) =>
      command((slice, context) => tellFigures(slice, id, checklist, at, figures, context), ""),
    asBefore: (station) =>
      command((slice, context) => tellAsBefore(slice, id, checklist, station, context), ""),
    leaveRest: (reason) => command((slice) => leaveTheRest(slice, id, checklist, reason), ""),
    finish: (dials) =>
      command((slice) => finishRound(slice, id, checklist, dials), "The round is finished."),
    drop: () =>
      command((slice) => dropRound(slice, id), "The round is gone: nothing was told in it."),
    failure,
  };
}
