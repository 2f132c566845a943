import { demonstrationBook } from "@yonderfell/demo";
import { settingsOf } from "../book/records/settings.js";
import type { MachineId } from "../book/records/ids.js";
import { recordsByMachine } from "../book/slice/machineRecords.js";
import { addDays, dayOf } from "../calendar/dayNumber.js";
import type { MachineState } from "./machineState.js";
import { pastStates } from "./pastStates.js";
import { machineState } from "./reckonMachine.js";
import { reckonTask } from "./reckonTask.js";

const TODAY = dayOf("2026-11-23");
const STEP = 41;
const STEPS = 24;

test("on each earlier day each task of the demonstration stands as it was reckoned that day, where no figure proved to be at fault", () => {
  const book = demonstrationBook(TODAY);
  const settings = settingsOf(book);
  let compared = 0;
  for (const records of recordsByMachine(book).values()) {
    const { meters } = machineState(records, settings, TODAY);
    if ([...meters.values()].some(({ faults }) => faults.length > 0)) continue;
    const stateOn = pastStates(records, settings, TODAY);
    for (let back = 0; back < STEPS; back += 1) {
      const day = addDays(TODAY, -back * STEP);
      const [past, then] = [stateOn(day), machineState(records, settings, day)];
      for (const task of records.tasks) {
        const [one, other] = [past, then].map((state) => reckonTask(task, state, settings));
        expect(one).toEqual(other);
        compared += 1;
      }
    }
  }
  expect(compared).toBeGreaterThan(1500);
});

test("a figure that proved to be at fault later is left out on the day it was believed", () => {
  const records = recordsByMachine(demonstrationBook(TODAY)).get("m-hatch" as MachineId);
  if (records === undefined) throw new Error("the demonstration has the hatchback");
  const settings = settingsOf(demonstrationBook(TODAY));
  const [fault] = [...machineState(records, settings, TODAY).meters.values()].flatMap(
    ({ faults }) => faults,
  );
  if (fault === undefined) throw new Error("one of its figures is at fault");
  const lifeIn = ({ meters }: MachineState): number => [...meters.values()][0]?.life ?? 0;
  expect(lifeIn(machineState(records, settings, fault.day))).toBe(fault.life);
  expect(lifeIn(pastStates(records, settings, TODAY)(fault.day))).toBeLessThan(fault.life - 5000);
});
