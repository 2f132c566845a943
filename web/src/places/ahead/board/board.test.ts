import {
  boardViewSchema,
  changeSettings,
  machinesInOrder,
  reckonBoard,
  type BoardMachine,
} from "@yonderfell/core";
import { BOOK, TODAY } from "../../../../test/skarrowVale.js";
import { WHOLE_BOARD, type BoardLook } from "../../../session/boardLook.js";

import { boardRows, runsOf } from "../../../ui/board/boardRows.js";
import { boardGroups, shownOf, type BoardNames } from "./boardGroups.js";
import { lookOf, viewOf, withView } from "./boardViews.js";
import { lookWords } from "./boardWords.js";
import { tableRows } from "./tableOrder.js";

const BOARD = machinesInOrder(reckonBoard(BOOK, TODAY));
const named = (list: readonly { readonly id: string; readonly name: string }[] = []) =>
  new Map(list.map(({ id, name }) => [id, name] as const));
const NAMES: BoardNames = { places: named(BOOK.places), people: named(BOOK.people) };
const look = (more: Partial<BoardLook>): BoardLook => ({ ...WHOLE_BOARD, ...more });
const groupsBy = (more: Partial<BoardLook>) => boardGroups(BOARD, look(more), NAMES);
const taskCount = (machines: readonly BoardMachine[]): number =>
  machines.reduce((sum, { tasks }) => sum + tasks.length, 0);

const stripCount = (machines: readonly BoardMachine[]): number =>
  machines.reduce((sum, { tasks, findings }) => sum + tasks.length + findings.length, 0);

test("all machines together stand as they stood, each with its soonest task first", () => {
  const [group, ...others] = groupsBy({});
  expect(others).toEqual([]);
  expect(group?.machines.map(({ machine }) => machine.id)).toEqual(
    BOARD.map(({ machine }) => machine.id),
  );
});

test.each([
  ["place", ["At home", "Long Shed", "Moss Barn", "Top Station"]],
  ["person", ["Edda Thwaite", "Joss Rigg", "Nobody named"]],
  ["state", ["Overdue", "Due", "Soon", "Clear", "Unknown", "Finished", "Found, no day set"]],
] as const)("by %s the groups are %j, and no strip is lost or twice there", (group, titles) => {
  const groups = groupsBy({ group });
  expect(groups.map(({ title }) => title)).toEqual(titles);
  const ids: string[] = groups.flatMap(({ machines }) =>
    machines.flatMap(({ tasks, findings }) => [
      ...tasks.map(({ task }) => task.id),
      ...findings.map(({ finding }) => finding.id),
    ]),
  );
  expect(new Set(ids).size).toBe(ids.length);
  expect(ids).toHaveLength(stripCount(BOARD));
});

test("by kind each machine stands under its own", () => {
  for (const { title, machines } of groupsBy({ group: "kind" })) {
    for (const { machine } of machines)
      expect(machine.kind.toLowerCase()).toBe(title.toLowerCase());
  }
});

test("only what is due, or up to soon, of one place, person or kind", () => {
  const due = shownOf(BOARD, { show: "due", of: null });
  expect(due.every(({ tasks }) => tasks.length > 0)).toBe(true);
  const states = new Set(due.flatMap(({ tasks }) => tasks.map(({ status }) => status)));
  expect([...states].sort()).toEqual(["due", "overdue"]);
  expect(taskCount(shownOf(BOARD, { show: "soon", of: null }))).toBeGreaterThan(taskCount(due));
  const top = shownOf(BOARD, { show: "all", of: { by: "place", value: "pl-top" } });
  expect(top.map(({ machine }) => machine.tag)).toEqual(["33"]);
  const none = shownOf(BOARD, { show: "due", of: { by: "kind", value: "balloon" } });
  expect(none).toEqual([]);
});

describe("the table", () => {
  const tags = (column: "machine" | "task" | "likely" | "left", isDown = false) =>
    tableRows(BOARD, { column, isDown });

  test("is in order by each column, up and down, with all its rows", () => {
    const names = tags("task").map(({ task }) => task.task.name);
    expect(names).toEqual(
      [...names].sort((a, b) => a.localeCompare(b, undefined, { numeric: true })),
    );
    expect(tags("machine")[0]?.machine.machine.tag).not.toBe(
      tags("machine", true)[0]?.machine.machine.tag,
    );
    for (const column of ["machine", "task", "likely", "left"] as const) {
      expect(tags(column, true)).toHaveLength(taskCount(BOARD));
    }
  });

  test("what has the least of its interval left comes first, what has no figure last", () => {
    const rows = tags("left");
    expect(rows[0]?.task.status).toBe("overdue");
    expect(["unknown", "finished", "clear"]).toContain(rows.at(-1)?.task.status);
  });
});

describe("views", () => {
  const VIEW = viewOf(
    " Shed this month ",
    look({ group: "person", show: "soon", of: { by: "place", value: "pl-shed" } }),
    { aheadAs: "reach", reach: 42 },
  );

  test("what is looked at goes into the book's settings and comes back", () => {
    expect(boardViewSchema.safeParse(VIEW).success).toBe(true);
    const change = changeSettings(BOOK.settings, { views: [VIEW] });
    expect(change).toMatchObject({ ok: true });
    const { look: again, seen } = lookOf(VIEW);
    expect(again).toEqual(look({ group: "person", show: "soon", of: VIEW.of ?? null }));
    expect(seen).toEqual({ aheadAs: "reach", reach: 42 });
    expect(VIEW.name).toBe("Shed this month");
  });

  test("one of the same name takes its place; a length there is no longer is left alone", () => {
    const other = { ...VIEW, name: "Other" };
    const changed = { ...VIEW, show: "all" as const };
    expect(withView([VIEW, other], changed)).toEqual([changed, other]);
    expect(withView([VIEW], other)).toEqual([VIEW, other]);
    expect(lookOf({ ...VIEW, reach: 77 }).seen).toEqual({ aheadAs: "reach" });
  });

  test.each<readonly [Partial<BoardLook>, string]>([
    [{}, ""],
    [{ group: "kind" }, "by kind"],
    [{ show: "due", of: { by: "place", value: "pl-shed" } }, "what is due at Long Shed"],
    [{ of: { by: "person", value: "pe-rigg" } }, "looked after by Joss Rigg"],
    [
      { show: "soon", of: { by: "kind", value: "bus" }, group: "state" },
      "up to soon bus, by state",
    ],
  ])("%j is said as “%s”", (more, words) => {
    expect(lookWords(look(more), NAMES)).toBe(words);
  });
});

describe("a long board", () => {
  const groups = groupsBy({ group: "place" });

  test("has a row for each title and strip, and names of their own where they stand over the strips", () => {
    const titles = groups.length;
    expect(boardRows(groups, false)).toHaveLength(titles + stripCount(BOARD));
    expect(boardRows(groups, true)).toHaveLength(titles + BOARD.length + stripCount(BOARD));
    const keys = boardRows(groups, true).map(({ key }) => key);
    expect(new Set(keys).size).toBe(keys.length);
  });

  test("whatever is in sight is put together by machine, in place and without gaps", () => {
    const rows = boardRows(groups, true);
    for (const [first, last] of [
      [0, rows.length - 1],
      [3, 40],
      [7, 7],
      [25, 31],
    ] as const) {
      const runs = runsOf(rows, first, last);
      const sizes = runs.map((run) =>
        run.code === "title"
          ? 1
          : run.tasks.length + run.findings.length + Number(run.beginsWithName),
      );
      expect(sizes.reduce((sum, size) => sum + size, 0)).toBe(last - first + 1);
      runs.forEach((run, at) => {
        const before = sizes.slice(0, at).reduce((sum, size) => sum + size, 0);
        expect(run.first).toBe(first + before);
      });
    }
  });

  test("a machine without tasks and findings has a row of its own", () => {
    const [machine] = BOARD;
    const empty = { ...(machine as BoardMachine), tasks: [], findings: [] };
    const bare = [{ key: "", title: "", machines: [empty] }];
    expect(boardRows(bare, false)).toMatchObject([{ code: "strip", task: null }]);
    expect(runsOf(boardRows(bare, false), 0, 0)).toMatchObject([{ code: "bundle", tasks: [] }]);
  });
});
