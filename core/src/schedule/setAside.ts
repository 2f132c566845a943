import type { Settings } from "../book/records/settings.js";
import type { Task } from "../book/records/task.js";
import { addIntervals } from "../calendar/interval.js";
import { everyInterval, everySoMuch } from "../limit/limit.js";
import {
  completionFact,
  completionLife,
  datedFact,
  isLater,
  type Completion,
} from "./completion.js";
import type { LimitDue } from "./limits/due.js";
import type { MachineState } from "./machineState.js";
import { completionsOf } from "./taskDue.js";
import type { Call, SoundTest } from "./taskMarks.js";

/** The latest of some completions and others, null where there is none. */
function latest(...all: readonly (Completion | null | undefined)[]): Completion | null {
  let last: Completion | null = null;
  for (const one of all) {
    if (one !== null && one !== undefined && (last === null || isLater(one, last))) last = one;
  }
  return last;
}

/** The test that moves when a task is due, null where none is in effect: only the latest, and only until the task is done or, for one that follows another, armed anew (due rules §11). */
export function testInEffect(task: Task, state: MachineState): SoundTest | null {
  const test = state.marks.tests.get(task.id) ?? null;
  if (test === null) return null;
  const armedBy = task.follows ? completionsOf(state, task.follows.task).at(-1) : null;
  const ended = latest(completionsOf(state, task.id).at(-1), armedBy);
  return ended === null || isLater(test.by, ended) ? test : null;
}

/** The call for a task, null where none is in effect: until the task is done or tested sound (due rules §12). */
export function callInEffect(task: Task, state: MachineState): Call | null {
  const call = state.marks.calls.get(task.id) ?? null;
  if (call === null) return null;
  const ended = latest(completionsOf(state, task.id).at(-1), state.marks.tests.get(task.id)?.by);
  return ended === null || isLater(call.by, ended) ? call : null;
}

/** The one limit of a task that was tested sound: counted from the test (due rules §11). */
export function testedDue({ by, lookAgain }: SoundTest, state: MachineState): LimitDue[] {
  const found = lookAgain.found ?? null;
  const meter = lookAgain.meter ?? null;
  if (meter === null) {
    const months = lookAgain.months ?? null;
    const interval = months === null ? { days: lookAgain.days ?? 1 } : { months };
    const basis = { code: "tested-sound", test: datedFact(by), found } as const;
    const due = addIntervals(by.day, interval, 1);
    const limit = everyInterval(interval);
    return [{ kind: "calendar", limit, due: { state: "set", due, from: by.day, basis } }];
  }
  const reckoning = state.meters.get(meter);
  if (reckoning === undefined) return [];
  const every = lookAgain.amount ?? 0;
  const limit = everySoMuch(meter, every);
  const test = completionFact(by, reckoning);
  const from = completionLife(by, reckoning);
  if (from === null) {
    const basis = { code: "life-unknown-then", last: test } as const;
    return [{ kind: "meter", limit, reckoning, due: { state: "unknown", basis } }];
  }
  const basis = { code: "tested-sound", test, found } as const;
  return [
    { kind: "meter", limit, reckoning, due: { state: "set", due: from + every, from, basis } },
  ];
}

/** The limit of a task that is wanted at once: due on the day it was called for, with the window of *due* as its grace (due rules §12). */
export function calledDue({ by, code }: Call, settings: Settings): LimitDue {
  const basis = { code: "wanted", by: datedFact(by), reminder: code } as const;
  const limit = { ...everyInterval({ days: 1 }), grace: settings.dueWithinDays };
  return { kind: "calendar", limit, due: { state: "set", due: by.day, from: by.day, basis } };
}
