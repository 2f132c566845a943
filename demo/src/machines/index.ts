import type { ScenarioMachine } from "../scenario.js";
import { flailMower } from "./flailMower.js";
import { hatchback } from "./hatchback.js";
import { libraryBus } from "./libraryBus.js";

/** The machines of the demonstration book. */
export const MACHINES: readonly ScenarioMachine[] = [libraryBus, flailMower, hatchback];
