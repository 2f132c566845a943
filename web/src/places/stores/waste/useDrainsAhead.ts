import { drainsAhead, type DrainAhead, type WasteKind } from "@yonderfell/core";
import { useMemo } from "react";
import { useLiveOf } from "../../../data/useLiveOf.js";
import { useBook } from "../../../session/openBook.js";
import { useAppSelector } from "../../../session/store.js";
import { useVisits } from "../../../session/useVisits.js";
import { visitsAhead } from "../buy/useShopping.js";

/** What the visits ahead drain, by kind of waste, the next first; nothing until they are planned. */
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
    const visits = new Map(machines.map((one) => [one.machine.id, visitsAhead(one, today)]));
    return drainsAhead(read ?? { tasks: [], fluids: [] }, visits);
  }, [machines, read, today]);
}
