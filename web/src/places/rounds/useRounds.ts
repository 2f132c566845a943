import {
  CHECKLIST_LIBRARY,
  type Checklist,
  type ListedRounds,
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
import { useBeside } from "../../session/useBeside.js";
import { useMachineBook } from "../../session/useMachineBook.js";
import { roundsReckoned } from "../../work/roundsClient.js";

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

const ask = (database: string): Promise<ListedRounds> => roundsReckoned().roundsListed(database);

/** The rounds under way and those finished lately, over all machines, listed beside the page; null until they are. */
export function useRounds(): { readonly rounds: ListedRounds | null; readonly failure: string } {
  const { answer: rounds, failure } = useBeside(ask);
  return { rounds, failure };
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
