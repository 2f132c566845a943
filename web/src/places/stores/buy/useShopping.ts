import { type DayNumber, type MachineId, type VisitAhead } from "@yonderfell/core";
import { useMemo } from "react";
import { useBeside } from "../../../session/useBeside.js";
import { useVisits } from "../../../session/useVisits.js";
import { shelvesReckoned } from "../../../work/shelvesClient.js";
import type { Shopping } from "../../../work/shelves.worker.js";
import type { PlannedMachine } from "../../../work/visitKeeper.js";

/** Over what the list goes. */
export interface Wanted {
  readonly until: DayNumber;
  readonly machines: readonly MachineId[] | null;
  readonly source: string | null;
}

/** A list as far as it is made. */
interface ShoppingSoFar {
  /** That from before while it is made anew; null before the first. */
  readonly shopping: Shopping | null;
  readonly failure: string;
  /** Whether what is shown is of all changes. */
  readonly isCurrent: boolean;
}

/** The visits of a machine that one does oneself: those missed are wanted today. */
export function visitsAhead({ plan }: PlannedMachine, today: DayNumber): VisitAhead[] {
  return [...plan.missed, ...plan.visits]
    .filter(({ isOutside }) => !isOutside)
    .map(({ day, visit, turns, undone }) => ({
      ...{ day: day < today ? today : day, visit: visit?.id ?? null },
      tasks: [...turns.filter(({ isOutside }) => !isOutside).map(({ task }) => task), ...undone],
    }));
}

/** What to buy for the work ahead, reckoned beside the page once the visits are planned, anew after each change. */
export function useShopping({ until, machines, source }: Wanted): ShoppingSoFar {
  const { machines: planned, phase, reason, seq, today } = useVisits();
  const key = JSON.stringify([until, machines, source]);
  const ask = useMemo(() => {
    const wanted = JSON.parse(key) as readonly [
      DayNumber,
      readonly MachineId[] | null,
      string | null,
    ];
    return async (database: string, day: DayNumber): Promise<Shopping | null> => {
      if (today === null) return null;
      const [last, chosen, only] = wanted;
      const visits = planned.map((one) => [one.machine.id, visitsAhead(one, day)] as const);
      return shelvesReckoned().shoppingFor(database, day, {
        ...{ until: last, machines: chosen, source: only, visits },
      });
    };
  }, [key, planned, today]);
  const { answer, failure, seq: reckoned } = useBeside(ask);
  return {
    shopping: answer,
    failure: phase === "failed" ? reason : failure,
    isCurrent: phase === "ready" && reckoned >= seq,
  };
}
