import { machineBookOf, type MachineId } from "@yonderfell/core";
import { BOOK, onTheBoard } from "../../../../test/skarrowVale.js";
import { BY_ROUNDS, measureKey } from "./limitModel.js";
import { measuresFor, modelOfNew, newTaskOf } from "./measures.js";
import { taskOf } from "./taskModel.js";

const ID = "m-hatch" as MachineId;
const MACHINE = onTheBoard(ID).machine;
const own = machineBookOf(BOOK, ID);
if (own === null) throw new Error("no hatchback");
const ROUNDS = own.rounds;
const MEASURES = measuresFor(MACHINE, BOOK.checklists ?? [], [], ROUNDS);
const PADS = measureKey("cl-wheels", "k-pads");

const begun = (search: string, findings = own.findings) =>
  newTaskOf(new URLSearchParams(search), MEASURES, { findings, rounds: ROUNDS });

test("what rounds of the machine have read is offered first, with the figure it is worn at", () => {
  const [first] = MEASURES;
  expect(first?.isRead).toBe(true);
  const pads = MEASURES.find(({ key }) => key === PADS);
  expect(pads).toMatchObject({ unit: "mm", due: 3, isRead: true });
  expect(pads?.points.length).toBeGreaterThan(1);
  expect(MEASURES.some(({ isRead }) => !isRead)).toBe(true);
});

test("a task begun from what a round measured is due where it meets its limit", () => {
  const model = modelOfNew(begun(`measure=${encodeURIComponent(PADS)}&point=left front`), MACHINE);
  const { task, problems } = taskOf(model, null, MACHINE);
  expect(problems).toEqual([]);
  expect(task?.name).toMatch(/left front/);
  const limit = { checklist: "cl-wheels", check: "k-pads", point: "left front", limit: 3 };
  expect(task?.regimes).toEqual({ handbook: [{ ...limit, meter: MACHINE.meters?.[0]?.id }] });
});

test("a task begun from a finding bears its words, and goes by its check where that is read", () => {
  const round = ROUNDS.find(({ checklist }) => checklist === "cl-wheels");
  const finding = {
    ...{ id: "f-1", machine: ID, found: "2026-01-01", decision: "watch", what: "Thin pad" },
    ...{ round: round?.id, check: "k-pads", point: "left front", evidence: "4.2 mm", minutes: 40 },
  } as unknown as (typeof own.findings)[number];
  const model = modelOfNew(begun("finding=f-1", [finding]), MACHINE);
  expect(model).toMatchObject({ name: "Thin pad", note: "4.2 mm" });
  expect(model.regimes[0]?.limits[0]).toMatchObject({ by: BY_ROUNDS, measure: PADS });
  expect(taskOf(model, null, MACHINE).task?.minutes).toBe(40);
  // One that was only seen is asked for its months.
  const seen = modelOfNew(begun("finding=f-1", [{ ...finding, round: null }]), MACHINE);
  expect(seen.regimes[0]?.limits[0]).toMatchObject({ by: "months", every: "" });
  expect(modelOfNew(begun(""), MACHINE).name).toBe("");
});
