/** @jest-environment jsdom */
import "@testing-library/jest-dom";
import { render, screen, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import {
  coldOf,
  machinePlateOf,
  type Machine,
  type MachineId,
  type MachinePlate,
} from "@yonderfell/core";
import { useState, type ReactElement } from "react";
import { BOOK } from "../../../../test/skarrowVale.js";
import { QuantityField } from "../../../ui/QuantityField.js";
import type { QuantityWanted } from "../../../ui/readQuantity.js";
import { FluidRows } from "./FluidRows.js";
import { PointRows } from "./PointRows.js";
import { SpecificationRows } from "./SpecificationRows.js";

const plain = (text: string | null): string => (text ?? "").replaceAll("\u00a0", " ");

function on(id: string): { readonly machine: Machine; readonly plate: MachinePlate } {
  const machine = (BOOK.machines ?? []).find((one) => one.id === id);
  if (machine === undefined) throw new Error(`no machine ${id}`);
  return { machine, plate: machinePlateOf(BOOK, id as MachineId) };
}

/** The row that says some words. */
function rowOf(words: string): HTMLElement {
  const row = screen.getByText(words).closest("li");
  if (row === null) throw new Error(`no row says ${words}`);
  return row;
}

describe("the fluids of a plate", () => {
  const show = (id: string, onEdit = jest.fn()): jest.Mock => {
    const { machine, plate } = on(id);
    render(
      <FluidRows
        inside={new Map()}
        cold={coldOf(machine, BOOK.settings)}
        fluids={plate.fluids}
        products={BOOK.products ?? []}
        onEdit={onEdit}
        onChoose={jest.fn()}
      />,
    );
    return onEdit;
  };

  test("stand with the figure worked by, why, and every source that differs", () => {
    show("m-bus");
    const engine = plain(rowOf("Engine").textContent);
    expect(engine).toContain("12.6 L with filter");
    expect(engine).toContain("sources disagree");
    expect(engine).toContain("chosen: own experience; measured twice");
    expect(engine).toContain("sump label: 13.4 L6 % above");
    expect(engine).toContain("11.6 L without filter");
  });

  test("name what stands against the product that is in", () => {
    show("m-post");
    expect(plain(rowOf("Brakes").textContent)).toContain("not shown to meet DOT 5.1");
    expect(plain(rowOf("Brakes").textContent)).toContain(
      "does not serve where type 5.1 is required",
    );
  });

  test("say when the product covers what is required, and when nothing is recorded", () => {
    show("m-bus");
    expect(rowOf("Gearbox")).toHaveTextContent("covers what is required");
    show("m-lorry");
    expect(screen.getAllByText("how much is not recorded")).toHaveLength(3);
    expect(screen.getAllByText("what is in it is not recorded")).toHaveLength(4);
  });

  test("say what a difference looks like", () => {
    show("m-carrier");
    expect(rowOf("Hydraulics")).toHaveTextContent("They differ as US and imperial measure do");
    show("m-lunch");
    expect(screen.getByText(/They differ as quarts and litres do/)).toBeInTheDocument();
  });

  test("open to be written down anew", async () => {
    const onEdit = show("m-bus");
    await userEvent.setup().click(screen.getByRole("button", { name: "Edit brakes" }));
    expect(onEdit).toHaveBeenCalledWith(expect.objectContaining({ id: "f-bus-brake" }));
  });
});

test("service points stand with their count, tool, torque both ways and what to renew", () => {
  const { plate } = on("m-lunch");
  const grease = on("m-mower").plate;
  render(
    <PointRows
      points={[...plate.servicePoints, ...grease.servicePoints]}
      fluids={plate.fluids}
      onEdit={jest.fn()}
    />,
  );
  expect(plain(rowOf("15 mm spanner").textContent)).toContain("22 ft·lbf (29.83 N·m)");
  expect(plain(rowOf("15 mm spanner").textContent)).toContain("Renew: aluminium washer 14 mm");
  expect(plain(rowOf("Grease points").textContent)).toContain("× 14");
});

test("a torque far from what is usual is asked about", () => {
  const [point] = on("m-lunch").plate.servicePoints;
  if (point === undefined) throw new Error("it has a plug");
  const odd = { ...point, torque: { value: 264, unit: "ft-lbf" as const } };
  render(<PointRows points={[odd]} fluids={[]} onEdit={jest.fn()} />);
  expect(screen.getByText(/Inch-pounds\?/)).toBeInTheDocument();
});

describe("specified and fitted", () => {
  const show = (id: string): void => {
    const { plate } = on(id);
    render(
      <SpecificationRows
        specifications={plate.specifications}
        parts={BOOK.parts ?? []}
        onEdit={jest.fn()}
      />,
    );
  };

  test("a mismatch is named", () => {
    show("m-bus");
    const battery = plain(rowOf("Batteries, each, capacity").textContent);
    expect(battery).toContain("at least 120 Ah");
    expect(battery).toContain("110 Ahtoo little");
  });

  test("an equivalent number passes with what it stands for", () => {
    show("m-bus");
    expect(plain(rowOf("Oil filter").textContent)).toContain("stands for HD 4510");
  });

  test("what is not recorded is said to be so", () => {
    show("m-bus");
    expect(rowOf("Wheel nuts")).toHaveTextContent("fitted: not recorded");
  });

  test("an override stands with what it overrides and why", () => {
    const [first] = on("m-bus").plate.specifications;
    if (first === undefined) throw new Error("it has specifications");
    const override = {
      least: { value: 90, unit: "Ah" as const },
      reason: "smaller starter",
      source: "starter maker",
    };
    render(
      <SpecificationRows specifications={[{ ...first, override }]} parts={[]} onEdit={jest.fn()} />,
    );
    const row = plain(rowOf("Batteries, each, capacity").textContent);
    expect(row).toContain("at least 90 Ah");
    expect(row).toContain("overrides at least 120 Ah of the handbook: smaller starter");
    expect(row).toContain("as specified");
  });
});

describe("a quantity field", () => {
  function Held({
    wanted,
    torque = false,
  }: {
    readonly wanted: QuantityWanted;
    readonly torque?: boolean;
  }): ReactElement {
    const [text, setText] = useState("");
    const use = torque ? { torqueUse: { code: "plug" } as const } : {};
    return (
      <QuantityField label="How much" value={text} wanted={wanted} {...use} onChange={setText} />
    );
  }

  const typed = async (text: string, wanted: QuantityWanted, torque = false): Promise<string> => {
    const { container } = render(<Held wanted={wanted} torque={torque} />);
    const field = within(container).getByLabelText("How much");
    await userEvent.setup().type(field, text);
    const said = container.querySelector("p");
    expect(field).toHaveAttribute("aria-describedby", said?.id);
    return plain(said?.textContent ?? "");
  };

  test("says what it understood, in litres where quarts are typed", async () => {
    expect(await typed("5.3 qt", { unit: "L", gallons: "us" })).toBe("5.3 US qt = 5.016 L");
    expect(await typed("5.3 qt", { unit: "L", gallons: "imperial" })).toBe("5.3 imp qt = 6.024 L");
  });

  test("asks where it cannot know", async () => {
    expect(await typed("5.3 qt", { unit: "L" })).toMatch(/^US or imperial\?/);
  });

  test("is marked as wrong where nothing was understood", async () => {
    expect(await typed("5 psi", { unit: "L" })).toMatch(/does not measure this/);
    expect(screen.getAllByLabelText("How much").at(-1)).toBeInvalid();
  });

  test("asks about a torque that looks like another unit, and takes it all the same", async () => {
    expect(await typed("300 ft lb", { unit: "Nm" }, true)).toMatch(
      /^300 ft·lbf = 406\.7 N·mInch-pounds\?/,
    );
    expect(screen.getByLabelText("How much")).toBeValid();
  });
});
