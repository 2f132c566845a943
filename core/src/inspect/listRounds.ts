import type { Checklist } from "../book/records/checklist.js";
import type { Machine } from "../book/records/machine.js";
import type { Round } from "../book/records/round.js";
import { currentRecords } from "../book/slice/currentRecords.js";
import { isFound, openPlaces, placesOf } from "./places.js";
import { roundsUnderWay } from "./roundCommands.js";

/** A round in a list over all machines. */
export interface ListedRound {
  readonly round: Pick<Round, "id" | "machine" | "checklist" | "date" | "by" | "finished">;
  /** What its checklist is called. */
  readonly name: string;
  readonly machine: Pick<Machine, "id" | "tag" | "name">;
  /** How many of its places are looked at, of how many. */
  readonly done: number;
  readonly of: number;
  /** How many of its results are not sound. */
  readonly found: number;
}

/** The rounds under way and the latest that are finished, over all machines, the latest first. */
export interface ListedRounds {
  readonly underWay: readonly ListedRound[];
  readonly lately: readonly ListedRound[];
}

/** Lists the rounds under way and so many of the latest that are finished; one whose machine or checklist is not in the book is left out. */
export function listRounds(
  book: {
    readonly rounds: readonly Round[];
    readonly checklists: readonly Checklist[];
    readonly machines: readonly Machine[];
  },
  latest: number,
): ListedRounds {
  const checklists = new Map(book.checklists.map((one) => [one.id, one]));
  const machines = new Map(book.machines.map((one) => [one.id, one]));
  const listed = (round: Round): ListedRound[] => {
    const checklist = checklists.get(round.checklist);
    const machine = machines.get(round.machine);
    if (checklist === undefined || machine === undefined) return [];
    const { length: of } = placesOf(checklist);
    const done = of - openPlaces(round, checklist).length;
    const bad = (round.results ?? []).filter(({ verdict }) => isFound(verdict));
    const { id, date, by, finished } = round;
    const { tag, name } = machine;
    return [
      {
        round: { id, machine: machine.id, checklist: checklist.id, date, by, finished },
        ...{ name: checklist.name, machine: { id: machine.id, tag, name } },
        ...{ done, of, found: bad.length },
      },
    ];
  };
  const finished = currentRecords(book.rounds)
    .filter(({ record }) => record.finished === true)
    .toSorted((one, other) => other.day - one.day)
    .slice(0, latest);
  return {
    underWay: roundsUnderWay(book.rounds).flatMap(listed),
    lately: finished.flatMap(({ record }) => listed(record)),
  };
}
