import type { Change } from "../src/book/change/change.js";
import type { CommandContext } from "../src/book/change/command.js";
import type { Checklist } from "../src/book/records/checklist.js";
import type { Finding } from "../src/book/records/finding.js";
import type { Machine } from "../src/book/records/machine.js";
import type { Round } from "../src/book/records/round.js";
import type { Specification } from "../src/book/records/specification.js";
import { dayOf } from "../src/calendar/dayNumber.js";
import type { Figures } from "../src/inspect/judgeSum.js";
import type { CheckResult } from "../src/inspect/places.js";
import { beginRound, tellFigures, tellReading, tellResult } from "../src/inspect/roundCommands.js";

const MACHINE = { id: "m", tag: "07", name: "Bus", kind: "bus" } as unknown as Machine;

/** A round that goes on. */
export interface RoundGround {
  readonly held: {
    readonly machines: [Machine];
    readonly rounds: Round[];
    readonly findings: Finding[];
    readonly entries: [];
    readonly specifications: readonly Specification[];
  };
  readonly round: () => Round;
  /** Each answers `told`, or the code of what stood in the way. */
  readonly tell: (result: Partial<CheckResult>) => string;
  readonly read: (point: string, value: number) => string;
  readonly ask: (at: Partial<CheckResult>, figures: Figures) => string;
  /** A person changes the first finding. */
  readonly decide: (fields: Partial<Finding>) => void;
  readonly take: (change: Change) => void;
  readonly context: CommandContext;
}

/** A machine's records with a round of a list begun, on which commands are run one after the other; what is told is of its first check where it names none. */
export function roundGround(
  list: Checklist,
  specifications: readonly Specification[] = [],
): RoundGround {
  let ids = 0;
  const context: CommandContext = {
    today: dayOf("2026-11-30"),
    nextSeq: () => (ids += 1),
    newId: () => `n${(ids += 1)}`,
  };
  const held = {
    machines: [MACHINE] as [Machine],
    rounds: [] as Round[],
    findings: [] as Finding[],
    entries: [] as [],
    specifications,
  };
  const take = (change: Change): void => {
    for (const { section, id, after } of change.records) {
      const list = held[section as "rounds"] as { readonly id: string }[] | undefined;
      if (list === undefined) continue;
      const at = list.findIndex((one) => one.id === id);
      if (after === null) list.splice(at, 1);
      else if (at < 0) list.push(after);
      else list[at] = after;
    }
  };
  const begun = beginRound(held, { checklist: list, isKnown: true, by: "pe-et" }, context);
  if (!begun.ok) throw new Error("a round can be begun");
  take(begun.value);
  const round = (): Round => held.rounds[0] as Round;
  const first = (list.checks ?? [])[0]?.id ?? "";
  const tell = (result: Partial<CheckResult>): string => {
    const told = { check: first, ...result } as CheckResult;
    const answer = tellResult(held, round().id, list, told, context);
    if (answer.ok) take(answer.value);
    return answer.ok ? "told" : (answer.issues[0]?.code ?? "");
  };
  const read = (point: string, value: number): string => {
    const answer = tellReading(held, round().id, list, { check: first, point }, value, context);
    if (answer.ok) take(answer.value);
    return answer.ok ? "told" : (answer.issues[0]?.code ?? "");
  };
  const ask = (at: Partial<CheckResult>, figures: Figures): string => {
    const told = { check: first, ...at };
    const answer = tellFigures(held, round().id, list, told, figures, context);
    if (answer.ok) take(answer.value);
    return answer.ok ? "told" : (answer.issues[0]?.code ?? "");
  };
  const decide = (fields: Partial<Finding>): void => {
    held.findings[0] = { ...(held.findings[0] as Finding), ...fields };
  };
  return { held, round, tell, read, ask, decide, take, context };
}
