import { daysBetween, type BoardMeter, type MachineId } from "@yonderfell/core";
import type { ReactElement } from "react";
import { Link } from "react-router";
import { useAppSelector } from "../../../session/store.js";
import {
  counted,
  dialFigureWithUnit,
  fullDate,
  perDay,
  sentence,
  spanOfDays,
} from "../../../words/format.js";
import { meterName } from "../../../words/limitWords.js";
import { Term } from "../../../ui/Term.js";
import { correctionPath } from "../../shared/paths.js";

/** A meter: what its dial is reckoned to show, how fast it runs, what is in doubt. */
export function MeterBlock({
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
          <Term word="stale">Stale</Term>: not read for{" "}
          {spanOfDays(daysBetween(meter.lastOn, today))}. Distance and hour limits go by estimate.
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
          {section === "rounds" ? (
            "It was read on a round."
          ) : (
            <Link to={correctionPath(machine, section, id)} className="inline-block py-1 underline">
              Correct it
            </Link>
          )}
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
