import {
  decideBaseline,
  formatDay,
  parseDay,
  type BaselineAnswer,
  type BaselineDecision,
  type BaselineTask,
  type BoardMachine,
  type DayNumber,
  type MachineBook,
  type Meter,
  type MeterId,
  type Settings,
  type WorkFigure,
} from "@yonderfell/core";
import { useState, type FormEvent, type ReactElement } from "react";
import { notifyChange } from "../../../app/notify.js";
import { useAppSelector } from "../../../app/store.js";
import { useOneAtATime } from "../../../app/useOneAtATime.js";
import { usePerform } from "../../../app/usePerform.js";
import { PRIMARY_BUTTON, QUIET_BUTTON } from "../../../ui/buttons.js";
import { DateField } from "../../../ui/DateField.js";
import { TextField } from "../../../ui/fields.js";
import { useModel, type Field } from "../../../ui/useModel.js";
import { errorWords } from "../../../words/errorWords.js";
import { fullDate } from "../../../words/format.js";
import { logIssueWords } from "../../../words/logWords.js";
import { dueWords } from "../../../words/moves.js";
import { typedNumber } from "../../../words/writing.js";
import { reckonedTexts } from "../../ledger/logModel.js";

interface RowProps {
  readonly one: BaselineTask;
  readonly book: MachineBook;
  readonly settings: Settings;
  readonly machine: BoardMachine;
}

/** A task of a machine without records: what was decided of it, and the four things one can decide. */
export function BaselineRow({ one, book, settings, machine }: RowProps): ReactElement {
  const today = useAppSelector((state) => state.session.today);
  const [asks, setAsks] = useState<"done" | "judged-sound" | null>(null);
  const { decide, failure } = useDeciding(one, machine);
  const { task, answer } = one;
  const isOpen = answer.code === "open" || answer.code === "left-unknown";
  const choose = async (decision: BaselineDecision): Promise<void> => {
    if (await decide(decision)) setAsks(null);
  };
  const button = (words: string, act: () => void): ReactElement => (
    <button
      type="button"
      className={QUIET_BUTTON}
      aria-label={`${task.name}: ${words}`}
      onClick={act}
    >
      {words}
    </button>
  );
  return (
    <li className="border-t border-hairline py-2">
      <div className="flex flex-wrap items-baseline gap-x-4">
        <strong className="font-semibold">{task.name}</strong>
        <span className={answer.code === "open" ? "text-soon-text" : "text-quiet"}>
          {answerWords(answer)}
        </span>
        <span className="ml-auto text-fine text-quiet">{dueWords(machine, task.id, today)}</span>
      </div>
      {(isOpen || answer.code === "do-now") && asks === null && (
        <div className="mt-1 flex flex-wrap gap-2">
          {answer.code !== "do-now" && button("do now", () => void choose({ code: "do-now" }))}
          {button("records show it", () => setAsks("done"))}
          {button("judged sound", () => setAsks("judged-sound"))}
          {answer.code === "open" &&
            button("leave unknown", () => void choose({ code: "leave-unknown" }))}
        </div>
      )}
      {asks !== null && (
        <AnswerForm
          asks={asks}
          book={book}
          settings={settings}
          today={today}
          onDecide={choose}
          onLeave={() => setAsks(null)}
        />
      )}
      <p role="alert" className="font-semibold text-due">
        {failure}
      </p>
    </li>
  );
}

function answerWords(answer: BaselineAnswer): string {
  switch (answer.code) {
    case "open":
      return "not decided";
    case "do-now":
      return `to be done now, said ${fullDate(answer.since)}`;
    case "done":
      return `done ${fullDate(answer.on)}`;
    case "judged-sound":
      return `judged sound ${fullDate(answer.on)}, counted from there (assumed)`;
    case "left-unknown":
      return "left unknown";
  }
}

function useDeciding(
  { task }: BaselineTask,
  machine: BoardMachine,
): { readonly decide: (decision: BaselineDecision) => Promise<boolean>; readonly failure: string } {
  const perform = usePerform();
  const once = useOneAtATime();
  const today = useAppSelector((state) => state.session.today);
  const [failure, setFailure] = useState("");
  const decide = async (decision: BaselineDecision): Promise<boolean> => {
    let isDecided = false;
    await once(async () => {
      try {
        const result = await perform(machine.machine.id, (book, context) =>
          decideBaseline(book, task.id, decision, context),
        );
        const [issue] = result.ok ? [] : result.issues;
        setFailure(issue === undefined ? "" : logIssueWords(issue, machine, today));
        isDecided = result.ok;
        if (result.ok) notifyChange(`${task.name}: decided.`);
      } catch (error) {
        setFailure(`It was not saved: ${errorWords(error)}.`);
      }
    });
    return isDecided;
  };
  return { decide, failure };
}

/** When the records say it was done, at what figures; or, judged sound, what was seen. */
function AnswerForm({
  asks,
  book,
  settings,
  today,
  onDecide,
  onLeave,
}: {
  readonly asks: "done" | "judged-sound";
  readonly book: MachineBook;
  readonly settings: Settings;
  readonly today: DayNumber;
  readonly onDecide: (decision: BaselineDecision) => Promise<void>;
  readonly onLeave: () => void;
}): ReactElement {
  const meters = book.machines[0].meters ?? [];
  const reckoned = (day: DayNumber): ReadonlyMap<MeterId, string> =>
    reckonedTexts(book, settings, day, today);
  const [texts, setTexts] = useState<ReadonlyMap<string, string>>(new Map());
  const { model, field } = useModel(() => ({ date: formatDay(today), note: "" }));
  const save = (event: FormEvent): void => {
    event.preventDefault();
    const day = parseDay(model.date) ?? today;
    if (asks === "judged-sound") {
      const figures = figuresFrom(reckoned(today), true);
      void onDecide({ code: "judged-sound", figures, note: model.note });
    } else
      void onDecide({ code: "done", day, figures: figuresFrom(texts, false), note: model.note });
  };
  return (
    <form
      onSubmit={save}
      className="mt-2 grid items-start gap-x-5 gap-y-2 sm:grid-cols-3"
      noValidate
    >
      {asks === "done" && (
        <DoneFields
          meters={meters}
          date={field("date")}
          today={today}
          texts={texts}
          onTexts={setTexts}
        />
      )}
      <TextField
        label={asks === "done" ? "By which record" : "What was seen: level, colour, smell, test"}
        {...field("note")}
      />
      <div className="flex flex-wrap gap-3 sm:col-span-3">
        <button type="submit" className={PRIMARY_BUTTON}>
          {asks === "done" ? "It was done then" : "Count from here"}
        </button>
        <button type="button" className={QUIET_BUTTON} onClick={onLeave}>
          Not yet
        </button>
      </div>
    </form>
  );
}

function DoneFields({
  meters,
  date,
  today,
  texts,
  onTexts,
}: {
  readonly meters: readonly Meter[];
  readonly date: Field<string>;
  readonly today: DayNumber;
  readonly texts: ReadonlyMap<string, string>;
  readonly onTexts: (texts: ReadonlyMap<string, string>) => void;
}): ReactElement {
  return (
    <>
      <DateField label="Done on" today={today} {...date} />
      {meters.map((meter) => (
        <TextField
          key={meter.id}
          label={`At, in ${meter.unit} (empty if not known)`}
          isMono
          value={texts.get(meter.id) ?? ""}
          onChange={(text) => onTexts(new Map(texts).set(meter.id, text))}
        />
      ))}
    </>
  );
}

function figuresFrom(texts: ReadonlyMap<string, string>, estimated: boolean): WorkFigure[] {
  return [...texts].flatMap(([meter, text]) =>
    text.trim() === ""
      ? []
      : [
          {
            meter: meter as MeterId,
            value: typedNumber(text) ?? Number.NaN,
            estimated,
            answer: null,
          },
        ],
  );
}
