import { reckonBoard, dayOf } from "@yonderfell/core";
import { BOOK, TODAY } from "../../test/skarrowVale.js";
import { exportFileName } from "../words/exportFileName.js";
import { board, type BoardState } from "./board.js";
import { noticeClosed, noticeGiven, sessionReducer, taskOpened } from "./session.js";
import {
  changeBroughtBack,
  changeMade,
  changeTakenBack,
  stepDropped,
  undoReducer,
  type UndoState,
} from "./undo.js";
import { currentDay } from "../data/today.js";

const BOARD = reckonBoard(BOOK, TODAY);
const whole = board.updated({
  seq: 3,
  today: TODAY,
  isWhole: true,
  isCurrent: true,
  machines: BOARD,
});

/** The board after some actions. */
function after(...actions: Parameters<typeof board.reducer>[1][]): BoardState {
  return actions.reduce<BoardState>(
    (state, action) => board.reducer(state, action),
    board.reducer(undefined, { type: "start" }),
  );
}

test("a whole board takes the place of what stood", () => {
  expect(after(whole)).toMatchObject({ phase: "ready", seq: 3, today: TODAY, machines: BOARD });
});

test("a part changes its machines where they stand and leaves the others untouched", () => {
  const [first, second, ...others] = BOARD;
  if (first === undefined || second === undefined) throw new Error("Skarrow Vale has machines");
  const changed = { ...second, tasks: [] };
  const state = after(
    whole,
    board.updated({ seq: 4, today: TODAY, isWhole: false, isCurrent: true, machines: [changed] }),
  );
  expect(state.machines).toEqual([first, changed, ...others]);
  expect(state.machines[0]).toBe(first);
  expect(state.seq).toBe(4);
});

test("while it is reckoned the old board stays in sight; failing says why", () => {
  expect(after(whole, board.reckoning())).toMatchObject({ phase: "reckoning", machines: BOARD });
  expect(after(whole, board.reckoning(), board.unchanged())).toMatchObject({
    phase: "ready",
    machines: BOARD,
  });
  expect(after(whole, board.failed("no room"))).toMatchObject({
    phase: "failed",
    reason: "no room",
    machines: BOARD,
  });
});

test("another book begins with an empty board", () => {
  expect(after(whole, board.closed())).toMatchObject({ phase: "reckoning", machines: [], seq: -1 });
});

test("a strip opens and closes, and another closes the first", () => {
  const open = sessionReducer(undefined, taskOpened("a"));
  expect(open.openTask).toBe("a");
  expect(sessionReducer(open, taskOpened("b")).openTask).toBe("b");
  expect(sessionReducer(open, taskOpened("a")).openTask).toBe("");
});

test("what went wrong stands until it is closed, the last three of many", () => {
  const given = ["one", "two", "three", "four"].reduce(
    (state, words) => sessionReducer(state, noticeGiven({ isGood: false, words, change: null })),
    sessionReducer(undefined, { type: "start" }),
  );
  expect(given.notices.map((notice) => notice.words)).toEqual(["two", "three", "four"]);
  const closed = sessionReducer(given, noticeClosed(given.notices[1]?.id ?? -1));
  expect(closed.notices.map((notice) => notice.words)).toEqual(["two", "four"]);
});

test("what went well takes the place of what went well before, and of nothing else", () => {
  const given = [true, false, true, true].reduce(
    (state, isGood, at) =>
      sessionReducer(state, noticeGiven({ isGood, words: `${at}`, change: null })),
    sessionReducer(undefined, { type: "start" }),
  );
  expect(given.notices.map((notice) => notice.words)).toEqual(["1", "3"]);
});

describe("undo", () => {
  const run = (...actions: Parameters<typeof undoReducer>[1][]): UndoState =>
    actions.reduce<UndoState>(undoReducer, { done: [], undone: [] });
  const made = [changeMade({ seq: 1, words: "one" }), changeMade({ seq: 2, words: "two" })];

  test("takes back the newest first, by the change that took it back", () => {
    expect(run(...made, changeTakenBack(3))).toEqual({
      done: [{ seq: 1, words: "one" }],
      undone: [{ seq: 3, words: "two" }],
    });
    expect(run(...made, changeTakenBack(3), changeBroughtBack(4))).toEqual({
      done: [
        { seq: 1, words: "one" },
        { seq: 4, words: "two" },
      ],
      undone: [],
    });
  });

  test("a new change leaves nothing to bring back, and a step that is refused goes", () => {
    const after = run(...made, changeTakenBack(3), changeMade({ seq: 4, words: "other" }));
    expect(after.undone).toEqual([]);
    expect(run(...made, stepDropped("done")).done).toEqual([{ seq: 1, words: "one" }]);
  });

  test("with nothing done there is nothing to take back", () => {
    expect(run(changeTakenBack(1), changeBroughtBack(1))).toEqual({ done: [], undone: [] });
  });
});

test("the day is that of the place, up to the last minute of it", () => {
  expect(currentDay(new Date(2026, 10, 23, 0, 0, 1))).toBe(dayOf("2026-11-23"));
  expect(currentDay(new Date(2026, 10, 23, 23, 59, 59))).toBe(dayOf("2026-11-23"));
});

test.each([
  ["Skarrow Vale", "Skarrow-Vale-2026-11-23.yonderfell.json"],
  ["../../etc: x", "etc-x-2026-11-23.yonderfell.json"],
  ["Årdal", "Årdal-2026-11-23.yonderfell.json"],
  ["???", "book-2026-11-23.yonderfell.json"],
])("the book %j goes into the file %s", (name, file) => {
  expect(exportFileName(name, "2026-11-23")).toBe(file);
});
