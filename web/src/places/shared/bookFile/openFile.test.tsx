/** @jest-environment jsdom */
import "@testing-library/jest-dom";
import { act, render, screen, waitFor } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { goToBook } from "../../../session/goToBook.js";
import { BOOK, TODAY } from "../../../../test/skarrowVale.js";
import { Around } from "../../../../test/openedBook.js";
import { summaryOf } from "@yonderfell/core";
import { OpenFile } from "./OpenFile.js";

jest.mock("comlink", () => ({ proxy: (given: unknown) => given }));
jest.mock("../../../data/books.js", () => ({
  newBookEntry: (name: string) => ({ name, database: "new" }),
  keepBook: async (_entry: unknown, fill: () => Promise<unknown>) => (await fill()) !== false,
}));
jest.mock("../../../session/goToBook.js", () => ({ goToBook: jest.fn() }));

const mockFiles = {
  look: jest.fn(),
  keep: jest.fn(),
  stop: jest.fn(),
};
const mockEnd = jest.fn();
jest.mock("../../../work/exchangeClient.js", () => ({
  fileIn: () => mockFiles,
  endLooking: () => mockEnd() as unknown,
}));

/** A promise that the test answers when it likes. */
function answered<Value>(): {
  readonly promise: Promise<Value>;
  readonly say: (value: Value) => void;
} {
  let say: (value: Value) => void = () => undefined;
  const promise = new Promise<Value>((resolve) => {
    say = resolve;
  });
  return { promise, say };
}

async function choose(): Promise<ReturnType<typeof userEvent.setup>> {
  const user = userEvent.setup();
  const { container } = render(<OpenFile />, { wrapper: Around });
  const field = container.querySelector("input[type=file]") as HTMLInputElement;
  await user.upload(field, new File(["{}"], "vale.yonderfell.json"));
  return user;
}

const lastName = (): string => screen.getByLabelText<HTMLInputElement>(/Name of the new/).value;

test("while a file is looked through, that can be ended, and another be chosen", async () => {
  mockFiles.look.mockReturnValue(answered().promise);
  const user = await choose();
  const bar = screen.getByRole("progressbar", { name: /Looking through vale/ });
  expect(bar).not.toHaveAttribute("value");
  await user.click(screen.getByRole("button", { name: "Stop" }));
  expect(mockEnd).toHaveBeenCalledTimes(1);
  expect(screen.queryByRole("progressbar")).toBeNull();
  const other = screen.getByRole("button", { name: "Open a book file" });
  expect(other).toBeEnabled();
  expect(other).toHaveFocus();
});

test("while it is kept, how far it is stands there; stopped, it can still be kept under its name", async () => {
  mockFiles.look.mockResolvedValue({ ok: true, value: { ...summaryOf(BOOK, TODAY), changed: [] } });
  const first = answered<boolean>();
  let tell: (share: number) => void = () => undefined;
  mockFiles.keep.mockImplementation((_database: string, onProgress: typeof tell) => {
    tell = onProgress;
    return first.promise;
  });
  const user = await choose();
  await user.clear(await screen.findByLabelText(/Name of the new/));
  await user.type(screen.getByLabelText(/Name of the new/), "Upper vale");
  await user.click(screen.getByRole("button", { name: "Keep it as a new book" }));
  const bar = await screen.findByRole("progressbar", { name: /Keeping it/ });
  await waitFor(() => expect(mockFiles.keep).toHaveBeenCalledTimes(1));
  act(() => tell(0.42));
  expect(screen.getByRole("button", { name: "Open a book file" })).toBeDisabled();
  expect(bar).toHaveAttribute("value", "42");
  await user.click(screen.getByRole("button", { name: "Stop" }));
  expect(mockFiles.stop).toHaveBeenCalledTimes(1);
  await act(async () => {
    first.say(false);
    await first.promise;
  });
  expect(await screen.findByRole("button", { name: "Keep it as a new book" })).toHaveFocus();
  expect(lastName()).toBe("Upper vale");
  expect(goToBook).not.toHaveBeenCalled();
  mockFiles.keep.mockResolvedValue(true);
  await user.click(screen.getByRole("button", { name: "Keep it as a new book" }));
  await waitFor(() => expect(goToBook).toHaveBeenCalledTimes(1));
  expect(jest.mocked(goToBook).mock.calls[0]?.[0]).toMatchObject({ name: "Upper vale" });
});

test("a file that was changed since it was written is kept only once that is known", async () => {
  const value = { ...summaryOf(BOOK, TODAY), changed: ["readings", "book"] };
  mockFiles.look.mockResolvedValue({ ok: true, value });
  const user = await choose();
  expect(await screen.findByRole("alert")).toHaveTextContent(
    "This file was changed since it was written, in: readings, settings and the like.",
  );
  const keep = screen.getByRole("button", { name: "Keep it as a new book" });
  expect(keep).toBeDisabled();
  await user.click(screen.getByRole("checkbox", { name: "Take it as it is now" }));
  expect(keep).toBeEnabled();
});

test("how much of a file is unpacked stands there", async () => {
  mockFiles.look.mockImplementation((_file, _today, onLooked: (share: number) => void) => {
    act(() => onLooked(0.25));
    return answered().promise;
  });
  await choose();
  const bar = await screen.findByRole("progressbar", { name: /Looking through vale/ });
  await waitFor(() => expect(bar).toHaveAttribute("value", "25"));
});
