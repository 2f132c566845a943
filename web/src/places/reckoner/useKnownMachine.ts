import type { MachineId } from "@yonderfell/core";
import { matchPath, useLocation } from "react-router";
import type { KnownMachine } from "../shared/sums/fromMachine.js";
import { useKnown } from "../shared/sums/useKnown.js";

/** The pages that are of a machine. */
const OF_MACHINE = ["/yard/:machine/*", "/log/:machine", "/correct/:machine/*"];

/** The machine of the page that the Reckoner lies over, with what is known of it; null where it is none, undefined until read. */
export function useKnownMachine(): KnownMachine | null | undefined {
  const { pathname } = useLocation();
  const found = OF_MACHINE.flatMap((path) => matchPath(path, pathname)?.params["machine"] ?? [])[0];
  return useKnown((found ?? "") as MachineId);
}
