import { bookOf, VAN } from "../../test/books.js";
import { readBookData } from "../book/file/readBook.js";
import { runningInSchema, type RunningIn } from "../book/records/runningIn.js";
import { runningInState } from "./runningInState.js";

const PLAN = {
  meter: "odo",
  from: 200,
  stages: [
    { until: 300, revolutions: 3000, load: "no towing" },
    { until: 1000, revolutions: 4500 },
  ],
} as unknown as RunningIn;

test.each([
  [200, 1, 0, 300],
  [450, 1, 250, 50],
  [500, 2, 300, 700],
  [150, 1, 0, 300],
  [null, 1, 0, 300],
])("at a life of %p it is in stage %d, has run %d and has %d left", (life, number, run, left) => {
  expect(runningInState(PLAN, life)).toMatchObject({ number, run, left, end: 1000 });
});

test("it is through where the last stage ends", () => {
  expect(runningInState(PLAN, 1200)).toBeNull();
  expect(runningInState({ ...PLAN, stages: [] }, 0)).toBeNull();
});

test("stages must rise, and the meter must be the machine's", () => {
  const falling = { ...PLAN, stages: [{ until: 300 }, { until: 300 }] };
  expect(runningInSchema.safeParse(falling).error?.issues[0]).toMatchObject({
    path: ["stages", 1, "until"],
    message: "more than the stage before",
  });
  const read = readBookData(
    bookOf({ machines: [{ ...VAN, runningIn: { ...PLAN, meter: "hrs" } }] }),
  );
  expect(read.ok ? [] : read.issues).toMatchObject([
    { code: "reference-to-nothing", path: ["machines", 0, "runningIn", "meter"] },
  ]);
});
