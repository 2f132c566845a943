import {
  acceptVisits,
  addToVisit,
  dropVisit,
  leaveOut,
  moveVisit,
  noteVisit,
  pinVisit,
  splitVisit,
  type Change,
  type DayNumber,
  type NewVisit,
  type TaskId,
  type Turn,
  type Visit,
  type VisitContext,
} from "@yonderfell/core";
import { surroundings } from "../../../app/openBook.js";
import { useApply } from "../../../app/useApply.js";
import { weekdayDate } from "../../../words/visitWords.js";
import type { VisitMove } from "./roomModel.js";
import type { ListedVisit } from "./visitModel.js";

/** What can be done with a visit; each answers whether it is saved. What is only proposed is accepted with it. */
export interface VisitChanges {
  readonly accept: (visits: readonly ListedVisit[]) => Promise<boolean>;
  readonly move: (visit: ListedVisit, day: DayNumber) => Promise<boolean>;
  /** Several at once, as one change. */
  readonly moveAll: (moves: readonly VisitMove[]) => Promise<boolean>;
  readonly pin: (visit: ListedVisit, isPinned: boolean) => Promise<boolean>;
  /** The turn is the one meant, null where the task has none ahead. */
  readonly add: (visit: ListedVisit, task: TaskId, turn: Turn | null) => Promise<boolean>;
  readonly leaveOut: (visit: ListedVisit, task: TaskId) => Promise<boolean>;
  readonly split: (
    visit: ListedVisit,
    tasks: readonly TaskId[],
    day: DayNumber,
  ) => Promise<boolean>;
  /** Only of a visit of the book. */
  readonly note: (visit: ListedVisit, note: string) => Promise<boolean>;
  readonly drop: (visit: ListedVisit) => Promise<boolean>;
  /** What stood in the way of the last, empty where nothing did. */
  readonly failure: string;
}

/** So many visits that are moved at once are named. */
const MOST_NAMED = 3;

const tasksOf = ({ turns }: ListedVisit): TaskId[] => [...new Set(turns.map(({ task }) => task))];

function contextOf({ of }: ListedVisit): VisitContext {
  const { today, newId } = surroundings();
  return { today, newId, since: of.since };
}

/** A visit as it is written when it is accepted. */
function written(visit: ListedVisit, more: Partial<NewVisit> = {}): NewVisit {
  const { of, planned, turns } = visit;
  return { machine: of.machine.id, day: planned.day, tasks: tasksOf(visit), turns, ...more };
}

const accepted = (visit: ListedVisit, more: Partial<NewVisit>): Change =>
  acceptVisits([written(visit, more)], contextOf(visit));

function moved(visit: ListedVisit, day: DayNumber): Change {
  const { visit: held } = visit.planned;
  return held === null ? accepted(visit, { day }) : moveVisit(held, day);
}

/** Some tasks of a visit in one of their own on another day. */
function parted(visit: ListedVisit, tasks: readonly TaskId[], day: DayNumber): Change {
  const { visit: held } = visit.planned;
  if (held !== null) return splitVisit(held, tasks, day, contextOf(visit));
  const stays = tasksOf(visit).filter((one) => !tasks.includes(one));
  const both = [written(visit, { tasks: stays }), written(visit, { tasks, day })];
  return acceptVisits(both, contextOf(visit));
}

function movedAll(moves: readonly VisitMove[]): Change {
  const records = moves.flatMap(({ visit, day }) => moved(visit, day).records);
  return { command: "move-visit", records };
}

function movedWords(moves: readonly VisitMove[]): string {
  if (moves.length > MOST_NAMED) return `${moves.length} visits are moved.`;
  const { today } = surroundings();
  const where = moves.map(({ visit, day }) => {
    return `${visit.of.machine.tag} is on ${weekdayDate(day, today)}`;
  });
  return `${where.join(", ")}.`;
}

function acceptedAll(visits: readonly ListedVisit[]): Change {
  const records = visits.flatMap((visit) => accepted(visit, {}).records);
  return { command: "accept-visit", records };
}

function acceptedWords(visits: readonly ListedVisit[]): string {
  const [first] = visits;
  if (visits.length !== 1 || first === undefined) return `${visits.length} visits are in the book.`;
  const day = weekdayDate(first.planned.day, surroundings().today);
  return `${first.of.machine.tag} on ${day} is in the book.`;
}

/** The way to change the visits of the open book. `onAccepted` is told what a visit that was only proposed is called once the book holds it. */
export function useVisitChanges(onAccepted?: (id: string) => void): VisitChanges {
  const { apply: make, failure } = useApply();
  const apply = async (change: Change, words: string): Promise<boolean> => {
    const isSaved = await make(change, words);
    const [first] = change.records;
    if (isSaved && change.command === "accept-visit" && first !== undefined) onAccepted?.(first.id);
    return isSaved;
  };
  const tagOf = ({ of }: ListedVisit): string => of.machine.tag;
  const on = (day: DayNumber): string => weekdayDate(day, surroundings().today);
  const applyHeld = (
    { planned }: ListedVisit,
    change: (held: Visit) => Change,
    words: string,
  ): Promise<boolean> =>
    planned.visit === null ? Promise.resolve(false) : apply(change(planned.visit), words);
  return {
    failure,
    // Of several none is the one in hand.
    accept: (visits) =>
      (visits.length === 1 ? apply : make)(acceptedAll(visits), acceptedWords(visits)),
    move: (visit, day) => apply(moved(visit, day), `${tagOf(visit)} is on ${on(day)}.`),
    moveAll: (moves) => make(movedAll(moves), movedWords(moves)),
    pin: (visit, isPinned) => {
      const { visit: held } = visit.planned;
      const change = held === null ? accepted(visit, { isPinned }) : pinVisit(held, isPinned);
      const day = on(visit.planned.day);
      return apply(change, isPinned ? `${tagOf(visit)} is pinned to ${day}.` : "No longer pinned.");
    },
    add: (visit, task, turn) => {
      const { visit: held } = visit.planned;
      const tasks = [...tasksOf(visit), task];
      const turns = [...visit.turns, ...(turn === null ? [] : [turn])];
      const change =
        held === null
          ? accepted(visit, { tasks, turns })
          : addToVisit(held, task, turn?.number ?? null, contextOf(visit));
      return apply(change, `Added to ${tagOf(visit)} on ${on(visit.planned.day)}.`);
    },
    leaveOut: (visit, task) => {
      const { visit: held } = visit.planned;
      const tasks = tasksOf(visit).filter((one) => one !== task);
      const change =
        held === null ? accepted(visit, { tasks, without: [task] }) : leaveOut(held, task);
      return apply(change, `Left out of ${tagOf(visit)} on ${on(visit.planned.day)}.`);
    },
    split: (visit, tasks, day) => {
      const change = parted(visit, tasks, day);
      return apply(change, `${tagOf(visit)} has two visits now.`);
    },
    note: (visit, note) => applyHeld(visit, (held) => noteVisit(held, note), "The note is kept."),
    drop: (visit) => applyHeld(visit, dropVisit, `${tagOf(visit)} is planned anew.`),
  };
}
