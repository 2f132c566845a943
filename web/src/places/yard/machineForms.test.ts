import {
  addMachine,
  keepRecord,
  readBookData,
  applyChange,
  type CommandContext,
  type Machine,
} from "@yonderfell/core";
import { BOOK, onTheBoard, TODAY } from "../../../test/skarrowVale.js";
import { sheetProblemWords } from "./add/addWords.js";
import {
  emptySheet,
  newMachineOf,
  sheetProblems,
  type MachineSheet,
} from "./add/newMachineModel.js";
import { factsProblems, machineOf, modelOfMachine } from "./facts/factsModel.js";
import { factsProblemWords } from "./facts/factsWords.js";
import { lookAt, sheetInputs, sheetRows, withPasted } from "./sheet/sheetModel.js";
import { yardLines, type YardView } from "./yardModel.js";
import { standingOf } from "../../words/standingWords.js";

const MACHINES = (BOOK.machines ?? []).map((machine) => onTheBoard(machine.id));
const PLACES = BOOK.places ?? [];

describe("the sheet of a new machine", () => {
  const sheet = { ...emptySheet(), tag: "40", name: "Spare van", kind: "Van" };

  test("left as it is, it has an odometer and no fluids", () => {
    expect(newMachineOf(sheet)).toMatchObject({
      facts: { kind: "van", vin: null },
      meters: [{ name: "odometer", unit: "km", figure: null }],
      fluids: [],
    });
  });

  test("its fluids are those that something is written of, and the book stays sound with it", () => {
    const fluids = sheet.fluids.map((row) =>
      row.system === "engine"
        ? { ...row, amount: "4.4 US qt", grade: "5W-30, 10W-40", codes: "SN, A5/B5" }
        : row,
    );
    const input = newMachineOf({ ...sheet, fluids });
    expect(input.fluids).toMatchObject([
      {
        system: "engine",
        codes: ["SN", "A5/B5"],
        grades: [{ grade: "5W-30" }, { grade: "10W-40" }],
        capacities: [
          { source: "handbook", condition: "with filter", quantity: { value: 4.4, unit: "us-qt" } },
        ],
      },
    ]);
    let count = 0;
    const context: CommandContext = {
      today: TODAY,
      newId: () => `n${(count += 1)}`,
      nextSeq: () => 99999,
    };
    const result = addMachine({ machines: BOOK.machines ?? [] }, input, context);
    if (!result.ok) throw new Error(JSON.stringify(result.issues));
    expect(readBookData(JSON.parse(JSON.stringify(applyChange(BOOK, result.value)))).ok).toBe(true);
  });

  test("what cannot be understood is named", () => {
    const said = (patch: Partial<MachineSheet>): string[] =>
      sheetProblems({ ...sheet, ...patch }, []).map(
        (one) => `${one.field}: ${sheetProblemWords(one)}`,
      );
    const meter = { name: "odometer", unit: "" as const, figure: "12" };
    expect(said({ meters: [meter] })).toEqual([
      "meters.0.unit: Say what the odometer counts: km, mi or h.",
    ]);
    const fluids = [{ ...sheet.fluids[0]!, amount: "5 psi" }];
    expect(said({ meters: [{ ...meter, unit: "km", figure: "x" }], fluids })).toEqual([
      "meters.0.figure: That is not a figure of the odometer.",
      "fluids.0.amount: That is not a capacity; mend it or leave it empty.",
    ]);
  });
});

describe("the facts of a machine", () => {
  const problemsWith = (patch: object): string[] => {
    const [machine, ...others] = (BOOK.machines ?? []) as [Machine, ...Machine[]];
    return factsProblems({ ...modelOfMachine(machine), ...patch }, machine, others).map(
      (problem) => `${problem.field}: ${factsProblemWords(problem)}`,
    );
  };

  test("every machine of Skarrow Vale comes out of the form as it went in", () => {
    for (const machine of BOOK.machines ?? []) {
      const back = machineOf(modelOfMachine(machine), machine);
      expect(modelOfMachine(back)).toEqual(modelOfMachine(machine));
      expect(back.meters).toBe(machine.meters);
      expect(keepRecord([machine], "machines", machine, back).ok).toBe(true);
    }
  });

  test.each([
    [
      "by months and by dates at once",
      { months: [1], from: "2026-01-01", to: "", reason: "" },
      /either by months or by dates/,
    ],
    [
      "with an end and no beginning",
      { months: [], from: "", to: "2026-01-01", reason: "" },
      /the day it begins/,
    ],
    [
      "that ends before it begins",
      { months: [], from: "2026-02-01", to: "2026-01-01", reason: "" },
      /before it begins/,
    ],
  ])("a lay-up %s is refused", (_name, row, words) => {
    expect(problemsWith({ laidUp: [row] }).join()).toMatch(words);
  });

  test("a temperature that is none is refused", () => {
    expect(problemsWith({ coldest: "very" })).toEqual(["coldest: “very” is not a temperature."]);
  });

  test("all that is wrong is said at once, each at its field", () => {
    expect(problemsWith({ name: " ", visitCost: "-1" })).toEqual([
      "name: Give it a name.",
      "visitCost: “-1” is not what a visit costs: an amount of at least 0.",
    ]);
  });
});

describe("the Yard", () => {
  const view: YardView = { words: "", order: "number", group: "none" };
  const tags = (patch: Partial<YardView>): string[] =>
    yardLines(MACHINES, PLACES, { ...view, ...patch }).flatMap((line) =>
      line.code === "machine" ? [line.machine.machine.tag] : [`(${line.name} ${line.count})`],
    );

  test("is looked through for what number plates show too", () => {
    const [first, ...others] = MACHINES;
    if (first === undefined) throw new Error("no machine");
    const machine = { ...first.machine, registration: "SK 12 TEN" };
    const lines = yardLines([{ ...first, machine }, ...others], PLACES, {
      ...view,
      words: "12 ten",
    });
    expect(lines).toMatchObject([{ code: "machine", machine: { machine } }]);
  });

  test("stands in the order of the numbers as people count", () => {
    expect(tags({}).slice(0, 4)).toEqual(["01", "03", "05", "07"]);
    expect(tags({}).slice(-2)).toEqual(["H1", "H2"]);
  });

  test("is found by all the words, in whatever they stand", () => {
    expect(tags({ words: "moss pump" })).toEqual(["31"]);
    expect(tags({ words: "0YFSG18T" })).toEqual(["21"]);
    expect(tags({ words: "submarine" })).toEqual([]);
  });

  test("is put together by place and by kind", () => {
    expect(tags({ group: "place" }).slice(0, 4)).toEqual([
      "(At home 2)",
      "H1",
      "H2",
      "(Long Shed 9)",
    ]);
    expect(tags({ group: "kind", words: "bus" })).toEqual(["(bus 2)", "03", "07"]);
    expect(tags({ group: "state" })).toContain("(out of service 1)");
  });

  test("puts what presses most first", () => {
    expect(tags({ order: "most pressing" })[0]).toBe("07");
  });

  test("says what is out of service and what is laid up", () => {
    const standing = (id: string): string => standingOf(onTheBoard(id), TODAY);
    expect([
      standing("m-carrier"),
      standing("m-tow"),
      standing("m-pump"),
      standing("m-bus"),
    ]).toEqual(["out of service", "laid up", "", ""]);
  });
});

describe("the reading sheet", () => {
  const rows = sheetRows(MACHINES);
  const bus = rows.find((row) => row.machine.machine.tag === "07")!;
  const last = bus.meter.lastDial!;

  test("has a row for each meter, by the machines' numbers", () => {
    expect(rows).toHaveLength(17);
    expect(rows[3]?.machine.machine.tag).toBe("07");
  });

  test.each([
    ["", "empty"],
    ["twelve", "not-a-figure"],
    [String(last - 1), "below"],
    [String(last + 40), "fits"],
    [String(last + 90000), "too-far"],
  ])("“%s” on the bus looks: %s", (text, code) => {
    expect(lookAt(text, bus.meter, TODAY).code).toBe(code);
  });

  test("a pasted column fills from its row on; lines with a number find their machine", () => {
    const filled = withPasted(new Map(), rows, 1, "76000\n\n11300\nH2\t20700\n");
    expect([...filled].filter(([, text]) => text !== "")).toEqual([
      [rows[1]?.key, "76000"],
      [rows[3]?.key, "11300"],
      [rows.find((row) => row.machine.machine.tag === "H2")?.key, "20700"],
    ]);
  });

  test("only figures are tried, those said to be right with that answer", () => {
    const figures = new Map([
      [bus.key, "12"],
      [rows[0]!.key, "much"],
    ]);
    const inputs = sheetInputs(rows, figures, TODAY, new Set([bus.key]));
    expect([...inputs]).toEqual([
      ["m-bus", [{ meter: "odo", day: TODAY, value: 12, answer: { code: "right" } }]],
    ]);
  });
});
