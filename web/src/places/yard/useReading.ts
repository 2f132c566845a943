import {
  BOOK_NEEDS,
  formatDay,
  parseDay,
  type DayNumber,
  type DialFigureInput,
  type FigureDoubt,
  type Meter,
  type ReadingLine,
  type ReadingLineIssue,
  type Result,
} from "@yonderfell/core";
import { useEffect, useMemo, useRef, useState, type FormEvent, type RefObject } from "react";
import { useCommands } from "../../session/useCommands.js";
import { useBookGallons } from "../../session/useBookGallons.js";
import { useAppSelector } from "../../session/store.js";
import { useMachineBook } from "../../session/useMachineBook.js";
import type { Move } from "../../words/moves.js";
import {
  answerFrom,
  figuresFor,
  NO_FIGURES,
  type AnswerChoice,
  type AnswerFigures,
} from "../shared/logging/figureAnswer.js";
import {
  commandOfLine,
  outlookOf,
  understood,
  type LineInput,
  type LineIssue,
  type Outlook,
} from "./readingModel.js";
import { lineSavedWords, lineStopWords } from "./topUpWords.js";
import { useTopUp, type TopUpState } from "./useTopUp.js";

/** A reading that has been saved: what it was, and the dates it moved. */
export interface SavedReading {
  readonly words: string;
  readonly moves: readonly Move[];
  /** Whether it is not certain to be kept. */
  readonly isDoubtful: boolean;
}

/** The reading line in hand. */
export interface ReadingState {
  readonly line: string;
  readonly date: string;
  readonly day: DayNumber | null;
  readonly reading: Result<ReadingLine, ReadingLineIssue>;
  /** The meter that was read; null where none was. */
  readonly meter: Meter | null;
  /** What was topped up; null where nothing was, undefined until the plate is read. */
  readonly topUp: TopUpState | null | undefined;
  /** What does not agree, until the figure is typed again. */
  readonly doubt: FigureDoubt | null;
  readonly choice: AnswerChoice | null;
  readonly figures: AnswerFigures;
  readonly outlook: Outlook | null;
  /** Where what it needs of the book is still being read, it is saved as soon as that is there. */
  readonly meanIt: () => void;
  readonly saved: SavedReading | null;
  readonly failure: string;
  readonly retype: (line: string) => void;
  readonly setDate: (date: string) => void;
  readonly choose: (choice: AnswerChoice) => void;
  readonly setFigures: (figures: AnswerFigures) => void;
  readonly save: (event: FormEvent) => Promise<void>;
}

/** What a line and a day make of the book, and what stands against it. */
function useOutlook(
  reading: Result<ReadingLine, ReadingLineIssue>,
  input: LineInput | null,
): Pick<ReadingState, "doubt" | "outlook"> {
  const today = useAppSelector((state) => state.session.today);
  const id = reading.ok ? reading.value.machine.id : null;
  const found = useMachineBook(id);
  if (!found || input === null || found.book.machines[0].id !== id)
    return { doubt: null, outlook: null };
  const { book, settings } = found;
  const asked = input.figure === null ? null : { ...input.figure, answer: null };
  const plain = outlookOf(book, settings, { ...input, figure: asked }, today);
  const isDoubtful = plain.code === "stopped" && plain.issue.code === "figure-in-doubt";
  if (!isDoubtful) return { doubt: null, outlook: plain };
  return { doubt: plain.issue.doubt, outlook: outlookOf(book, settings, input, today) };
}

function useLine(): {
  readonly reading: ReadingState["reading"];
  readonly line: string;
  readonly setLine: (line: string) => void;
} {
  const start = useAppSelector(({ session }) => `${session.readingLine}${session.typedAhead}`);
  const board = useAppSelector((state) => state.board.machines);
  const gallons = useBookGallons();
  const machines = useMemo(() => board.map(({ machine }) => machine), [board]);
  const [line, setLine] = useState(start);
  return { reading: understood(line, machines, gallons), line, setLine };
}

/** Saves what stands on the line; Enter that came before the book was read is meant all the same, until it is typed again. */
function useSaveWhenRead(
  isMeantRef: RefObject<boolean>,
  { isBeingRead, isReady }: { readonly isBeingRead: boolean; readonly isReady: boolean },
  write: () => Promise<void>,
): Pick<ReadingState, "save" | "meanIt"> {
  useEffect(() => {
    if (!isMeantRef.current || isBeingRead) return;
    isMeantRef.current = false;
    if (isReady) void write();
  });
  return {
    save: async (event) => {
      event.preventDefault();
      if (isReady) await write();
    },
    meanIt: () => {
      isMeantRef.current = isBeingRead;
    },
  };
}

/** The state of the reading line; `field` is where it is typed. */
export function useReading(field: RefObject<HTMLInputElement | null>): ReadingState {
  const today = useAppSelector((state) => state.session.today);
  const { reading, line, setLine } = useLine();
  const meter = reading.ok ? (reading.value.figure?.meter ?? null) : null;
  const topUp = useTopUp(reading.ok ? reading.value : null);
  const { run, failure, fail } = useCommands<LineIssue>((issue) =>
    lineStopWords(issue, meter, today),
  );
  const [date, setDate] = useState(formatDay(today));
  const [choice, setChoice] = useState<AnswerChoice | null>(null);
  const [figures, setFigures] = useState(NO_FIGURES);
  const [saved, setSaved] = useState<SavedReading | null>(null);
  const day = parseDay(date);
  const input = inputOf(reading, day, answerFrom(choice, figures), topUp);
  const looked = useOutlook(reading, input);
  const { doubt, outlook } = looked;

  const isBeingRead =
    reading.ok && day !== null && (topUp === undefined || (input !== null && outlook === null));
  const isMeantRef = useRef(false);
  const retype = (text: string): void => {
    isMeantRef.current = false;
    setLine(text);
    setChoice(null);
    setFigures(NO_FIGURES);
    fail("");
  };
  const choose = (chosen: AnswerChoice): void => {
    setChoice(chosen);
    if (chosen === "typing") field.current?.select();
    if (doubt !== null) setFigures(figuresFor(doubt));
  };
  const write = async (read: ReadingLine, wanted: LineInput): Promise<void> => {
    const { machine } = read;
    const words = lineSavedWords(read, topUp?.chosen?.fluid.system ?? "", wanted.day);
    await run(
      (storage, around) =>
        storage.perform(
          machine.id,
          BOOK_NEEDS,
          (book, context) => commandOfLine(book, wanted, context),
          around,
        ),
      `Saved. ${words}.`,
      ({ isDoubtful = false }) => {
        const moves = outlook?.code === "fits" ? outlook.moves : [];
        setSaved({ words, moves, isDoubtful });
        retype("");
        field.current?.focus();
      },
    );
  };
  const isReady = reading.ok && input !== null && outlook?.code === "fits";
  const saving = useSaveWhenRead(isMeantRef, { isBeingRead, isReady }, () =>
    reading.ok && input !== null ? write(reading.value, input) : Promise.resolve(),
  );
  const shown = { line, date, day, reading, meter, topUp, choice, figures, saved, failure };
  return { ...shown, ...looked, ...saving, retype, setDate, choose, setFigures };
}

function inputOf(
  reading: ReadingState["reading"],
  day: DayNumber | null,
  answer: DialFigureInput["answer"],
  topUp: TopUpState | null | undefined,
): LineInput | null {
  if (!reading.ok || day === null) return null;
  const { figure } = reading.value;
  const read =
    figure === null ? null : { meter: figure.meter.id, day, value: figure.value, answer };
  if (reading.value.topUp === null) return { day, figure: read, fluid: null };
  const used = topUp?.used ?? null;
  return used === null ? null : { day, figure: read, fluid: used };
}
