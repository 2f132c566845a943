import {
  governingLimit,
  type BoardMachine,
  type CompletionFact,
  type DayNumber,
  type FindingReckoning,
  type Forecast,
  type LimitReckoning,
  type Status,
  type TaskReckoning,
} from "@yonderfell/core";
import { findingStripWords } from "../../words/findingWords.js";
import { stripWords, type StripWords } from "../../words/statusWords.js";

/** A limit as a strip shows it. */
interface StripLimit {
  readonly forecast: Forecast | null;
  readonly graceUntil: DayNumber | null;
  readonly isHard: boolean;
}

/** What a strip of the reach shows, of a task or of a finding. */
export interface Strip {
  readonly status: Status;
  readonly doubtful: boolean;
  /** The limit that decides; null where none does. */
  readonly governing: StripLimit | null;
  readonly others: readonly StripLimit[];
  /** When it was last done; null where it was not, or nothing is known of it. */
  readonly last: CompletionFact | null;
  readonly words: StripWords;
}

/** The last completion a limit counts from, or null. */
function lastFact({ basis }: LimitReckoning): CompletionFact | null {
  if ("last" in basis) return basis.last;
  return "by" in basis ? basis.by : null;
}

const stripLimit = ({ forecast, graceUntil, limit }: LimitReckoning): StripLimit => ({
  ...{ forecast, graceUntil, isHard: limit.hard },
});

/** What the strip of a task shows. */
export function stripOfTask(task: TaskReckoning, machine: BoardMachine, today: DayNumber): Strip {
  const governs = governingLimit(task);
  const facts = task.limits.flatMap((limit) => lastFact(limit) ?? []);
  const [last = null] = facts.sort((one, other) => other.day - one.day);
  return {
    ...{ status: task.status, doubtful: task.doubtful, last },
    governing: governs === null ? null : stripLimit(governs),
    others: task.limits.filter((limit) => limit !== governs).map(stripLimit),
    words: stripWords(task, machine, today),
  };
}

/** What the strip of a finding shows: limits of one time, hard where it must not be used on; nothing was done yet. */
export function stripOfFinding(reckoned: FindingReckoning, today: DayNumber): Strip {
  const { finding, status, governs, doubtful, limits } = reckoned;
  const isHard = finding.verdict === "stop";
  const all = limits.map(({ forecast }) => ({ forecast, graceUntil: null, isHard }));
  return {
    status: status === "waiting" || status === "declined" ? "unknown" : status,
    ...{ doubtful, last: null, words: findingStripWords(reckoned, today) },
    governing: governs === null ? null : (all[governs] ?? null),
    others: all.filter((_, at) => at !== governs),
  };
}
