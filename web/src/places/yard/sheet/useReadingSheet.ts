import {
  formatDay,
  parseDay,
  readMeters,
  type DayNumber,
  type MachineId,
  type MeterFigureIssue,
} from "@yonderfell/core";
import { useEffect, useMemo, useRef, useState } from "react";
import { notifyChange } from "../../../session/notify.js";
import { surroundings, useBook } from "../../../session/openBook.js";
import { useAppSelector } from "../../../session/store.js";
import { useOneAtATime } from "../../../session/useOneAtATime.js";
import { noteChange } from "../../../session/noteChange.js";
import type { MachineCommand, MachineMissing } from "../../../data/bookStorage.js";
import { readingsIn } from "../../../words/changeWords.js";
import { errorWords } from "../../../words/errorWords.js";
import { counted } from "../../../words/format.js";
import { figureIssueWords } from "../../../words/readingWords.js";
import {
  sheetInputs,
  sheetRows,
  withPasted,
  type SheetFigures,
  type SheetRow,
} from "./sheetModel.js";

const DRAFT = "reading-sheet";
const NOTHING: SheetFigures = new Map();

/** The reading sheet in hand. */
export interface ReadingSheetState {
  readonly rows: readonly SheetRow[];
  readonly figures: SheetFigures;
  /** Whether what stands on the sheet is there again when one comes back. */
  readonly kept: "kept" | "not yet" | "failed";
  readonly date: string;
  readonly day: DayNumber;
  /** What saving said of a row, by its key. */
  readonly refused: ReadonlyMap<string, string>;
  readonly right: ReadonlySet<string>;
  readonly failure: string;
  readonly setDate: (date: string) => void;
  readonly type: (key: string, text: string) => void;
  readonly paste: (from: number, text: string) => void;
  readonly sayRight: (key: string) => void;
  readonly save: () => void;
}

/** What has been typed, kept as it is typed and there again when one comes back. */
function useKeptFigures(): {
  readonly figures: SheetFigures;
  readonly setFigures: (figures: SheetFigures) => void;
  readonly kept: "kept" | "not yet" | "failed";
} {
  const { storage } = useBook();
  const [figures, setFigures] = useState(NOTHING);
  const [keptAs, setKeptAs] = useState(NOTHING);
  const [hasFailed, setHasFailed] = useState(false);
  const isTouched = useRef(false);
  useEffect(() => {
    storage.draft(DRAFT).then(
      (draft) => {
        if (draft === null || isTouched.current) return;
        const found = new Map(draft.value as [string, string][]);
        setFigures(found);
        setKeptAs(found);
      },
      () => setHasFailed(true),
    );
  }, [storage]);
  const change = (next: SheetFigures): void => {
    isTouched.current = true;
    setFigures(next);
    const value = [...next].filter(([, text]) => text.trim() !== "");
    const kept =
      value.length === 0
        ? storage.dropDraft(DRAFT)
        : storage.keepDraft({ key: DRAFT, value, at: new Date().toISOString() });
    kept.then(
      () => setKeptAs(next),
      () => setHasFailed(true),
    );
  };
  const kept = hasFailed ? "failed" : keptAs === figures ? "kept" : "not yet";
  return { figures, setFigures: change, kept };
}

type Refused = ReadonlyMap<string, string>;

/** Fills in the readings of many machines and saves those that fit as one change. */
export function useReadingSheet(): ReadingSheetState {
  const { storage } = useBook();
  const machines = useAppSelector((state) => state.board.machines);
  const today = useAppSelector((state) => state.session.today);
  const once = useOneAtATime();
  const rows = useMemo(() => sheetRows(machines), [machines]);
  const { figures, setFigures, kept } = useKeptFigures();
  const [date, setDate] = useState(formatDay(today));
  const [refused, setRefused] = useState<Refused>(new Map());
  const [right, setRight] = useState<ReadonlySet<string>>(new Set());
  const [failure, setFailure] = useState("");
  const day = parseDay(date) ?? today;
  const forget = (key: string): void => {
    setRefused(new Map([...refused].filter(([other]) => other !== key)));
    setRight(new Set([...right].filter((other) => other !== key)));
  };
  const write = async (): Promise<void> => {
    const inputs = sheetInputs(rows, figures, day, right);
    const commands = new Map<MachineId, MachineCommand<MeterFigureIssue>>();
    for (const [id, own] of inputs) {
      commands.set(id, (book, context) => readMeters(book, own, context));
    }
    const result = await storage.performEach(commands, "read-meters", surroundings());
    setRefused(refusedWords(rows, inputs, result.refused, today));
    setFigures(
      new Map([...figures].filter(([key]) => !isSaved(key, rows, inputs, result.refused))),
    );
    if (result.saved === null) return;
    await noteChange(result.saved, storage);
    if (result.saved.isDoubtful === true) return;
    notifyChange(`${counted(readingsIn(result.saved.change), "reading")} saved.`);
  };
  const save = (): void =>
    void once(() =>
      write().then(
        () => setFailure(""),
        (error: unknown) =>
          setFailure(`They were not saved: ${errorWords(error)}. What you typed is still here.`),
      ),
    );
  return {
    ...{ rows, figures, kept, date, day, refused, right, failure, setDate, save },
    type: (key, text) => {
      setFigures(new Map(figures).set(key, text));
      forget(key);
    },
    paste: (from, text) => setFigures(withPasted(figures, rows, from, text)),
    sayRight: (key) => {
      setRight(new Set(right).add(key));
      setRefused(new Map([...refused].filter(([other]) => other !== key)));
    },
  };
}

/** What stood in the way of each figure that was refused, by the keys of the rows. */
function refusedWords(
  rows: readonly SheetRow[],
  inputs: ReadonlyMap<MachineId, unknown>,
  refused: ReadonlyMap<MachineId, MeterFigureIssue | MachineMissing>,
  today: DayNumber,
): Refused {
  const said = new Map<string, string>();
  for (const { key, machine, meter } of rows) {
    const issue = refused.get(machine.machine.id);
    if (issue === undefined || !inputs.has(machine.machine.id)) continue;
    if (issue.code === "machine-missing") said.set(key, "The machine is no longer in the book.");
    else if (issue.meter === meter.meter.id) {
      said.set(key, figureIssueWords(issue.issue, meter.meter, today));
    }
  }
  return said;
}

/** Whether a row was saved: its machine was tried and not refused. */
function isSaved(
  key: string,
  rows: readonly SheetRow[],
  inputs: ReadonlyMap<MachineId, unknown>,
  refused: ReadonlyMap<MachineId, unknown>,
): boolean {
  const id = rows.find((row) => row.key === key)?.machine.machine.id;
  return id !== undefined && inputs.has(id) && !refused.has(id);
}
