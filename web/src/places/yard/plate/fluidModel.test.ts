import { keepRecord, type Fluid, type FluidId, type MachineId } from "@yonderfell/core";
import { BOOK } from "../../../../test/skarrowVale.js";
import { fluidOf, fluidProblems, modelOfFluid, type FluidModel } from "./fluidModel.js";
import { fluidProblemWords } from "./plateFormWords.js";

const place = { id: "f" as FluidId, machine: "m-bus" as MachineId, gallons: null };

test("every fluid of Skarrow Vale comes out of the form as it went in", () => {
  for (const fluid of BOOK.fluids ?? []) {
    const { id, machine } = fluid;
    const back = fluidOf(modelOfFluid(fluid), fluid, { id, machine, gallons: null });
    const { capacities, codes, product } = back;
    expect(capacities?.map((one) => one.quantity)).toEqual(
      (fluid.capacities ?? []).map((one) => one.quantity),
    );
    expect(codes).toEqual(fluid.codes ?? []);
    expect(product).toBe(fluid.product ?? null);
    expect(modelOfFluid(back)).toEqual(modelOfFluid(fluid));
    expect(keepRecord([fluid], "fluids", fluid, back).ok).toBe(true);
  }
});

test("fields the form does not know stay with the fluid", () => {
  const fluid = { ...(BOOK.fluids?.[0] as Fluid), colour: "amber" };
  const back = fluidOf(modelOfFluid(fluid), fluid, { ...place, id: fluid.id });
  expect(back["colour"]).toBe("amber");
});

const filled = (patch: Partial<FluidModel>): FluidModel => ({
  ...modelOfFluid(null),
  system: "engine",
  ...patch,
});
const row = { ...modelOfFluid(null).capacities[0]!, amount: "5 L" };

const problems = (patch: Partial<FluidModel>, gallons: "us" | null): string[] =>
  fluidProblems(filled(patch), gallons, null, []).map(
    (one) => `${one.field}: ${fluidProblemWords(one)}`,
  );

test.each<[string, Partial<FluidModel>, RegExp]>([
  ["no system", { system: " " }, /which system/],
  [
    "a capacity that is none",
    { capacities: [{ ...row, amount: "lots" }] },
    /capacities\.0\.amount: That is not a capacity/,
  ],
  ["a bare quart of nobody", { capacities: [{ ...row, amount: "5 qt" }] }, /is not a capacity/],
  ["a capacity by nobody", { capacities: [{ ...row, source: "" }] }, /who gives each capacity/],
  ["a modified part without a reason", { capacities: [{ ...row, isModified: true }] }, /say why/],
  [
    "a temperature that is none",
    { grades: [{ grade: "5W-30", from: "cold", to: "" }] },
    /temperature/,
  ],
])("%s is refused with what to do", (_name, patch, words) => {
  expect(problems(patch, null).join()).toMatch(words);
});

test("a bare quart is understood where the machine says whose", () => {
  const model = filled({ capacities: [{ ...row, amount: "5 qt" }] });
  expect(problems(model, "us")).toEqual([]);
  const fluid = fluidOf(model, null, { ...place, gallons: "us" });
  expect(fluid.capacities?.[0]?.quantity).toEqual({ value: 5, unit: "us-qt" });
});

test("of two figures ticked for one condition the first is worked by, and empty rows are left out", () => {
  const capacities = [
    { ...row, id: "a", isChosen: true, reason: "measured" },
    { ...row, id: "b", isChosen: true, reason: "" },
    { ...row, id: "c", amount: "" },
  ];
  const fluid = fluidOf(filled({ capacities }), null, place);
  expect(fluid.capacities?.map((one) => one.id)).toEqual(["a", "b"]);
  expect(fluid.working).toEqual([{ capacity: "a", reason: "measured" }]);
});
