import type { Gallons } from "@yonderfell/core";
import { useCallback, type ReactElement } from "react";
import { useMeasureTaker, type Measure } from "../../../session/reckonerCalls.js";
import { useAppSelector } from "../../../session/store.js";
import { DateField } from "../../../ui/DateField.js";
import { FIELD, PRIMARY_BUTTON, QUIET_BUTTON } from "../../../ui/buttons.js";
import { FormFoot } from "../../../ui/FormFoot.js";
import { useCurrency } from "../currency/useCurrency.js";
import { logIssueWords } from "./logWords.js";
import { FigureFields } from "./FigureFields.js";
import { FollowUps } from "./FollowUps.js";
import { LogSaved } from "./LogSaved.js";
import { TaskChoice } from "./TaskChoice.js";
import { TookPanel } from "./TookPanel.js";
import { tookFrom, type FormTook } from "./tookModel.js";
import { costSoFarWords } from "./tookWords.js";
import { gallonsOf, useLogForm, type LogFormState, type LogStart } from "./useLogForm.js";

/** What was done, when and at what figure; once saved, when it comes again. */
export function LogWorkForm(start: LogStart): ReactElement {
  const state = useLogForm(start);
  const today = useAppSelector((session) => session.session.today);
  const { form, fields, outlook, saved } = state;
  const isCorrection = start.correcting !== null;
  const takeMeasure = useCallback(
    (measure: Measure): void => {
      const took = fields.getValues("took");
      const measures = [...took.measures, JSON.stringify(measure)];
      fields.setValue("took", { ...took, measures });
    },
    [fields],
  );
  useMeasureTaker(takeMeasure);
  if (saved !== null)
    return <LogSaved machine={outlook.before} isCorrection={isCorrection} {...saved} />;
  return (
    <form onSubmit={(event) => void state.save(event)} className="max-w-[76rem]">
      <div className="grid gap-x-12 gap-y-6 lg:grid-cols-[1fr_27rem]">
        {state.isKept && <GoneOnWith start={start} onStartAfresh={state.startAfresh} />}
        <TaskChoice
          outlook={outlook}
          chosen={form.tasks}
          tests={form.tests}
          onChange={state.changeTasks}
          onTests={(tests) => fields.setValue("tests", tests)}
          papers={isCorrection ? null : form.papers}
          onPapers={(papers) => fields.setValue("papers", papers)}
          today={today}
        />
        <Particulars start={start} state={state} />
      </div>
      <FormFoot>
        <button
          type="submit"
          className={`${PRIMARY_BUTTON} max-sm:w-full max-sm:justify-center`}
          disabled={outlook.issues.length > 0}
        >
          {isCorrection ? "Save the correction" : "Save in the log"}
        </button>
        <CostSoFar took={form.took} gallons={gallonsOf(start)} />
      </FormFoot>
    </form>
  );
}

/** When, at what figures, what it took, and what is to be known of it. */
function Particulars({
  start,
  state,
}: {
  readonly start: LogStart;
  readonly state: LogFormState;
}): ReactElement {
  const today = useAppSelector((session) => session.session.today);
  const { form, fields, outlook } = state;
  return (
    <div className="space-y-5">
      <DateField label="Done on" value={form.date} today={today} onChange={state.changeDate} />
      <FigureFields
        machine={outlook.before}
        figures={form.figures}
        today={today}
        doubts={outlook.doubts}
        onFigures={(figures) => fields.setValue("figures", figures)}
      />
      <FollowUps
        owed={outlook.owed}
        machine={outlook.before}
        answer={form.followUps}
        onAnswer={(answer) => fields.setValue("followUps", answer)}
      />
      <TookPanel
        took={form.took}
        plan={outlook.plan}
        source={start.work}
        doubts={outlook.fluidDoubts}
        findings={outlook.before.findings}
        gallons={gallonsOf(start)}
        opened={start.row ?? ""}
        onTook={(took) => fields.setValue("took", took)}
      />
      <label className="block text-fine text-quiet">
        Note: what was found, what is to be known
        <textarea
          rows={3}
          className={`${FIELD} text-field text-ink`}
          {...fields.register("note")}
        />
      </label>
      <InTheWay state={state} />
      <DraftNote draft={state.draft} />
    </div>
  );
}

/** What the work has cost so far, as far as it is written down; nothing where nothing was used or paid. */
function CostSoFar({
  took,
  gallons,
}: {
  readonly took: FormTook;
  readonly gallons: Gallons | null;
}): ReactElement {
  const cost = costSoFarWords(tookFrom(took, gallons).took, useCurrency());
  return (
    <p aria-live="polite" className="empty:hidden">
      {cost !== "" && (
        <>
          <span className="text-quiet">Cost so far</span>{" "}
          <strong className="tabular-nums">{cost}</strong>
        </>
      )}
    </p>
  );
}

/** Whether what is written would survive a closed lid. */
function DraftNote({ draft }: Pick<LogFormState, "draft">): ReactElement {
  return (
    <p className="min-h-5 text-fine text-quiet" role="status">
      {draft.isKept && "What you have written is kept, not yet in the log."}
      {draft.failure !== "" &&
        `What you have written is not kept if this page is closed: ${draft.failure}.`}
    </p>
  );
}

function GoneOnWith({
  start: { kept, finishing },
  onStartAfresh,
}: {
  readonly start: LogStart;
  readonly onStartAfresh: () => Promise<void>;
}): ReactElement {
  const toldAt = finishing?.toldAt ?? null;
  const isOlder = toldAt !== null && kept !== null && Date.parse(kept.at) < toldAt;
  return (
    <p className="flex flex-wrap items-center gap-3 text-quiet lg:col-span-2">
      Kept from when you last were here.
      {isOlder && (
        <strong className="font-semibold text-due">
          More was told at the job since, which is not in it: start afresh takes it in.
        </strong>
      )}
      <button type="button" className={QUIET_BUTTON} onClick={() => void onStartAfresh()}>
        Start afresh
      </button>
    </p>
  );
}

/** What keeps the work from being saved. */
function InTheWay({ state: { outlook, failure } }: { readonly state: LogFormState }): ReactElement {
  const today = useAppSelector((session) => session.session.today);
  const words = outlook.issues.map((issue) => logIssueWords(issue, outlook.before, today));
  return (
    <div role="alert">
      {[...words, failure]
        .filter((line) => line !== "")
        .map((line) => (
          <p key={line} className="font-semibold text-due">
            {line}
          </p>
        ))}
    </div>
  );
}
