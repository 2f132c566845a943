import {
  dayOf,
  type RecordGap,
  type RecordLine,
  type RecordPicture,
  type ServiceRecord,
} from "@yonderfell/core";
import type { ReactElement, ReactNode } from "react";
import { fullDate } from "../../../words/format.js";
import {
  detailWords,
  dialWords,
  gapWords,
  holdsWords,
  markWords,
  titleWords,
  whoWords,
} from "./recordWords.js";

/** A service record as it stands on paper: nothing is asked for while it is drawn but its pictures. */
export function RecordPaper({
  record,
  size,
  picture,
}: {
  readonly record: ServiceRecord;
  readonly size: "a4" | "letter";
  readonly picture: (picture: RecordPicture) => ReactNode;
}): ReactElement {
  const { machine, issued } = record;
  return (
    <article className={`report record report-${size}`} aria-label="Service record">
      <table>
        <thead>
          <tr>
            <th>Day</th>
            <th>Dial</th>
            <th>
              {machine.tag} {machine.name}: what was done, found and looked at
            </th>
            <th>By</th>
          </tr>
        </thead>
        <tfoot>
          <tr>
            <td colSpan={4}>
              {machine.tag} {machine.name}, issued {fullDate(dayOf(issued))} · SHA-256{" "}
              <span className="digest">{record.digest}</span>
            </td>
          </tr>
        </tfoot>
        <tbody>
          <tr>
            <td colSpan={4}>
              <Head record={record} />
            </td>
          </tr>
          {inOrder(record).map((row) =>
            row.kind === "gap" ? (
              <tr key={`gap ${row.gap.from}`} className="gap">
                <td colSpan={4}>{gapWords(row.gap)}</td>
              </tr>
            ) : (
              <Line key={row.at} line={row.line} picture={picture} />
            ),
          )}
          <tr>
            <td colSpan={4}>
              <Readings record={record} />
            </td>
          </tr>
        </tbody>
      </table>
    </article>
  );
}

type Row =
  | { readonly kind: "gap"; readonly date: string; readonly gap: RecordGap }
  | {
      readonly kind: "line";
      readonly date: string;
      readonly line: RecordLine;
      readonly at: number;
    };

/** Lines in their order, each gap on the day it begins after what is of that day. */
function inOrder({ lines, gaps }: ServiceRecord): Row[] {
  const rows: Row[] = [
    ...lines.map((line, at): Row => ({ kind: "line", date: line.date, line, at })),
    ...gaps.map((gap): Row => ({ kind: "gap", date: gap.from, gap })),
  ];
  return rows.toSorted((one, other) => dayOf(one.date) - dayOf(other.date));
}

/** What the record is of, and what it stands on. */
function Head({ record }: { readonly record: ServiceRecord }): ReactElement {
  const { machine, book, issued, from, to } = record;
  const facts: readonly (readonly [string, string | undefined])[] = [
    ["Identification number", machine.vin],
    ["Serial number", machine.serial],
    ["Registration", machine.registration],
    ["In service", machine.inService && fullDate(dayOf(machine.inService))],
    ["With this owner", machine.acquired && `since ${fullDate(dayOf(machine.acquired))}`],
  ];
  const said = facts.flatMap(([name, value]) =>
    value === undefined || value === "" ? [] : [`${name} ${value}`],
  );
  return (
    <>
      <h1>Service record</h1>
      <p className="lead">
        {machine.tag} {machine.name}
        {machine.description !== undefined && <span className="fine"> {machine.description}</span>}
      </p>
      <p>{said.join(" · ")}</p>
      <p>
        {fullDate(dayOf(from))} to {fullDate(dayOf(to))}, issued {fullDate(dayOf(issued))} from the
        book “{book}”: {holdsWords(record)}.
      </p>
      {machine.history === "unknown" && (
        <p>
          <strong>It came to this book without records:</strong> of what was done before, nothing is
          known here.
        </p>
      )}
      <p className="fine">
        Everything of these days that the book has, in order; what is not in it is not claimed. “In
        all” is what the machine has run over dials that were replaced; “reckoned” stands where the
        dial was not read that day. The same SHA-256 is at the foot of each page and in the file of
        this record: <strong>yonderfell record verify</strong> says whether the file is as issued.
      </p>
    </>
  );
}

function Line({
  line,
  picture,
}: {
  readonly line: RecordLine;
  readonly picture: (picture: RecordPicture) => ReactNode;
}): ReactElement {
  const marks = markWords(line);
  return (
    <tr>
      <td className="day">{fullDate(dayOf(line.date))}</td>
      <td className="dial">
        {(line.dials ?? []).map((dial) => (
          <span key={dial.meter}>{dialWords(dial)}</span>
        ))}
      </td>
      <td>
        <strong>{titleWords(line)}</strong>
        {marks.length > 0 && <em> {marks.join(", ")}</em>}
        {detailWords(line).map((words) => (
          <span key={words} className="detail">
            {words}
          </span>
        ))}
        {line.note !== undefined && <span className="detail">“{line.note}”</span>}
        {line.pictures !== undefined && (
          <div className="whole">
            {line.pictures.map((one) => (
              <figure key={one.hash}>
                {picture(one)}
                {one.caption !== undefined && <figcaption>{one.caption}</figcaption>}
              </figure>
            ))}
          </div>
        )}
      </td>
      <td>{whoWords(line)}</td>
    </tr>
  );
}

/** All figures that were only read, close together. */
function Readings({
  record: { readings },
}: {
  readonly record: ServiceRecord;
}): ReactElement | null {
  if (readings.length === 0) return null;
  const meters = [...new Set(readings.map(({ dial }) => dial.meter))];
  return (
    <>
      <h2>Dials, as they were read</h2>
      {meters.map((meter) => (
        <div key={meter}>
          <h3>{meter}</h3>
          <ul className="readings">
            {readings
              .filter(({ dial }) => dial.meter === meter)
              .map(({ date, dial, source }, at) => (
                <li key={`${date} ${at}`}>
                  {fullDate(dayOf(date))} <strong>{dialWords(dial)}</strong>
                  {source !== undefined && ` by ${source}`}
                </li>
              ))}
          </ul>
        </div>
      ))}
    </>
  );
}
