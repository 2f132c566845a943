/** @jest-environment jsdom */
import "@testing-library/jest-dom";
import { render, screen } from "@testing-library/react";
import type { ReactElement } from "react";
import { Failure } from "./Failure.js";

function Broken(): ReactElement {
  throw new Error("the part is not there");
}

test("what could not be shown at one address stands no more at another", () => {
  jest.spyOn(console, "error").mockImplementation(() => undefined);
  const { rerender } = render(
    <Failure where="/stores">
      <Broken />
    </Failure>,
  );
  expect(screen.getByRole("heading")).toHaveTextContent("could not be shown");
  expect(screen.getByText(/the part is not there/)).toBeInTheDocument();
  rerender(
    <Failure where="/ahead">
      <h1>Ahead</h1>
    </Failure>,
  );
  expect(screen.getByRole("heading")).toHaveTextContent("Ahead");
});
