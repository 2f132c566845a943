import { plannedDrains, type DayNumber, type WasteKind } from "@yonderfell/core";
import { groupBy } from "es-toolkit";
import { useMemo } from "react";
import { useLiveOf } from "../../../data/useLiveOf.js";
import { useBook } from "../../../session/openBook.js";
import { useAppSelector } from "../../../session/store.js";
import { useVisits } from "../../../session/useVisits.js";
import { visitsAhead } from "../buy/useShopping.js";

/** Something that will be drained: on which day, of which machine, how much. */
export interface DrainAhead {
  readonly day: DayNumber;
  readonly tag: string;
  readonly litres: number;
}

/** What the visits ahead drain, by kind of waste, the next first. */
export function useDrainsAhead(): ReadonlyMap<WasteKind, readonly DrainAhead[]> {
  const { storage } = useBook();
  const { machines } = useVisits();
  const today = useAppSelector((state) => state.session.today);
  const read = useLiveOf(
    "drains",
    async () => {
      const [tasks, fluids] = await Promise.all([storage.list("tasks"), storage.list("fluids")]);
      return { tasks, fluids };
    },
    [storage],
  );
  return useMemo(() => {
    const drains = new Map<WasteKind, DrainAhead[]>();
    if (read === undefined) return drains;
    const tasks = groupBy(read.tasks, ({ machine }) => machine);
    const fluids = groupBy(read.fluids, ({ machine }) => machine);
    for (const of of machines) {
      const { id, tag } = of.machine;
      for (const { day, tasks: ids } of visitsAhead(of, today)) {
        const own = (tasks[id] ?? []).filter((task) => ids.includes(task.id));
        for (const [kind, litres] of plannedDrains(own, fluids[id] ?? [])) {
          const list = drains.get(kind) ?? [];
          list.push({ day, tag, litres });
          drains.set(kind, list);
        }
      }
    }
    for (const list of drains.values()) list.sort((one, other) => one.day - other.day);
    return drains;
  }, [machines, read, today]);
}
