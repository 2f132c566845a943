import {
  CHECKLIST_LIBRARY,
  currentRecords,
  isFound,
  openPlaces,
  placesOf,
  roundsUnderWay,
  type Checklist,
  type Machine,
  type MachineBook,
  type MachineId,
  type Person,
  type Round,
  type Settings,
  type Specification,
} from "@yonderfell/core";
import { useMemo } from "react";
import { useLiveOf } from "../../data/useLiveOf.js";
import { useBook } from "../../session/openBook.js";
import { useMachineBook } from "../../session/useMachineBook.js";

/** A round with all that is shown of it. */
export interface ShownRound {
  readonly round: Round;
  readonly checklist: Checklist;
  readonly machine: Machine;
  readonly book: MachineBook;
  readonly settings: Settings;
  readonly specifications: readonly Specification[];
  readonly people: readonly Person[];
}

/** One round, current as it goes on: undefined until read, null where there is none. */
export function useShownRound(machine: MachineId, id: string): ShownRound | null | undefined {
  const { storage } = useBook();
  const found = useMachineBook(machine);
  const read = async () => {
    const [checklists, people, { specifications }] = await Promise.all([
      storage.list("checklists"),
      storage.list("people"),
      storage.ofMachine(machine, ["specifications"]),
    ]);
    return { checklists, people, specifications };
  };
  const around = useLiveOf(machine, read, [storage]);
  return useMemo(() => {
    if (found === undefined || around === undefined) return undefined;
    const round = found?.book.rounds.find((one) => one.id === id);
    const checklist = around.checklists.find((one) => one.id === round?.checklist);
    if (found === null || round === undefined || checklist === undefined) return null;
    const { book, settings } = found;
    const { specifications, people } = around;
    return { round, checklist, machine: book.machines[0], book, settings, specifications, people };
  }, [found, around, id]);
}

/** A round in a list. */
export interface ListedRound {
  readonly round: Round;
  readonly name: string;
  readonly machine: Machine;
  readonly done: number;
  readonly of: number;
  /** How many of its results are not sound. */
  readonly found: number;
}

/** How many rounds that are finished are listed. */
const LATEST = 12;

/** The rounds under way and those finished lately, over all machines; undefined until read. */
export function useRounds():
  | { readonly underWay: readonly ListedRound[]; readonly lately: readonly ListedRound[] }
  | undefined {
  const { storage } = useBook();
  const read = async () => {
    const [rounds, checklists, machines] = await Promise.all([
      storage.list("rounds"),
      storage.list("checklists"),
      storage.list("machines"),
    ]);
    const listed = (round: Round): ListedRound[] => {
      const checklist = checklists.find(({ id }) => id === round.checklist);
      const machine = machines.find(({ id }) => id === round.machine);
      if (checklist === undefined || machine === undefined) return [];
      const { length: of } = placesOf(checklist);
      const bad = (round.results ?? []).filter(({ verdict }) => isFound(verdict));
      const done = of - openPlaces(round, checklist).length;
      return [{ round, name: checklist.name, machine, done, of, found: bad.length }];
    };
    const finished = currentRecords(rounds)
      .filter(({ record }) => record.finished === true)
      .toSorted((one, other) => other.day - one.day)
      .slice(0, LATEST);
    return {
      underWay: roundsUnderWay(rounds).flatMap(listed),
      lately: finished.flatMap(({ record }) => listed(record)),
    };
  };
  return useLiveOf("rounds", read, [storage]);
}

/** A checklist that can be walked, and whether the book has it already. */
export interface Walkable {
  readonly checklist: Checklist;
  readonly isKnown: boolean;
}

/** The checklists for a kind of machine: those of the book, then those of the library that it does not have; undefined until read. */
export function useChecklists(kind: string | null): readonly Walkable[] | undefined {
  const { storage } = useBook();
  const own = useLiveOf("checklists", () => storage.list("checklists"), [storage]);
  return useMemo(() => {
    if (own === undefined) return undefined;
    const known = new Set<string>(own.map(({ id }) => id));
    const others = CHECKLIST_LIBRARY.filter(({ id }) => !known.has(id));
    const fits = ({ kinds }: Checklist): boolean =>
      kind === null || (kinds ?? []).length === 0 || (kinds ?? []).includes(kind);
    return [
      ...own.filter(fits).map((checklist) => ({ checklist, isKnown: true })),
      ...others.filter(fits).map((checklist) => ({ checklist, isKnown: false })),
    ];
  }, [own, kind]);
}
