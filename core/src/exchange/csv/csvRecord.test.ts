import type { CsvNames } from "./csvNames.js";
import { withoutMissing } from "./csvRecord.js";

const NAMES = { hasTask: (_id: string, task: string) => task === "oil" } as unknown as CsvNames;
const hasFluid = (machine: string, fluid: string): boolean =>
  machine === "m-bus" && fluid === "engine";

test("a task keeps the fluids its machine has, and the use of one it lacks is named and left out", () => {
  const oil = { fluid: "engine", condition: "with filter" };
  const task = { machine: "m-bus", name: "Oil", uses: [oil, { fluid: "gearbox" }] };
  expect(withoutMissing("tasks", "t", task, NAMES, hasFluid)).toEqual({
    fields: { ...task, uses: [oil] },
    missing: ["uses"],
  });
  const other = { ...task, machine: "m-van", uses: [oil] };
  expect(withoutMissing("tasks", "t", other, NAMES, hasFluid)).toEqual({
    fields: { ...other, uses: [] },
    missing: ["uses"],
  });
});

test("what is not readable as a use is left to the check of the book, and no use is none missing", () => {
  for (const uses of [[{ fluid: 7 }], [null], "engine", undefined, []]) {
    const task = { machine: "m-bus", name: "Oil", uses };
    expect(withoutMissing("tasks", "t", task, NAMES, hasFluid)).toEqual({
      fields: task,
      missing: [],
    });
  }
  // Only tasks use fluids.
  const part = { machine: "m-bus", uses: [{ fluid: "gearbox" }] };
  expect(withoutMissing("parts", "p", part, NAMES, hasFluid).missing).toEqual([]);
});

test("a machine's reminders and baseline lose the tasks it does not have", () => {
  const machine = {
    name: "Bus",
    reminders: [{ code: "A1", tasks: ["oil", "wipers"] }, { code: "B" }],
    baseline: { left: ["wipers", "oil"] },
  };
  expect(withoutMissing("machines", "m-bus", machine, NAMES, hasFluid)).toEqual({
    fields: {
      ...machine,
      reminders: [{ code: "A1", tasks: ["oil"] }, { code: "B" }],
      baseline: { left: ["oil"] },
    },
    missing: ["reminders", "baseline"],
  });
});
