import { reckonBoard, dayOf } from "@yonderfell/core";
import { BOOK, TODAY } from "../../test/skarrowVale.js";
import { exportFileName } from "../places/ledger/exportBook.js";
import {
  boardFailed,
  boardOpened,
  boardReckoning,
  boardReducer,
  boardUnchanged,
  boardUpdated,
  type BoardState,
} from "./board.js";
import { noticeGiven, noticesShown, sessionReducer, taskOpened } from "./session.js";
import { currentDay } from "./today.js";

const BOARD = reckonBoard(BOOK, TODAY);
const whole = boardUpdated({
  seq: 3,
  today: TODAY,
  isWhole: true,
  isCurrent: true,
  machines: BOARD,
});

/** The board after some actions. */
function after(...actions: Parameters<typeof boardReducer>[1][]): BoardState {
  return actions.reduce<BoardState>(
    (state, action) => boardReducer(state, action),
    boardReducer(undefined, { type: "start" }),
  );
}

test("a whole board takes the place of what stood", () => {
  expect(after(whole)).toMatchObject({ phase: "ready", seq: 3, today: TODAY, machines: BOARD });
});

test("a part changes its machines where they stand and leaves the others untouched", () => {
  const [first, second, third] = BOARD;
  if (first === undefined || second === undefined) throw new Error("Skarrow Vale has machines");
  const changed = { ...second, tasks: [] };
  const state = after(
    whole,
    boardUpdated({ seq: 4, today: TODAY, isWhole: false, isCurrent: true, machines: [changed] }),
  );
  expect(state.machines).toEqual([first, changed, third]);
  expect(state.machines[0]).toBe(first);
  expect(state.seq).toBe(4);
});

test("while it is reckoned the old board stays in sight; failing says why", () => {
  expect(after(whole, boardReckoning())).toMatchObject({ phase: "reckoning", machines: BOARD });
  expect(after(whole, boardReckoning(), boardUnchanged())).toMatchObject({
    phase: "ready",
    machines: BOARD,
  });
  expect(after(whole, boardFailed("no room"))).toMatchObject({
    phase: "failed",
    reason: "no room",
    machines: BOARD,
  });
});

test("another book begins with an empty board", () => {
  expect(after(whole, boardOpened())).toMatchObject({ phase: "reckoning", machines: [], seq: -1 });
});

test("a strip opens and closes, and another closes the first", () => {
  const open = sessionReducer(undefined, taskOpened("a"));
  expect(open.openTask).toBe("a");
  expect(sessionReducer(open, taskOpened("b")).openTask).toBe("b");
  expect(sessionReducer(open, taskOpened("a")).openTask).toBe("");
});

test("notes wait in order until they are shown", () => {
  const given = ["one", "two"].reduce(
    (state, words) => sessionReducer(state, noticeGiven({ isGood: true, words })),
    sessionReducer(undefined, { type: "start" }),
  );
  expect(given.notices.map((notice) => notice.words)).toEqual(["one", "two"]);
  expect(sessionReducer(given, noticesShown())).toMatchObject({ notices: [], hasNotices: true });
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
