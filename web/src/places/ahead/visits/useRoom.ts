import { ridgeOf, type DayNumber } from "@yonderfell/core";
import { useEffect, useMemo, useState } from "react";
import type { VisitsState } from "../../../session/visits.js";
import { errorWords } from "../../../words/errorWords.js";
import { roomSearch } from "../../../work/roomClient.js";
import { overfull, visitMoves, type Overfull, type VisitMove } from "./roomModel.js";
import { listVisits } from "./visitModel.js";

/** What makes room in a week that holds too much. */
export interface WeekRoom {
  /** Hours of work more than there are. */
  readonly over: number;
  /** None where none are found, undefined as long as they are looked for. */
  readonly moves: readonly VisitMove[] | undefined;
  /** Hours more than there are when they are made. */
  readonly remaining: number;
  /** What went wrong in looking, empty where nothing did. */
  readonly failure: string;
}

interface Answer {
  readonly of: Overfull | null;
  readonly moves: readonly VisitMove[];
  readonly remaining: number;
  readonly failure: string;
}

const NOTHING: Answer = { of: null, moves: [], remaining: 0, failure: "" };
const MINUTES_AN_HOUR = 60;

/** How to make room in the week chosen, as the plan stands; null where none is needed. */
export function useRoom(
  { machines, planning, weekHours }: VisitsState,
  week: DayNumber | null,
  today: DayNumber,
): WeekRoom | null {
  const [answer, setAnswer] = useState<Answer>(NOTHING);
  const asked = useMemo(() => {
    if (week === null) return null;
    const ridge = ridgeOf(listVisits(machines, null), weekHours);
    const chosen = ridge.find(({ monday }) => monday === week);
    if (chosen === undefined) return null;
    return overfull(chosen, ridge, today, planning);
  }, [machines, planning, weekHours, week, today]);
  useEffect(() => {
    if (asked === null) return undefined;
    let isWanted = true;
    roomSearch()
      .movesOutOf(asked.asked)
      .then(
        ({ moves, remaining }) =>
          isWanted &&
          setAnswer({
            of: asked,
            moves: visitMoves(asked, moves),
            remaining: remaining / MINUTES_AN_HOUR,
            failure: "",
          }),
        (error: unknown) =>
          isWanted && setAnswer({ ...NOTHING, of: asked, failure: errorWords(error) }),
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
    remaining: isThere ? answer.remaining : 0,
    failure: isThere ? answer.failure : "",
  };
}
