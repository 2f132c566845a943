/** @jest-environment jsdom */
import "@testing-library/jest-dom";
import { render, screen, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { act, useState, type ReactElement, type ReactNode } from "react";
import { Provider } from "react-redux";
import { MemoryRouter } from "react-router";
import { BOOK, onTheBoard, TODAY } from "../../test/skarrowVale.js";
import { store } from "../session/store.js";
import AheadTable from "./ahead/AheadTable.js";
import { logOutlook, unasked, type FormTest } from "./shared/logging/logModel.js";
import { NOTHING_TOOK } from "./shared/logging/tookModel.js";
import { TaskChoice } from "./shared/logging/TaskChoice.js";
import { DoubtQuestion } from "./shared/logging/DoubtQuestion.js";
import {
  figuresFor,
  NO_FIGURES,
  type AnswerChoice,
  type AnswerFigures,
} from "./shared/logging/figureAnswer.js";
import BecausePanel from "../ui/board/BecausePanel.js";
import { ungrouped } from "../ui/board/boardGroup.js";
import { Cairn } from "../ui/board/Cairn.js";
import { DateField } from "../ui/DateField.js";
import { Moves } from "../ui/board/Moves.js";
import { Term } from "../ui/Term.js";
import { ReachBoard } from "../ui/board/ReachBoard.js";
import { dayOf, machineBookOf, settingsOf, STATUSES, type MachineId } from "@yonderfell/core";

const BUS = onTheBoard("m-bus");
const plain = (text: string | null): string =>
  (text ?? "").replaceAll("\u00a0", " ").replaceAll("\u2060", "");

beforeAll(() => {
  // The test page has no layout: every element is as wide as a desk.
  Object.defineProperty(HTMLElement.prototype, "clientWidth", { configurable: true, value: 1220 });
  globalThis.ResizeObserver = class {
    observe(): void {
      return undefined;
    }
    unobserve(): void {
      return undefined;
    }
    disconnect(): void {
      return undefined;
    }
  };
});

/** What a part of the interface stands in. */
function Around({ children }: { readonly children: ReactNode }): ReactElement {
  return (
    <Provider store={store}>
      <MemoryRouter>{children}</MemoryRouter>
    </Provider>
  );
}

test.each(STATUSES)(
  "the cairn of %s has as many stones standing as the state presses",
  (status) => {
    const { container } = render(<Cairn status={status} />);
    const standing = [...container.querySelectorAll("rect")].filter(
      (stone) => stone.getAttribute("fill") !== "none",
    );
    const expected = { overdue: 3, due: 2, soon: 1, clear: 0, unknown: 0, finished: 0 }[status];
    expect(standing).toHaveLength(expected);
    expect(container.querySelector("svg")).toHaveAttribute("aria-hidden", "true");
  },
);

test("every strip says its state, name, date and what is left, and has a way to log it", () => {
  render(<ReachBoard groups={ungrouped([BUS])} today={TODAY} namesMachines />, { wrapper: Around });
  const strip = screen.getByRole("button", { name: /Engine oil and filter/ });
  expect(plain(strip.textContent)).toContain(
    "soonEngine oil and filter, 12 Dec 2026, between 6–20 Dec, 709 km left",
  );
  expect(screen.getAllByRole("button")).toHaveLength(BUS.tasks.length);
  expect(screen.getByRole("link", { name: "Log Engine oil and filter on 07" })).toHaveAttribute(
    "href",
    "/log/m-bus?task=t-bus-oil",
  );
});

test("a strip opens to its reasons, and arrow keys travel from strip to strip", async () => {
  const user = userEvent.setup();
  render(<ReachBoard groups={ungrouped([BUS])} today={TODAY} namesMachines />, { wrapper: Around });
  const [first, second] = screen.getAllByRole("button");
  act(() => first?.focus());
  await user.keyboard("{ArrowDown}");
  expect(second).toHaveFocus();
  await user.keyboard("{Enter}");
  expect(second).toHaveAttribute("aria-expanded", "true");
  expect(await screen.findByRole("group", { name: /^Because: / })).toBeInTheDocument();
  // The reasons follow the strip in hand.
  await user.keyboard("{ArrowUp}");
  expect(first).toHaveFocus();
  expect(first).toHaveAttribute("aria-expanded", "true");
  expect(second).toHaveAttribute("aria-expanded", "false");
  expect(screen.getAllByRole("group", { name: /^Because: / })).toHaveLength(1);
  await user.keyboard("{Escape}");
  expect(first).toHaveAttribute("aria-expanded", "false");
  await user.keyboard("{ArrowDown}");
  expect(screen.queryByRole("group", { name: /^Because: / })).not.toBeInTheDocument();
});

test("the reasons name the limit that governs first", () => {
  const oil = BUS.tasks.find(({ task }) => task.id === "t-bus-oil");
  if (oil === undefined) throw new Error("the bus has engine oil");
  render(<BecausePanel id="x" task={oil} machine={BUS} today={TODAY} />);
  const names = screen.getAllByRole("term").map((term) => term.textContent);
  expect(names).toEqual(["Odometer limitgoverns", "12-month limit", "Also"]);
});

test("the table has the same tasks, the most pressing first", () => {
  const machines = ["m-bus", "m-mower", "m-hatch"].map((id) => onTheBoard(id));
  render(<AheadTable machines={machines} today={TODAY} />, { wrapper: Around });
  const rows = screen.getAllByRole("row").slice(1);
  const tasks = machines.flatMap((machine) => machine.tasks);
  expect(rows).toHaveLength(tasks.length);
  expect(within(rows[0] as HTMLElement).getByRole("rowheader")).toHaveTextContent("Brake fluid");
  expect(plain(rows[0]?.textContent ?? "")).toContain("overdue");
});

test("ticking a task shows when it comes next", async () => {
  const user = userEvent.setup();
  const bus = machineBookOf(BOOK, "m-bus" as MachineId);
  if (bus === null) throw new Error("Skarrow Vale has a library bus");
  function Form(): ReactElement {
    const [tasks, setTasks] = useState<readonly string[]>([]);
    const [tests, setTests] = useState<readonly FormTest[]>([]);
    const figures = [unasked("odo", "11215", false)];
    const said = { papers: [], followUps: "" as const, took: NOTHING_TOOK };
    const form = { date: "2026-11-23", tasks, tests, figures, note: "", ...said };
    const outlook = logOutlook(bus as NonNullable<typeof bus>, form, {
      ...{ settings: settingsOf(BOOK), today: TODAY, correcting: null, work: null },
    });
    const both = { chosen: tasks, tests, onChange: setTasks, onTests: setTests };
    const papers = { papers: [], onPapers: () => undefined };
    return <TaskChoice outlook={outlook} today={TODAY} {...both} {...papers} />;
  }
  render(<Form />);
  expect(screen.queryByText("next")).not.toBeInTheDocument();
  await user.click(screen.getByRole("checkbox", { name: /^Cabin filter/ }));
  expect(plain(screen.getByText("next").parentElement?.textContent ?? "")).toBe(
    "next clear, 23 Nov 2027",
  );
  await user.click(screen.getByRole("checkbox", { name: /^Cabin filter/ }));
  expect(screen.queryByText("next")).not.toBeInTheDocument();
  await user.click(screen.getByRole("button", { name: "Brake fluid: tested sound, not done" }));
  const test = screen.getByRole("group", { name: "Tested sound: Brake fluid" });
  expect(plain(screen.getByText("look again").parentElement?.textContent ?? "")).toBe(
    "look again clear, 23 May 2027",
  );
  await user.selectOptions(within(test).getByLabelText("Counted in"), "days");
  expect(plain(screen.getByText("look again").parentElement?.textContent ?? "")).toBe(
    "look again clear, 29 Nov",
  );
  await user.click(screen.getByRole("checkbox", { name: /^Brake fluid/ }));
  expect(test).not.toBeInTheDocument();
});

test("a doubtful figure is asked about, and each answer asks for what it needs", async () => {
  const user = userEvent.setup();
  const odometer = BUS.meters[0]?.meter;
  if (odometer === undefined) throw new Error("the bus has an odometer");
  const doubt = {
    code: "goes-back" as const,
    againstDial: 11179,
    against: { day: dayOf("2026-11-22") } as never,
  };
  function Question(): ReactElement {
    const [choice, setChoice] = useState<AnswerChoice | null>(null);
    const [figures, setFigures] = useState<AnswerFigures>(NO_FIGURES);
    const choose = (chosen: AnswerChoice): void => {
      setChoice(chosen);
      setFigures(figuresFor(doubt));
    };
    return (
      <DoubtQuestion
        doubt={doubt}
        meter={odometer as NonNullable<typeof odometer>}
        today={TODAY}
        choice={choice}
        figures={figures}
        onChoice={choose}
        onFigures={setFigures}
      />
    );
  }
  render(<Question />);
  expect(plain(screen.getByRole("group").textContent)).toContain(
    "That is below 11 179 km on 22 Nov 2026.",
  );
  expect(screen.getAllByRole("radio")).toHaveLength(4);
  await user.click(screen.getByRole("radio", { name: /replaced or reset/ }));
  expect(screen.getByLabelText("Old one ended at, km")).toHaveValue("11179");
  await user.click(screen.getByRole("radio", { name: /rolled over/ }));
  expect(screen.getByLabelText("It begins again after, km")).toHaveValue("100000");
  await user.click(screen.getByRole("radio", { name: /Right as it is/ }));
  expect(screen.queryByRole("textbox")).not.toBeInTheDocument();
});

test("a day is said in words beside the browser's own figures", () => {
  const { rerender } = render(
    <DateField label="Done on" value="2026-11-23" today={TODAY} onChange={jest.fn()} />,
  );
  expect(plain(screen.getByText(/Mon/).textContent)).toContain("Mon 23 Nov 2026, today");
  rerender(<DateField label="Done on" value="" today={TODAY} onChange={jest.fn()} />);
  expect(screen.getByText(/choose a day/)).toBeInTheDocument();
});

test("moved dates are told from what to what, and nothing stands where none moves", () => {
  const { container, rerender } = render(<Moves moves={[]} title="Moved" />);
  expect(container).toBeEmptyDOMElement();
  rerender(
    <Moves
      moves={[{ task: "t", name: "Oil", from: "soon, 12 Dec", to: "soon, 9 Dec", status: "soon" }]}
      title="Moved"
    />,
  );
  expect(screen.getByRole("listitem")).toHaveTextContent("Oilsoon, 12 Decsoon, 9 Dec");
  expect(screen.getByLabelText("moves to")).toBeInTheDocument();
});

test("a word opens its meaning where it stands, and gets the focus back", async () => {
  const user = userEvent.setup();
  render(<Term word="grace" />);
  const word = screen.getByRole("button", { name: "grace" });
  expect(word).toHaveAttribute("aria-expanded", "false");
  await user.click(word);
  const meaning = await screen.findByRole("dialog", { name: "What grace means" });
  expect(meaning).toHaveTextContent("Grace: what a limit may be exceeded by before it is overdue.");
  await user.keyboard("{Escape}");
  expect(screen.queryByRole("dialog")).not.toBeInTheDocument();
  expect(word).toHaveFocus();
});
