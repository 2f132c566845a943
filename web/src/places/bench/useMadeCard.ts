import {
  makeCard,
  type CardFrom,
  type Finding,
  type MadeCard,
  type MachineId,
  type TaskId,
} from "@yonderfell/core";
import { useMemo } from "react";
import { useLiveOf } from "../../data/useLiveOf.js";
import { useBook } from "../../session/openBook.js";
import { useShelves } from "../../session/useShelves.js";
import { useWorkSource, type WorkSource } from "../../session/useWorkSource.js";

/** A card that is made, and what it is made from. */
export interface FoundCard {
  readonly card: MadeCard;
  readonly source: WorkSource;
  readonly from: CardFrom;
}

/** The card for tasks and findings of a machine: undefined until it is made, null where there is no such machine. */
export function useMadeCard(
  machine: MachineId | undefined,
  tasks: readonly string[],
  findings: readonly string[],
  ways: ReadonlyMap<string, string>,
): FoundCard | null | undefined {
  const { storage } = useBook();
  const source = useWorkSource(machine);
  const methods = useLiveOf("methods", () => storage.list("methods"), [storage]);
  const stock = useShelves().shelves?.stock ?? null;
  const key = JSON.stringify([tasks, findings, [...ways]]);
  return useMemo(() => {
    if (source === undefined || methods === undefined) return undefined;
    if (source === null) return null;
    const [own] = source.book.machines;
    const [wanted, found, named] = JSON.parse(key) as readonly [
      readonly TaskId[],
      readonly string[],
      readonly (readonly [string, string])[],
    ];
    const { plate, parts, products, stockMoves } = source;
    const onHand = stockMoves.length === 0 ? null : stock;
    const chosenWays = new Map(named);
    const given = { machine: own, plate, parts, products, stockMoves, methods, onHand };
    const from: CardFrom = { ...given, chosen: chosenWays };
    const chosen = source.book.tasks.filter(({ id }) => wanted.includes(id));
    const put: readonly Finding[] = source.book.findings.filter(({ id }) => found.includes(id));
    return { card: makeCard(chosen, from, put), source, from };
  }, [source, methods, stock, key]);
}
