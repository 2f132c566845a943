import { daysBetween, type BoardMachine, type BoardMeter, type MachineId } from "@yonderfell/core";
import { useLiveQuery } from "dexie-react-hooks";
import type { ReactElement } from "react";
import { Link, useParams, useSearchParams } from "react-router";
import { useBook } from "../../app/openBook.js";
import { useAppSelector } from "../../app/store.js";
import { ReachBoard } from "../../ui/ReachBoard.js";
import {
  counted,
  dialFigureWithUnit,
  fullDate,
  perDay,
  sentence,
  spanOfDays,
} from "../../words/format.js";
import { meterName } from "../../words/limitWords.js";
import { correctionPath } from "./correctionPath.js";
import { Findings } from "./Findings.js";
import { MachineFrame, useMachineOfAddress } from "./MachineFrame.js";
import { MachineHistory } from "./MachineHistory.js";

/** A machine: what it is, what its meters show, how far its tasks reach, what was done to it. */
export default function MachinePage(): ReactElement {
  const id = (useParams()["machineId"] ?? "") as MachineId;
  const marked = useSearchParams()[0].get("entry");
  const { storage } = useBook();
  const machine = useMachineOfAddress();
  const book = useLiveQuery(() => storage.machineBook(id), [storage, id]);
  return (
    <MachineFrame machine={machine}>
      {machine !== undefined && (
        <>
          <WhatItIs machine={machine} />
          <Findings machine={machine.machine} />
          <Meters machine={machine} />
          <Reaches machine={machine} />
          {book !== undefined && book !== null && (
            <MachineHistory key={marked} book={book} marked={marked} />
          )}
        </>
      )}
    </MachineFrame>
  );
}

function WhatItIs({ machine }: { readonly machine: BoardMachine }): ReactElement {
  const { kind, description, inService, history, regime } = machine.machine;
  const facts = [
    sentence(kind),
    description ?? "",
    inService === null || inService === undefined
      ? "in service since a day not recorded"
      : `in service since ${inService.slice(0, 4)}`,
    history === "unknown" ? "history before not known" : "history known",
    `${regime ?? "handbook"} intervals`,
  ];
  return <p className="mb-4 text-quiet">{facts.filter((fact) => fact !== "").join(" · ")}</p>;
}

function Meters({ machine }: { readonly machine: BoardMachine }): ReactElement {
  return (
    <section
      aria-label="Meters"
      className="mb-6 flex flex-wrap gap-x-14 gap-y-4 border-t border-rule pt-3"
    >
      {machine.meters.map((meter) => (
        <MeterBlock key={meter.meter.id} meter={meter} machine={machine.machine.id} />
      ))}
      {machine.meters.length === 0 && <p>It has no meters: its tasks go by the calendar.</p>}
    </section>
  );
}

function MeterBlock({
  meter,
  machine,
}: {
  readonly meter: BoardMeter;
  readonly machine: MachineId;
}): ReactElement {
  const today = useAppSelector((state) => state.session.today);
  const { unit } = meter.meter;
  const isRead = meter.lastOn === today;
  return (
    <div>
      <h2 className="text-fine text-quiet">{sentence(meterName(meter))}</h2>
      <p className="text-[2rem] leading-tight font-bold tabular-nums">
        {meter.dial === null ? "not read yet" : dialFigureWithUnit(meter.dial, unit)}
      </p>
      <p className="text-fine text-quiet">
        {meter.dial === null ? "" : isRead ? "read today" : "reckoned for today"}
        {meter.lastOn !== null &&
          !isRead &&
          meter.lastDial !== null &&
          ` from ${dialFigureWithUnit(meter.lastDial, unit)} on ${fullDate(meter.lastOn)}`}
      </p>
      <p className="text-fine text-quiet">{rateWords(meter)}</p>
      {meter.stale && meter.lastOn !== null && (
        <p className="text-fine font-semibold text-soon-text">
          Stale: not read for {spanOfDays(daysBetween(meter.lastOn, today))}. Distance and hour
          limits go by estimate.
        </p>
      )}
      {meter.stoppedOn !== null && (
        <p className="text-fine font-semibold text-soon-text">
          Stopped since {fullDate(meter.stoppedOn)}.
        </p>
      )}
      {meter.faults.length > 0 && <LeftOut meter={meter} machine={machine} />}
    </div>
  );
}

const MOST_FAULTS = 3;

/** The figures that were left out, and the way to put them right. */
function LeftOut({
  meter,
  machine,
}: {
  readonly meter: BoardMeter;
  readonly machine: MachineId;
}): ReactElement {
  const { faults } = meter;
  return (
    <ul className="text-fine text-soon-text">
      {faults.slice(0, MOST_FAULTS).map(({ section, id, day, dial }) => (
        <li key={id}>
          Left out, does not agree: {dialFigureWithUnit(dial, meter.meter.unit)} on {fullDate(day)}.{" "}
          <Link to={correctionPath(machine, section, id)} className="inline-block py-1 underline">
            Correct it
          </Link>
        </li>
      ))}
      {faults.length > MOST_FAULTS && (
        <li>and {counted(faults.length - MOST_FAULTS, "more", "more")}</li>
      )}
    </ul>
  );
}

function rateWords({ rate, meter }: BoardMeter): string {
  if (rate.perDay === null) return "how fast it runs is not known yet";
  const pace = perDay(rate.perDay, meter.unit);
  if (rate.source.code !== "observed") return `${pace}, as declared`;
  const { pairs, from, to } = rate.source;
  return `${pace}, from ${counted(pairs + 1, "reading")} over ${spanOfDays(daysBetween(from, to))}`;
}

function Reaches({ machine }: { readonly machine: BoardMachine }): ReactElement {
  const today = useAppSelector((state) => state.session.today);
  return (
    <section aria-labelledby="ahead-here">
      <h2 id="ahead-here" className="text-large font-bold">
        Ahead
      </h2>
      <ReachBoard machines={[machine]} today={today} namesMachines={false} />
    </section>
  );
}
