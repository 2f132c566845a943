import type { DayNumber, Machine, Meter, ReadingLine } from "@yonderfell/core";
import { useRef, type ReactElement, type RefObject } from "react";
import { overlayClosed } from "../../session/session.js";
import { useAppDispatch, useAppSelector } from "../../session/store.js";
import { FIELD, PRIMARY_BUTTON } from "../../ui/buttons.js";
import { DialogFrame } from "../../ui/DialogFrame.js";
import { DateField } from "../../ui/DateField.js";
import { Moves } from "../../ui/board/Moves.js";
import { dialFigureWithUnit, shortDate } from "../../words/format.js";
import { meterName } from "../../words/limitWords.js";
import { quantityWords } from "../../words/quantityWords.js";
import { lineIssueWords } from "../../words/readingWords.js";
import { IN_DOUBT } from "../../words/traceWords.js";
import { DoubtQuestion } from "../shared/logging/DoubtQuestion.js";
import type { Outlook } from "./readingModel.js";
import { ToppedUp } from "./ToppedUp.js";
import { lineStopWords } from "./topUpWords.js";
import { useReading, type ReadingState, type SavedReading } from "./useReading.js";

/** Reads a meter: machine and figure on one line, what was understood shown before it is saved. */
export default function ReadMeter(): ReactElement {
  const dispatch = useAppDispatch();
  const isTopUp = useAppSelector((state) => state.session.readingLine.includes("+"));
  return (
    <DialogFrame
      title={isTopUp ? "Top up" : "Read a meter"}
      onClose={() => dispatch(overlayClosed())}
    >
      <ReadingForm />
    </DialogFrame>
  );
}

function ReadingForm(): ReactElement {
  const field = useRef<HTMLInputElement>(null);
  const state = useReading(field);
  const today = useAppSelector((session) => session.session.today);
  const { reading, line, meter, topUp, doubt, outlook, saved, failure } = state;
  return (
    <form onSubmit={(event) => void state.save(event)} className="mt-3 space-y-4">
      <LineAndDay state={state} field={field} />
      <div aria-live="polite" className="min-h-6">
        {reading.ok ? (
          <Understood reading={reading.value} day={state.day} today={today} />
        ) : (
          <p className="text-quiet">{reading.issues[0] && lineIssueWords(reading.issues[0])}</p>
        )}
      </div>
      {topUp !== null && topUp !== undefined && <ToppedUp topUp={topUp} />}
      {doubt !== null && meter !== null && (
        <DoubtQuestion
          doubt={doubt}
          meter={meter}
          today={today}
          choice={state.choice}
          figures={state.figures}
          onChoice={state.choose}
          onFigures={state.setFigures}
        />
      )}
      {outlook !== null && <OutlookView outlook={outlook} meter={meter} today={today} />}
      {failure !== "" && (
        <p role="alert" className="font-semibold text-overdue">
          {failure}
        </p>
      )}
      <div className="sticky bottom-0 bg-ground py-2">
        <button type="submit" className={PRIMARY_BUTTON} disabled={outlook?.code !== "fits"}>
          {reading.ok && reading.value.topUp !== null ? "Save the top-up" : "Save the reading"}
        </button>
      </div>
      {saved !== null && line === "" && <SavedView saved={saved} />}
    </form>
  );
}

function LineAndDay({
  state,
  field,
}: {
  readonly state: ReadingState;
  readonly field: RefObject<HTMLInputElement | null>;
}): ReactElement {
  const today = useAppSelector((session) => session.session.today);
  return (
    <div className="flex flex-wrap items-start gap-x-5 gap-y-3">
      <label className="min-w-0 flex-1 basis-64 text-fine text-quiet">
        Machine and figure, such as 07 41350 or 07 41350 +0.4
        <input
          ref={field}
          autoFocus
          autoComplete="off"
          spellCheck={false}
          className={`${FIELD} mt-1 font-mono text-[1.75rem] font-bold text-ink max-sm:text-[2.25rem]`}
          value={state.line}
          onChange={(event) => state.retype(event.target.value)}
          onKeyDown={(event) => {
            if (event.key === "Enter") state.meanIt();
          }}
        />
      </label>
      <DateField label="Read on" value={state.date} today={today} onChange={state.setDate} />
    </div>
  );
}

function SavedView({ saved }: { readonly saved: SavedReading }): ReactElement {
  return (
    <div className="border-t border-rule pt-3">
      <p className="font-semibold">
        {saved.isDoubtful ? IN_DOUBT : "Saved"}. {saved.words}.
      </p>
      {saved.moves.length === 0 ? (
        <p className="text-quiet">No date moves.</p>
      ) : (
        <Moves moves={saved.moves} title="Moved" />
      )}
    </div>
  );
}

function Understood({
  reading,
  day,
  today,
}: {
  readonly reading: ReadingLine;
  readonly day: DayNumber | null;
  readonly today: DayNumber;
}): ReactElement {
  const { machine, figure, topUp } = reading;
  const on =
    day === null
      ? "; choose the day it was"
      : day === today
        ? " today"
        : ` on ${shortDate(day, today)}`;
  return (
    <p>
      <span className="font-mono font-bold">{machine.tag}</span> {machine.name},{" "}
      {figure !== null && (
        <>
          {meterName(figure)}:{" "}
          <strong>{dialFigureWithUnit(figure.value, figure.meter.unit)}</strong>
        </>
      )}
      {topUp !== null && (
        <>
          {figure !== null && ", "}topped up with <strong>{quantityWords(topUp)}</strong>
        </>
      )}
      {on}.
      {figure !== null && topUp === null && <OtherMeters machine={machine} read={figure.meter} />}
    </p>
  );
}

function OtherMeters({
  machine,
  read,
}: {
  readonly machine: Machine;
  readonly read: Meter;
}): ReactElement {
  const others = (machine.meters ?? []).filter((other) => other.unit !== read.unit);
  return (
    <>
      {others.map((other) => (
        <span key={other.id} className="text-quiet">
          {" "}
          For its {meterName({ meter: other })} add {other.unit}.
        </span>
      ))}
    </>
  );
}

/** What saving would move, or what else stands in its way; a doubt has its own question. */
function OutlookView({
  outlook,
  meter,
  today,
}: {
  readonly outlook: Outlook;
  readonly meter: Meter | null;
  readonly today: DayNumber;
}): ReactElement | null {
  if (outlook.code === "fits") return <Moves moves={outlook.moves} title="This moves" />;
  if (outlook.issue.code === "figure-in-doubt") return null;
  return <p className="text-overdue">{lineStopWords(outlook.issue, meter, today)}</p>;
}
