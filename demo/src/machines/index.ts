import type { ScenarioMachine } from "../scenario.js";
import { bogPump } from "./bogPump.js";
import { cargoTrike } from "./cargoTrike.js";
import { cinemaGenerator } from "./cinemaGenerator.js";
import { flailMower } from "./flailMower.js";
import { hatchback } from "./hatchback.js";
import { libraryBus } from "./libraryBus.js";
import { lunchVan } from "./lunchVan.js";
import { oldScooter } from "./oldScooter.js";
import { postVan } from "./postVan.js";
import { rescueAmbulance } from "./rescueAmbulance.js";
import { roadGritter } from "./roadGritter.js";
import { schoolMinibus } from "./schoolMinibus.js";
import { skiTow } from "./skiTow.js";
import { supportLorry } from "./supportLorry.js";
import { trackedCarrier } from "./trackedCarrier.js";

/** The machines of the demonstration book. */
export const MACHINES: readonly ScenarioMachine[] = [
  libraryBus,
  flailMower,
  hatchback,
  rescueAmbulance,
  schoolMinibus,
  cargoTrike,
  lunchVan,
  postVan,
  roadGritter,
  trackedCarrier,
  supportLorry,
  cinemaGenerator,
  bogPump,
  skiTow,
  oldScooter,
];
