import {
  dropVisit,
  joined,
  noteVisit,
  VISIT_NEEDS,
  type DayNumber,
  type TaskId,
  type Turn,
  type Visit,
  type VisitIssue,
} from "@yonderfell/core";
import { surroundings } from "../../../session/openBook.js";
import { useCommands, type Commands } from "../../../session/useCommands.js";
import type { Command, Saved } from "../../../data/bookStorage.js";
import { weekdayDate } from "../../../words/visitWords.js";
import type { VisitMove } from "./roomModel.js";
import {
  accepted,
  moved,
  parted,
  pinned,
  withoutTask,
  withTask,
  type OnMachine,
  type Slices,
} from "./visitCommands.js";
import { visitIssueWords } from "../../../words/visitIssueWords.js";
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

function movedWords(moves: readonly VisitMove[]): string {
  if (moves.length > MOST_NAMED) return `${moves.length} visits are moved.`;
  const { today } = surroundings();
  const where = moves.map(({ visit, day }) => {
    return `${visit.of.machine.tag} is on ${weekdayDate(day, today)}`;
  });
  return `${where.join(", ")}.`;
}

function acceptedWords(visits: readonly ListedVisit[]): string {
  const [first] = visits;
  if (visits.length !== 1 || first === undefined) return `${visits.length} visits are in the book.`;
  const day = weekdayDate(first.planned.day, surroundings().today);
  return `${first.of.machine.tag} on ${day} is in the book.`;
}

/** Changes several visits, each of its machine, as one change. */
function changeAll(
  run: Commands<VisitIssue>["run"],
  all: readonly (readonly [ListedVisit, OnMachine])[],
  words: string,
  name?: string,
): Promise<Saved | null> {
  const ids = [...new Set(all.map(([{ of }]) => of.machine.id))];
  const each: Command<readonly Slices[], VisitIssue> = (slices, context) => {
    const of = new Map(slices.map((slice) => [slice.machines[0].id, slice]));
    const results = all.flatMap(([visit, change]) => {
      const slice = of.get(visit.of.machine.id);
      return slice === undefined ? [] : [change(slice, context)];
    });
    return joined(results, name);
  };
  return run((storage, around) => storage.performOn(ids, VISIT_NEEDS, each, around), words);
}

const tagOf = ({ of }: ListedVisit): string => of.machine.tag;
const on = (day: DayNumber): string => weekdayDate(day, surroundings().today);
const its = (visit: ListedVisit): string => `${tagOf(visit)} on ${on(visit.planned.day)}`;

/** Makes a change of one visit, and tells of it; answers whether it is saved. */
type ChangeOne = (visit: ListedVisit, change: OnMachine, words: string) => Promise<boolean>;

/** What can be done with one visit, whether it is of the book or only proposed. */
function changesOfOne(one: ChangeOne): Omit<VisitChanges, "accept" | "moveAll" | "failure"> {
  /** Only of a visit of the book. */
  const held = (
    visit: ListedVisit,
    change: (seen: Visit) => OnMachine,
    words: string,
  ): Promise<boolean> => {
    const { visit: seen } = visit.planned;
    return seen === null ? Promise.resolve(false) : one(visit, change(seen), words);
  };
  return {
    move: (visit, day) => one(visit, moved(visit, day), `${tagOf(visit)} is on ${on(day)}.`),
    pin: (visit, isPinned) => {
      const words = `${tagOf(visit)} is pinned to ${on(visit.planned.day)}.`;
      const change = pinned(visit, isPinned);
      return one(visit, change, isPinned ? words : "No longer pinned.");
    },
    add: (visit, task, turn) => one(visit, withTask(visit, task, turn), `Added to ${its(visit)}.`),
    leaveOut: (visit, task) => one(visit, withoutTask(visit, task), `Left out of ${its(visit)}.`),
    split: (visit, tasks, day) =>
      one(visit, parted(visit, tasks, day), `${tagOf(visit)} has two visits now.`),
    note: (visit, note) => {
      const change =
        (seen: Visit): OnMachine =>
        (slice) =>
          noteVisit(slice, seen, note);
      return held(visit, change, "The note is kept.");
    },
    drop: (visit) => {
      const change =
        (seen: Visit): OnMachine =>
        (slice) =>
          dropVisit(slice, seen);
      return held(visit, change, `${tagOf(visit)} is planned anew.`);
    },
  };
}

/** The way to change the visits of the open book. `onAccepted` is told what a visit that was only proposed is called once the book holds it. */
export function useVisitChanges(onAccepted?: (id: string) => void): VisitChanges {
  const { run, failure } = useCommands(visitIssueWords);
  const one: ChangeOne = async (visit, change, words) => {
    const isNew = visit.planned.visit === null;
    const saved = await changeAll(run, [[visit, change]], words);
    const [first] = saved?.change.records ?? [];
    if (isNew && first !== undefined) onAccepted?.(first.id);
    return saved !== null;
  };
  const several = async (
    all: readonly (readonly [ListedVisit, OnMachine])[],
    words: string,
    name?: string,
  ): Promise<boolean> => (await changeAll(run, all, words, name)) !== null;
  return {
    failure,
    ...changesOfOne(one),
    accept: (visits) => {
      const words = acceptedWords(visits);
      const [first] = visits;
      // Of several none is the one in hand.
      if (visits.length === 1 && first !== undefined) {
        return one(first, accepted(first, {}), words);
      }
      const all = visits.map((visit) => [visit, accepted(visit, {})] as const);
      return several(all, words);
    },
    moveAll: (moves) => {
      const all = moves.map(({ visit, day }) => [visit, moved(visit, day)] as const);
      // Those that were only proposed are accepted with it.
      return several(all, movedWords(moves), "move-visit");
    },
  };
}
