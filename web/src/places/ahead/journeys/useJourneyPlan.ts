import {
  machineState,
  planJourney,
  plateNow,
  planningOf,
  recordsByMachine,
  settingsOf,
  usualRate,
  type DayNumber,
  type Journey,
  type JourneyPlan,
  type MachineId,
} from "@yonderfell/core";
import { useMemo } from "react";
import { useBook } from "../../../session/openBook.js";
import type { BookStorage } from "../../../data/bookStorage.js";
import { useLiveOf } from "../../../data/useLiveOf.js";

async function readFor(storage: BookStorage, id: MachineId) {
  const [book, own, plate, visits, parts, products, people, closures] = await Promise.all([
    storage.machineBook(id),
    storage.ownSettings(),
    storage.plate(id),
    storage.list("visits"),
    storage.list("parts"),
    storage.list("products"),
    storage.list("people"),
    storage.list("closures"),
  ]);
  return { book, own, plate, visits, parts, products, people, closures };
}

/** What a journey asks of its machine, current as the book changes; null until it is read. */
export function useJourneyPlan(
  journey: Journey,
  chosen: DayNumber | null,
  today: DayNumber,
): { readonly plan: JourneyPlan; readonly since: number | null } | null {
  const { storage } = useBook();
  const read = useLiveOf(journey.machine, () => readFor(storage, journey.machine), [storage]);
  return useMemo(() => {
    const records = read?.book ? recordsByMachine(read.book).get(journey.machine) : undefined;
    if (!read?.book || records === undefined) return null;
    const settings = settingsOf({ settings: read.own });
    const { parts, products, people } = read;
    const plate = plateNow(read.plate, read.book, today);
    const source = {
      settings,
      planning: planningOf({ settings: read.own, closures: read.closures }),
      needs: { plate, parts, products, rate: usualRate(people) },
      coldMargin: read.own?.coldMargin ?? undefined,
    };
    const visits = read.visits.filter(({ machine }) => machine === journey.machine);
    const state = machineState(records, settings, today);
    const numbers = read.book.entries.flatMap(({ seq }) => seq ?? []);
    return {
      plan: planJourney(journey, state, visits, source, chosen),
      since: numbers.length === 0 ? null : Math.max(...numbers),
    };
  }, [read, journey, chosen, today]);
}
