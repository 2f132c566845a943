/** @jest-environment jsdom */
import "@testing-library/jest-dom";
import { render, screen } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { useState, type ReactElement } from "react";
import type { TorqueUse } from "@yonderfell/core";
import { QuantityField } from "./QuantityField.js";
import type { QuantityWanted } from "./readQuantity.js";

function Held(props: {
  readonly wanted: QuantityWanted;
  readonly torqueUse?: TorqueUse;
}): ReactElement {
  const [value, setValue] = useState("");
  return <QuantityField label="How much" value={value} onChange={setValue} {...props} />;
}

/** What stands under the field once some words are typed into it. */
async function understood(
  words: string,
  wanted: QuantityWanted,
  torqueUse?: TorqueUse,
): Promise<string> {
  const { container } = render(
    <Held wanted={wanted} {...(torqueUse === undefined ? {} : { torqueUse })} />,
  );
  await userEvent.type(screen.getByLabelText("How much"), words);
  return (container.querySelector("p")?.textContent ?? "").replaceAll("\u00a0", " ");
}

test("an empty field says nothing and is not wrong", () => {
  const { container } = render(<Held wanted={{ unit: "L" }} />);
  expect(container.querySelector("p")).toHaveTextContent("");
  expect(screen.getByLabelText("How much")).toBeValid();
});

test.each<[string, QuantityWanted, string]>([
  ["5.3 us qt", { unit: "L" }, "5.3 US qt = 5.016 L"],
  ["5.3 qt", { unit: "L", gallons: "imperial" }, "5.3 imp qt = 6.024 L"],
  ["5.3 qt", { unit: "L" }, "US or imperial? They differ by a fifth"],
  ["-32F", { unit: "degC" }, "−32 °F = −35.56 °C"],
  ["1,234", { unit: "km" }, "1 234 km; if 1.234 is meant, type 1.234"],
])("of %s in a field it says %#", async (words, wanted, said) => {
  expect(await understood(words, wanted)).toContain(said);
});

test("what is not understood is marked as wrong, and read out with the field", async () => {
  await understood("5 firkins", { unit: "L" });
  const field = screen.getByLabelText("How much");
  expect(field).toHaveAttribute("aria-invalid", "true");
  expect(field).toHaveAccessibleDescription(/firkins/);
});

test("a torque far over what is usual asks for inch-pounds, one far under for foot-pounds", async () => {
  expect(await understood("240 ftlb", { unit: "Nm" }, { code: "plug" })).toContain("Inch-pounds?");
  document.body.innerHTML = "";
  expect(await understood("2 Nm", { unit: "Nm" }, { code: "plug" })).toContain("Foot-pounds?");
});
