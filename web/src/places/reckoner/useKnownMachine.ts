import { formatDay, systemsInUse } from "@yonderfell/core";
import { useMemo } from "react";
import { matchPath, useLocation } from "react-router";
import { useAppSelector } from "../../session/store.js";
import { useWorkSource } from "../../session/useWorkSource.js";
import type { KnownMachine } from "./fromMachine.js";

/** The pages that are of a machine. */
const OF_MACHINE = ["/yard/:machine/*", "/log/:machine", "/correct/:machine/*"];

/** The machine of the page that the Reckoner lies over, with what is known of it; null where it is none, undefined until read. */
export function useKnownMachine(): KnownMachine | null | undefined {
  const { pathname } = useLocation();
  const found = OF_MACHINE.flatMap((path) => matchPath(path, pathname)?.params["machine"] ?? [])[0];
  const machine = useAppSelector((state) =>
    state.board.machines.find((one) => one.machine.id === found),
  );
  const today = useAppSelector((state) => state.session.today);
  const source = useWorkSource(machine?.machine.id);
  return useMemo(() => {
    if (machine === undefined || source === null) return null;
    if (source === undefined) return undefined;
    const systems = systemsInUse(source.book, source.plate.fluids, today);
    return { machine, source, systems, today: formatDay(today) };
  }, [machine, source, today]);
}
