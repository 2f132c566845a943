import { useCallback, useEffect, useState } from "react";
import { useBook } from "../../../session/openBook.js";
import { useAppSelector } from "../../../session/store.js";
import { errorWords } from "../../../words/errorWords.js";
import { endFleet, findFleet } from "../../../work/fleetClient.js";
import { afterNews, BEGINNING, type FleetPlanning } from "./fleetPlanning.js";

/** The fleet plan of the open book, looked for anew after each change of it; and the ways to stop and to begin again. */
export function useFleetPlan(): FleetPlanning & {
  readonly stop: () => void;
  readonly again: () => void;
} {
  const { database } = useBook().entry;
  const today = useAppSelector((state) => state.session.today);
  const seq = useAppSelector((state) => state.board.seq);
  const [turn, setTurn] = useState(0);
  // What was planned for a book that has changed since is not shown: it would be taken twice.
  const of = `${database} ${today} ${seq} ${turn}`;
  const [known, setKnown] = useState({ of, planning: BEGINNING });
  const change = useCallback(
    (next: (before: FleetPlanning) => FleetPlanning) =>
      setKnown((before) => ({
        of,
        planning: next(before.of === of ? before.planning : BEGINNING),
      })),
    [of],
  );
  useEffect(() => {
    if (seq < 0) return undefined;
    let isWanted = true;
    const say = (next: (before: FleetPlanning) => FleetPlanning): void => {
      if (isWanted) change(next);
    };
    findFleet(database, today, (news) => say((before) => afterNews(before, news))).then(
      () => say((before) => ({ ...before, phase: "done" })),
      (error: unknown) =>
        say((before) => ({ ...before, phase: "failed", reason: errorWords(error) })),
    );
    return () => {
      isWanted = false;
      endFleet();
    };
  }, [change, database, today, seq]);
  const stop = useCallback(() => {
    endFleet();
    change((before) => ({ ...before, phase: "stopped" }));
  }, [change]);
  const again = useCallback(() => setTurn((before) => before + 1), []);
  const planning = known.of === of ? known.planning : BEGINNING;
  return { ...planning, stop, again };
}
