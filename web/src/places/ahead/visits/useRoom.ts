import { ridgeOf, type DayNumber } from "@yonderfell/core";
import { useEffect, useMemo, useState } from "react";
import type { VisitsState } from "../../../app/visits.js";
import { errorWords } from "../../../words/errorWords.js";
import { roomSearch } from "../../../work/roomClient.js";
import { overfull, visitMoves, type Overfull, type VisitMove } from "./roomModel.js";
import { listVisits } from "./visitModel.js";

/** What makes room in a week that holds too much. */
export interface WeekRoom {
  /** Hours of work more than there are. */
  readonly over: number;
  /** Null where none are found, undefined as long as they are looked for. */
  readonly moves: readonly VisitMove[] | null | undefined;
  /** What went wrong in looking, empty where nothing did. */
  readonly failure: string;
}

interface Answer {
  readonly of: Overfull | null;
  readonly moves: readonly VisitMove[] | null;
  readonly failure: string;
}

/** How to make room in the week chosen, as the plan stands; null where none is needed. */
export function useRoom(
  { machines, planning, hours }: VisitsState,
  week: DayNumber | null,
  today: DayNumber,
): WeekRoom | null {
  const [answer, setAnswer] = useState<Answer>({ of: null, moves: null, failure: "" });
  const asked = useMemo(() => {
    if (week === null) return null;
    const ridge = ridgeOf(listVisits(machines, null), today, planning.weeks + 1);
    const chosen = ridge.find(({ monday }) => monday === week);
    if (chosen === undefined) return null;
    return overfull(chosen, ridge, hours.hours, today, planning);
  }, [machines, planning, hours, week, today]);
  useEffect(() => {
    if (asked === null) return undefined;
    let isWanted = true;
    roomSearch()
      .movesOutOf(asked.asked)
      .then(
        (moves) =>
          isWanted && setAnswer({ of: asked, moves: visitMoves(asked, moves), failure: "" }),
        (error: unknown) =>
          isWanted && setAnswer({ of: asked, moves: null, failure: errorWords(error) }),
      );
    return () => {
      isWanted = false;
    };
  }, [asked]);
  if (asked === null) return null;
  const isThere = answer.of === asked;
  return {
    over: asked.over,
    moves: isThere ? answer.moves : undefined,
    failure: isThere ? answer.failure : "",
  };
}
