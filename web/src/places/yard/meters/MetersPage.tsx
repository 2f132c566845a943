import {
  byDate,
  currentRecords,
  dayOf,
  meterReckoningOf,
  type BoardMachine,
  type BoardMeter,
  type MachineBook,
} from "@yonderfell/core";
import { lazy, Suspense, useMemo, type ReactElement } from "react";
import { Link } from "react-router";
import { useAppSelector } from "../../../session/store.js";
import { useMachineBook } from "../../../session/useMachineBook.js";
import { dialFigureWithUnit, fullDate } from "../../../words/format.js";
import { MachineFrame, useMachineOfAddress } from "../MachineFrame.js";
import { AddMeter } from "./AddMeter.js";
import { MeterActions } from "./MeterActions.js";
import { MeterBlock } from "./MeterBlock.js";
import { again } from "../../../ui/again.js";
import { correctionPath } from "../../shared/paths.js";

const LifeChartView = lazy(again(() => import("./LifeChartView.js")));

/** The meters of a machine: what they show, their lives as a chart, and what happens to a meter. */
export default function MetersPage(): ReactElement {
  const machine = useMachineOfAddress();
  return (
    <MachineFrame machine={machine}>
      {machine !== undefined && <Meters key={machine.machine.id} machine={machine} />}
    </MachineFrame>
  );
}

function Meters({ machine }: { readonly machine: BoardMachine }): ReactElement | null {
  const found = useMachineBook(machine.machine.id);
  if (found === undefined || found === null) return null;
  return (
    <>
      {machine.meters.map((meter) => (
        <section
          key={meter.meter.id}
          aria-label={meter.meter.name ?? meter.meter.id}
          className="mb-8 grid gap-x-10 gap-y-4 border-t border-hairline pt-4 lg:grid-cols-[24rem_1fr]"
        >
          <div className="space-y-3">
            <MeterBlock meter={meter} machine={machine.machine.id} />
            <CorrectLast meter={meter} book={found.book} />
            <MeterActions meter={meter} book={found.book} />
          </div>
          <Life meter={meter} book={found.book} />
        </section>
      ))}
      {machine.meters.length === 0 && (
        <p className="mb-4 text-quiet">It has no meters: its tasks go by the calendar.</p>
      )}
      <AddMeter machine={machine.machine} />
    </>
  );
}

/** The way to put the last reading right. */
function CorrectLast({
  meter,
  book,
}: {
  readonly meter: BoardMeter;
  readonly book: MachineBook;
}): ReactElement | null {
  const last = currentRecords(book.readings)
    .filter(({ record }) => record.meter === meter.meter.id)
    .sort(byDate)
    .at(-1)?.record;
  if (last === undefined) return null;
  const figure = dialFigureWithUnit(last.value, meter.meter.unit);
  return (
    <Link
      to={correctionPath(book.machines[0].id, "readings", last.id)}
      className="inline-flex min-h-11 items-center text-clear underline"
    >
      {`Correct the reading of ${figure}, ${fullDate(dayOf(last.date))}`}
    </Link>
  );
}

function Life({
  meter,
  book,
}: {
  readonly meter: BoardMeter;
  readonly book: MachineBook;
}): ReactElement | null {
  const today = useAppSelector((state) => state.session.today);
  const { id } = meter.meter;
  const reckoning = useMemo(() => meterReckoningOf(book, id, today), [book, id, today]);
  if (reckoning === null || reckoning.kept.length + reckoning.faults.length === 0) {
    return <p className="text-quiet">No figures yet: read it with R.</p>;
  }
  return (
    <Suspense fallback={<div className="h-72" />}>
      <LifeChartView reckoning={reckoning} />
    </Suspense>
  );
}
