/** @jest-environment jsdom */
import "@testing-library/jest-dom";
import { cleanup, fireEvent, render, screen, waitFor, within } from "@testing-library/react";
import {
  changeSettings,
  containersOn,
  keepRecord,
  ownerOf,
  shelfList,
  type Book,
  type CommandResult,
  type EditedSection,
  type KeepIssue,
  type MachineId,
  type RecordOf,
  type TaskId,
  type Visit,
} from "@yonderfell/core";
import type { ReactElement } from "react";
import { changeOf } from "../../test/changeOf.js";
import { At, layOutAsOnADesk, openBook, openStorage } from "../../test/openedBook.js";
import { BOOK, countingSurroundings, TODAY } from "../../test/skarrowVale.js";
import type { BookEntry } from "../data/registry.js";
import { FORMS, type FormName } from "../form/forms.js";
import { useMachineBook } from "../session/useMachineBook.js";
import { ViewsDialog } from "./ahead/board/ViewsDialog.js";
import JourneysPage from "./ahead/journeys/JourneysPage.js";
import { VisitNote } from "./ahead/visits/VisitNote.js";
import { Weights } from "./ahead/visits/Weights.js";
import { NewBook } from "./books/NewBook.js";
import { RenameBook } from "./books/RenameBook.js";
import { BookSettings } from "./preferences/BookSettings.js";
import FindingsPage from "./rounds/FindingsPage.js";
import { CloseForm } from "./shared/findings/CloseFinding.js";
import SystemPage from "./rounds/samples/SystemPage.js";
import TakeSample from "./rounds/samples/TakeSample.js";
import ChecklistPage from "./rounds/checklists/ChecklistPage.js";
import { CountSheet } from "./stores/shelves/CountSheet.js";
import { MoveDialog } from "./stores/shelves/MoveDialog.js";
import { ContainerDialog } from "./stores/waste/ContainerDialog.js";
import { WasteDialog } from "./stores/waste/WasteDialog.js";
import NewOrder from "./stores/orders/NewOrder.js";
import OrderPage from "./stores/orders/OrderPage.js";
import QuotePage from "./stores/quote/QuotePage.js";
import CataloguePage from "./stores/catalogue/CataloguePage.js";
import Workshop from "./workshop/Workshop.js";
import { closureDays } from "./workshop/workshopWords.js";
import CorrectRecord from "./yard/CorrectRecord.js";
import MetersPage from "./yard/meters/MetersPage.js";
import MinutesPage from "./yard/minutes/MinutesPage.js";
import PartsPage from "./yard/parts/PartsPage.js";
import PlatePage from "./yard/plate/PlatePage.js";
import { AnswerForm, type Asked } from "./yard/plan/AnswerForm.js";
import TaskPage from "./yard/plan/TaskPage.js";
import AddMachine from "./yard/add/AddMachine.js";
import LadderPage from "./yard/plan/LadderPage.js";
import { Reminders } from "./yard/plan/Reminders.js";
import FactsPage from "./yard/facts/FactsPage.js";

/** What a form is of, and what may be changed of it elsewhere. */
interface Elsewhere {
  readonly section: EditedSection | "settings";
  readonly id: string;
  /** A field that is typed into, and what is made of it elsewhere; null where that shows in no one field alone. */
  readonly same: object | null;
  /** A field that is not typed into, what is made of it elsewhere, and how that stands in the form. */
  readonly other: object;
  readonly shown: readonly [label: string | RegExp, value: string];
}

/** How a form is come to, and what is typed into it. */
interface Case {
  readonly screen: ReactElement;
  readonly path: string;
  readonly address: string;
  /** The button that opens it, where it does not stand open. */
  readonly opener?: string | RegExp;
  readonly save: string;
  /** Where something is typed, what, and what is wrong to type there. */
  readonly label: string | RegExp;
  readonly typed: string;
  /** Null where anything may stand there. */
  readonly wrong: string | null;
  readonly elsewhere: Elsewhere | null;
}

const OWN: readonly string[] = ["m-bus", "m-carrier", "m-lunch"];

/** Three machines, and what belongs to none: all rows of a large book would be drawn at each key. */
const QUOTE = { workshop: "Old Garage", on: "2026-11-20", lines: [] };
const SMALL: Book = withQuoted(ofFew(BOOK));

/** A visit of the bus besides, for a workshop to quote for. */
function withQuoted(book: Book): Book {
  const visit = { id: "v-quoted", machine: "m-bus", date: "2026-12-01", tasks: ["t-bus-oil"] };
  const decided = { ...visit, accepted: "2026-11-20", quote: QUOTE } as unknown as Visit;
  return { ...book, visits: [...(book.visits ?? []), decided] };
}

function ofFew(book: Book): Book {
  const kept = Object.entries(book).map(([section, value]): [string, unknown] => [
    section,
    Array.isArray(value)
      ? value.filter((one: { readonly id?: string; readonly machine?: string }) =>
          OWN.includes(section === "machines" ? (one.id ?? "") : (one.machine ?? "m-bus")),
        )
      : value,
  ]);
  return Object.fromEntries(kept) as unknown as Book;
}

/** The first record of a section of that book, of the bus where machines have their own. */
function first<S extends EditedSection>(section: S): RecordOf[S] {
  const records = (SMALL[section] ?? []) as readonly RecordOf[S][];
  const record = records.find((one) => ["m-bus", null].includes(ownerOf(section, one)));
  if (record === undefined) throw new Error(`no ${section}`);
  return record;
}

const PLATE = {
  screen: <PlatePage />,
  path: "/yard/:machineId/plate",
  address: "/yard/m-bus/plate",
};
const WORKSHOP = { screen: <Workshop />, path: "/workshop", address: "/workshop" };
const STORES = {
  screen: <CataloguePage />,
  path: "/stores/numbers",
  address: "/stores/numbers",
};
const NOTED = { other: { note: "Said elsewhere" }, shown: ["Note", "Said elsewhere"] } as const;

const METERS = {
  screen: <MetersPage />,
  path: "/yard/:machineId/meters",
  address: "/yard/m-bus/meters",
};
const CORRECTION = {
  screen: <CorrectRecord />,
  path: "/correct/:machineId/:section/:recordId",
};
/** The last reading of the bus that nothing took the place of. */
const lastReading = (): string =>
  (SMALL.readings ?? []).filter(({ machine }) => machine === "m-bus").at(-1)?.id ?? "";
const VALE = { id: "vale", name: "Vale", database: "vale" } as BookEntry;
const VISIT = { id: "v-1", note: null } as unknown as Visit;

/** The shelves of that book, and a container of it. */
const SHELVES = shelfList(SMALL, TODAY);
const [HELD] = containersOn(SMALL, TODAY);

const PREFERENCES = { screen: <BookSettings />, path: "/", address: "/" };

/** The first step of the carrier's ladder: what it adds is changed elsewhere. */
const LADDER_STEP: Elsewhere = {
  section: "tasks",
  id: (SMALL.tasks ?? []).find(({ ladder }) => ladder === "hours")?.id ?? "",
  same: null,
  other: { name: "Said elsewhere" },
  shown: ["What it adds", "Said elsewhere"],
};

/** The codes of the lunch van, as its plan has them. */
function Lunch(): ReactElement | null {
  const found = useMachineBook("m-lunch" as MachineId);
  return found ? <Reminders book={found.book} /> : null;
}

/** What a task of the bus starts from. */
function Answer({ asks }: { readonly asks: Asked }): ReactElement | null {
  const found = useMachineBook("m-bus" as MachineId);
  if (!found) return null;
  const tasks = ["t-bus-oil" as TaskId];
  const decided = (): Promise<boolean> => Promise.resolve(true);
  return (
    <AnswerForm
      {...{ asks, tasks, about: "together", ...found, today: TODAY, failure: "" }}
      onDecide={decided}
      onLeave={() => undefined}
    />
  );
}

/** Something found, to be closed without work. */
function Closing(): ReactElement {
  const save = (): Promise<boolean> => Promise.resolve(true);
  return <CloseForm finding={first("findings")} people={[]} onSave={save} />;
}

/** What is said of a visit of the book. */
function Noted(): ReactElement {
  const note = (): Promise<boolean> => Promise.resolve(true);
  return <VisitNote held={VISIT} visit={null as never} changes={{ note }} />;
}

const CASES: Readonly<Record<FormName, Case>> = {
  addMachine: {
    screen: <AddMachine />,
    path: "/",
    address: "/",
    save: "Add the machine",
    label: /^Name/,
    typed: "Spare van",
    wrong: " ",
    elsewhere: null,
  },
  addMeter: {
    ...METERS,
    opener: "Add a meter",
    save: "Add the meter",
    label: "Called",
    typed: "crane hours",
    wrong: " ",
    elsewhere: null,
  },
  baselineDone: {
    ...{ screen: <Answer asks="done" />, path: "/", address: "/" },
    save: "It was done then",
    label: /^At, in /,
    typed: "120000",
    wrong: "about then",
    elsewhere: null,
  },
  baselineSound: {
    ...{ screen: <Answer asks="judged-sound" />, path: "/", address: "/" },
    save: "Count from here",
    label: /^What was seen/,
    typed: "clear, on the mark",
    wrong: null,
    elsewhere: null,
  },
  bay: {
    ...WORKSHOP,
    opener: `Edit ${first("bays").name}`,
    save: "Save",
    label: "Name",
    typed: "Pit by the door",
    wrong: " ",
    elsewhere: { section: "bays", id: first("bays").id, same: { name: "Old pit" }, ...NOTED },
  },
  boardView: {
    ...{ screen: <ViewsDialog onClose={() => undefined} />, path: "/", address: "/" },
    save: "Keep",
    label: "Keep what is shown now as",
    typed: "The shed",
    wrong: " ",
    elsewhere: null,
  },
  bookWriting: {
    ...PREFERENCES,
    save: "Save these",
    label: "What stands behind an amount of money",
    typed: "marks",
    wrong: "more letters than anyone reads",
    elsewhere: {
      section: "settings",
      id: "",
      same: { currency: "pence" },
      other: { coldMargin: 7 },
      shown: ["Kept above the cold limit of an engine oil’s winter grade, °C", "7"],
    },
  },
  checklist: {
    screen: <ChecklistPage />,
    path: "/rounds/checklists/:checklistId",
    address: `/rounds/checklists/${first("checklists").id}`,
    save: "Save the checklist",
    label: /^Name/,
    typed: "Our own round",
    wrong: " ",
    elsewhere: {
      section: "checklists",
      id: first("checklists").id,
      same: { name: "Their own round" },
      ...NOTED,
    },
  },
  closeFinding: {
    ...{ screen: <Closing />, path: "/", address: "/" },
    save: "Close it",
    label: "Who says so",
    typed: "Edda",
    wrong: " ",
    elsewhere: null,
  },
  closure: {
    ...WORKSHOP,
    opener: `Edit ${closureDays(first("closures"), TODAY)}`,
    save: "Save",
    label: "Why",
    typed: "Snow",
    wrong: null,
    elsewhere: {
      ...{ section: "closures", id: first("closures").id, same: { reason: "Ice" } },
      other: { to: "2030-01-05" },
      shown: ["Up to and with; the same day where empty", "2030-01-05"],
    },
  },
  container: {
    ...{ path: "/", address: "/" },
    screen: (
      <ContainerDialog container={HELD?.container ?? null} isEmpty onClose={() => undefined} />
    ),
    save: "Save",
    label: /^What it is called/,
    typed: "Drum by the door",
    wrong: " ",
    elsewhere: null,
  },
  countSheet: {
    ...{ path: "/", address: "/", screen: <CountSheet items={SHELVES} shelf="" /> },
    save: "Write down 1\u00a0count",
    label: /^HD 4510/,
    typed: "4",
    wrong: "some",
    elsewhere: null,
  },
  correctChange: {
    ...CORRECTION,
    address: "/correct/m-bus/meterChanges/c-07-odo",
    save: "Save the correction",
    label: /^Old one ended at/,
    typed: "7",
    wrong: "about seven",
    elsewhere: null,
  },
  correctReading: {
    ...CORRECTION,
    address: `/correct/m-bus/readings/${lastReading()}`,
    save: "Save the correction",
    label: /^Figure/,
    typed: "7",
    wrong: "about seven",
    elsewhere: null,
  },
  facts: {
    screen: <FactsPage />,
    path: "/yard/:machineId/facts",
    address: "/yard/m-bus/facts",
    save: "Save the facts",
    label: "Name",
    typed: "Bus of the library",
    wrong: " ",
    elsewhere: {
      section: "machines",
      id: "m-bus",
      same: { name: "Book bus" },
      other: { serial: "SN-5" },
      shown: ["Serial number", "SN-5"],
    },
  },
  finding: {
    ...{
      screen: <FindingsPage />,
      path: "/rounds/findings",
      address: "/rounds/findings?finding=fd-bus-lamp",
    },
    save: "Save",
    label: /^What was found/,
    typed: "Lamp goes out",
    wrong: " ",
    elsewhere: {
      section: "findings",
      id: "fd-bus-lamp",
      same: { what: "Plug is loose" },
      ...NOTED,
    },
  },
  fitment: {
    screen: <PartsPage />,
    path: "/yard/:machineId/parts",
    address: "/yard/m-bus/parts",
    opener: /^Edit /,
    save: "Save",
    label: "How many a service",
    typed: "3",
    wrong: "none",
    elsewhere: { section: "fitments", id: first("fitments").id, same: { perService: 7 }, ...NOTED },
  },
  fluid: {
    ...PLATE,
    opener: `Edit ${first("fluids").system}`,
    save: "Save",
    label: "System",
    typed: "sump",
    wrong: " ",
    elsewhere: {
      section: "fluids",
      id: first("fluids").id,
      same: { system: "motor" },
      other: { codes: ["X-1"] },
      shown: ["Codes required, apart by commas", "X-1"],
    },
  },
  happening: {
    ...METERS,
    opener: "Replaced or reset",
    save: "Save: replaced or reset",
    label: /^Old one ended at/,
    typed: "7",
    wrong: "about seven",
    elsewhere: null,
  },
  journey: {
    screen: <JourneysPage />,
    path: "/ahead/journeys",
    address: "/ahead/journeys",
    opener: `Change ${first("journeys").name}`,
    save: "Save",
    label: "Where to, or which season",
    typed: "Over the tops",
    wrong: " ",
    elsewhere: {
      section: "journeys",
      id: first("journeys").id,
      same: { name: "To the sea" },
      ...NOTED,
    },
  },
  labAnswer: {
    screen: <SystemPage />,
    path: "/rounds/samples/:machineId/:fluidId",
    address: "/rounds/samples/m-carrier/f-carr-oil",
    save: "Keep what was typed",
    label: /^Iron/,
    typed: "31",
    wrong: "some",
    elsewhere: null,
  },
  ladder: {
    screen: <LadderPage />,
    path: "/yard/:machineId/plan/ladder/:ladder",
    address: "/yard/m-carrier/plan/ladder/hours",
    save: "Save the ladder",
    label: "Name",
    typed: "Hours run",
    wrong: " ",
    elsewhere: LADDER_STEP,
  },
  minutes: {
    ...{ screen: <MinutesPage />, path: "/", address: "/" },
    save: `Save the minutes of 0\u00a0tasks`,
    label: /^Minutes of /,
    typed: "35",
    wrong: "an hour",
    elsewhere: null,
  },
  newBook: {
    ...{ screen: <NewBook />, path: "/", address: "/" },
    save: "Make the book",
    label: "Name of a new book",
    typed: "Upper shed",
    wrong: " ",
    elsewhere: null,
  },
  order: {
    ...{ path: "/stores/orders/new", address: "/stores/orders/new", screen: <NewOrder /> },
    save: "Write it down as ordered",
    label: /^From/,
    typed: "Fell Parts",
    wrong: " ",
    elsewhere: null,
  },
  part: {
    ...STORES,
    opener: `Edit ${first("parts").name} ${first("parts").number}`,
    save: "Save",
    label: "What it is",
    typed: "Sieve",
    wrong: " ",
    elsewhere: { section: "parts", id: first("parts").id, same: { name: "Strainer" }, ...NOTED },
  },
  person: {
    ...WORKSHOP,
    opener: `Edit ${first("people").name}`,
    save: "Save",
    label: "Initials for the record",
    typed: "QX",
    wrong: " ",
    elsewhere: { section: "people", id: first("people").id, same: { initials: "ZZ" }, ...NOTED },
  },
  place: {
    ...WORKSHOP,
    opener: `Edit ${first("places").name}`,
    save: "Save",
    label: "Name",
    typed: "Behind the barn",
    wrong: " ",
    elsewhere: { section: "places", id: first("places").id, same: { name: "Barn" }, ...NOTED },
  },
  product: {
    ...STORES,
    opener: `Edit ${first("products").name}`,
    save: "Save",
    label: "Called",
    typed: "Thin oil",
    wrong: " ",
    elsewhere: {
      section: "products",
      id: first("products").id,
      same: { name: "Thick oil" },
      ...NOTED,
    },
  },
  reminder: {
    screen: <Lunch />,
    path: "/",
    address: "/",
    opener: "Edit code INSP 2",
    save: "Save",
    label: "Code",
    typed: "INSP 7",
    wrong: " ",
    elsewhere: null,
  },
  renameBook: {
    ...{ screen: <RenameBook entry={VALE} onDone={() => undefined} />, path: "/", address: "/" },
    save: "Keep the name",
    label: "Name of the book",
    typed: "Upper shed",
    wrong: " ",
    elsewhere: null,
  },
  quote: {
    screen: <QuotePage />,
    path: "/stores/quote/:machineId/:visitId",
    address: "/stores/quote/m-bus/v-quoted",
    save: "Keep the quote",
    label: /^Workshop/,
    typed: "Fell Garage",
    wrong: " ",
    elsewhere: {
      section: "visits",
      id: "v-quoted",
      same: { quote: { ...QUOTE, workshop: "Tolver" } },
      other: { quote: { ...QUOTE, total: 70 } },
      shown: [/^All of it/, "70"],
    },
  },
  receive: {
    screen: <OrderPage />,
    path: "/stores/orders/:orderId",
    address: "/stores/orders/or-1",
    save: "Take it in",
    label: "Came",
    typed: "20",
    wrong: "all",
    elsewhere: null,
  },
  sample: {
    screen: <TakeSample />,
    path: "/rounds/samples/new",
    address: "/rounds/samples/new?machine=m-carrier",
    save: "Write it down",
    label: "Laboratory",
    typed: "Fell oil bench",
    wrong: null,
    elsewhere: null,
  },
  servicePoint: {
    ...PLATE,
    opener: `Edit ${first("servicePoints").name}`,
    save: "Save",
    label: "Name",
    typed: "Lowest plug",
    wrong: " ",
    elsewhere: {
      section: "servicePoints",
      id: first("servicePoints").id,
      same: { name: "Other plug" },
      ...NOTED,
    },
  },
  specification: {
    ...PLATE,
    opener: `Edit ${first("specifications").name}`,
    save: "Save",
    label: "What",
    typed: "Battery, size",
    wrong: " ",
    elsewhere: {
      section: "specifications",
      id: first("specifications").id,
      same: { name: "Battery, weight" },
      ...NOTED,
    },
  },
  stockMove: {
    ...{ path: "/", address: "/" },
    screen: (
      <MoveDialog item={SHELVES[0]?.item ?? null} items={SHELVES} onClose={() => undefined} />
    ),
    save: "Write it down",
    label: /^How much/,
    typed: "3",
    wrong: "some",
    elsewhere: null,
  },
  wasteMove: {
    ...{ path: "/", address: "/" },
    screen: HELD ? <WasteDialog held={HELD} why="handed-in" onClose={() => undefined} /> : <></>,
    save: "Write it down",
    label: /^How much/,
    typed: "3",
    wrong: "some",
    elsewhere: null,
  },
  standing: {
    screen: <FactsPage />,
    path: "/yard/:machineId/facts",
    address: "/yard/m-bus/facts",
    opener: "Take it out of service",
    save: "Take it out of service",
    label: "Why it may not be used",
    typed: "Brakes",
    wrong: " ",
    elsewhere: null,
  },
  task: {
    screen: <TaskPage />,
    path: "/yard/:machineId/plan/task/:taskId",
    address: "/yard/m-bus/plan/task/t-bus-oil",
    save: "Save the task",
    label: "Task",
    typed: "Oil, filter and a look",
    wrong: " ",
    elsewhere: {
      section: "tasks",
      id: "t-bus-oil",
      same: { name: "Oil change" },
      other: { note: "Said elsewhere" },
      shown: ["What is done", "Said elsewhere"],
    },
  },
  visitNote: {
    ...{ screen: <Noted />, path: "/", address: "/" },
    save: "Keep the note",
    label: "Note",
    typed: "After the fair",
    wrong: null,
    elsewhere: null,
  },
  weights: {
    screen: <Weights />,
    path: "/",
    address: "/",
    save: "Save the weights",
    label: "An access",
    typed: "33",
    wrong: "much",
    elsewhere: null,
  },
  windows: {
    ...PREFERENCES,
    save: "Save the windows",
    label: /^Soon when likely within/,
    typed: "41",
    wrong: "long",
    elsewhere: {
      section: "settings",
      id: "",
      same: { leadDays: 12 },
      other: { staleAfterDays: 99 },
      shown: [/^A meter is stale after/, "99"],
    },
  },
};

beforeAll(layOutAsOnADesk);
beforeEach(() => {
  sessionStorage.clear();
});

const around = countingSurroundings("else");

/** Presses the first button of a name; asking for it by its role would work out the names of all there is. */
function press(name: string | RegExp): void {
  const isNamed = (button: Element): boolean => {
    const own = (button.getAttribute("aria-label") ?? button.textContent).trim();
    return typeof name === "string" ? own === name : name.test(own);
  };
  const button = [...document.querySelectorAll("button")].find(isNamed);
  if (button === undefined) throw new Error(`no button ${String(name)}`);
  fireEvent.click(button);
}

/** Comes to a form, as a page that has just been loaded. */
async function come({ screen: shown, path, address, opener }: Case): Promise<void> {
  cleanup();
  render(
    <At path={path} address={address}>
      {shown}
    </At>,
  );
  if (opener === undefined) return;
  await waitFor(() => press(opener));
}

/** The field that is typed into: the first where rows have several. */
async function fieldOf({ label }: Pick<Case, "label">): Promise<HTMLInputElement> {
  const [field] = await screen.findAllByLabelText<HTMLInputElement>(label);
  if (field === undefined) throw new Error(`no ${label}`);
  return field;
}

async function write(one: Case, text: string): Promise<void> {
  fireEvent.change(await fieldOf(one), { target: { value: text } });
}

/** What is stored of what a form is of. */
async function stored({ section, id }: Elsewhere): Promise<object> {
  const storage = openStorage();
  if (section === "settings") return (await storage.ownSettings()) ?? {};
  const records: readonly { readonly id: string }[] = await storage.list(section);
  const record = records.find((one) => one.id === id);
  if (record === undefined) throw new Error(`no ${section} ${id}`);
  return record;
}

/** Changes what a form is of elsewhere; answers the number of the change. */
async function changeElsewhere(elsewhere: Elsewhere, patch: object): Promise<number> {
  const { section } = elsewhere;
  const storage = openStorage();
  const before = await stored(elsewhere);
  const keep = <S extends EditedSection>(own: S): CommandResult<KeepIssue> =>
    keepRecord(
      [before as RecordOf[S]],
      own,
      before as RecordOf[S],
      { ...before, ...patch } as RecordOf[S],
    );
  const change =
    section === "settings" ? changeSettings({ ...before }, patch) : keep<EditedSection>(section);
  const result = await storage.apply(changeOf(change), around.now, true);
  if (!result.ok) throw new Error(JSON.stringify(result.issues));
  return result.value.seq;
}

const each = FORMS.map((name) => ({ name, one: CASES[name] }));
const overRecords = each.flatMap(({ name, one }) =>
  one.elsewhere === null ? [] : [{ name, one, elsewhere: one.elsewhere }],
);
const overFields = overRecords.flatMap(({ elsewhere: { same }, ...rest }) =>
  same === null ? [] : [{ ...rest, same }],
);

test.each(each)(
  "$name: what is typed is there again after leaving and after a reload",
  async ({ one }) => {
    await openBook(SMALL);
    await come(one);
    await write(one, one.typed);
    await come(one);
    await waitFor(async () => expect(await fieldOf(one)).toHaveValue(one.typed));
    press("Start afresh");
    expect(await fieldOf(one)).not.toHaveValue(one.typed);
    await come(one);
    expect(await fieldOf(one)).not.toHaveValue(one.typed);
    expect(screen.queryByRole("button", { name: "Start afresh" })).not.toBeInTheDocument();
  },
);

const canBeWrong = each.flatMap(({ name, one }) =>
  one.wrong === null ? [] : [{ name, one, wrong: one.wrong }],
);

test.each(canBeWrong)(
  "$name: what is wrong is said at its field, which takes the focus",
  async ({ one, wrong }) => {
    await openBook(SMALL);
    await come(one);
    await write(one, wrong);
    press(one.save);
    const field = await fieldOf(one);
    await waitFor(() => expect(field).toHaveAttribute("aria-invalid", "true"));
    expect(field).toHaveFocus();
    expect(field).toHaveAccessibleDescription(/\w/);
    expect(screen.getByText(/put right, marked above/)).toBeInTheDocument();
  },
);

test.each(overRecords)(
  "$name: what is typed stays when the record changes elsewhere and when that is taken back; what is not follows",
  async ({ one, elsewhere }) => {
    await openBook(SMALL);
    await come(one);
    await write(one, one.typed);
    const [label, value] = elsewhere.shown;
    const seq = await changeElsewhere(elsewhere, elsewhere.other);
    await waitFor(async () => expect(await fieldOf({ label })).toHaveValue(value));
    expect(await fieldOf(one)).toHaveValue(one.typed);
    await openStorage().takeBack(seq, around.now);
    await waitFor(async () => expect(await fieldOf({ label })).not.toHaveValue(value));
    expect(await fieldOf(one)).toHaveValue(one.typed);
  },
);

test.each(overFields)(
  "$name: what was changed elsewhere as well is asked about, and not written over",
  async ({ one, same }) => {
    const { elsewhere } = one;
    if (elsewhere === null) throw new Error("it is of nothing");
    await openBook(SMALL);
    await come(one);
    await write(one, one.typed);
    await changeElsewhere(elsewhere, same);
    const asked = await screen.findByRole("region", { name: "Changed elsewhere" });
    expect(within(asked).getByText(one.typed)).toBeInTheDocument();
    press(one.save);
    expect(within(asked).getAllByRole("button")[0]).toHaveFocus();
    expect(await stored(elsewhere)).toMatchObject(same);
    press(/^Keep yours/);
    press(one.save);
    await waitFor(async () => expect(await stored(elsewhere)).not.toMatchObject(same));
  },
);

test.each(overFields.filter(({ one }) => one.opener === undefined))(
  "$name: what is to be asked about is asked about after a reload too",
  async ({ one, same }) => {
    if (one.elsewhere === null) throw new Error("it is of nothing");
    await openBook(SMALL);
    await come(one);
    await write(one, one.typed);
    await changeElsewhere(one.elsewhere, same);
    await screen.findByRole("region", { name: "Changed elsewhere" });
    await come(one);
    await screen.findByRole("region", { name: "Changed elsewhere" });
    press(one.save);
    expect(await stored(one.elsewhere)).toMatchObject(same);
  },
);

test("a step of a ladder that was changed elsewhere as well is asked about, and not written over", async () => {
  await openBook(SMALL);
  const one = { ...CASES.ladder, label: "What it adds", typed: "Typed here" };
  const step: Elsewhere = { ...LADDER_STEP, same: { name: "Written elsewhere" } };
  await come(one);
  await write(one, one.typed);
  await changeElsewhere(step, { name: "Written elsewhere" });
  await screen.findByRole("region", { name: "Changed elsewhere" });
  press(one.save);
  expect(await stored(step)).toMatchObject({ name: "Written elsewhere" });
  press(/^Take theirs/);
  await waitFor(async () => expect(await fieldOf(one)).toHaveValue("Written elsewhere"));
});

test("a field keeps the focus while what is wrong with it comes and goes", async () => {
  await openBook(SMALL);
  const one = CASES.facts;
  await come(one);
  const field = await fieldOf(one);
  field.focus();
  fireEvent.change(field, { target: { value: " " } });
  press(one.save);
  await waitFor(() => expect(field).toHaveAttribute("aria-invalid", "true"));
  fireEvent.change(field, { target: { value: "Bus" } });
  expect(field).not.toHaveAttribute("aria-invalid");
  expect(field).toHaveFocus();
});
