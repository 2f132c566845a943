import type { MachineReport } from "@yonderfell/core";
import type { ReactElement } from "react";
import { findingTitle } from "../../../words/findingWords.js";
import { dialFigureWithUnit, fullDate } from "../../../words/format.js";
import { placeWords } from "../roundWords.js";
import type { Paper } from "./paper.js";
import { ReportDetails } from "./ReportDetails.js";
import {
  costWords,
  leadWords,
  notLookedAtWords,
  sumWords,
  togetherWords,
  urgencyWords,
  whyWords,
} from "./reportWords.js";

/** A report on one machine for whoever decides: one page first, the details after it. */
export function ReportPaper(paper: Paper): ReactElement {
  const { report, board, from, size } = paper;
  const { machine, meters } = board;
  const dials = meters.flatMap(({ meter, dial }) =>
    dial === null ? [] : [dialFigureWithUnit(dial, meter.unit)],
  );
  return (
    <article className={`report report-${size}`} aria-label="Report">
      <section data-first-page>
        <h1>
          {machine.tag} {machine.name}
        </h1>
        <p className="fine">
          {[machine.description ?? machine.kind, ...dials].filter(Boolean).join(" · ")}
        </p>
        <p className="fine">
          Report of {fullDate(report.on)}, {from}
        </p>
        <p className="lead">
          <span className="short">{leadWords(report)}</span>
        </p>
        <ToDecide {...paper} />
        {report.due.length > 0 && (
          <p>
            Due by its plan: <strong>{dueWords(report.due)}</strong>.
          </p>
        )}
        <NotSeen report={report} />
        <p className="fine">
          Urgency is the workshop’s judgement by what was seen. The maker’s handbook, the law and
          licensed people go before it.
        </p>
        <div className="sign">
          <span>Decided by</span>
          <span>Day</span>
        </div>
      </section>
      <ReportDetails {...paper} />
    </article>
  );
}

/** So many lines stand on the first page: the worst; all of them in the details. */
const FIRST_LINES = 5;

/** So many of the tasks that are due are named on the first page. */
const FIRST_TASKS = 8;

/** What is due by the plan, by name; so many more where they are many. */
function dueWords(due: MachineReport["due"]): string {
  const names = due.slice(0, FIRST_TASKS).map(({ task }) => task.name);
  const more = due.length - names.length;
  return more > 0 ? `${names.join(", ")} and ${more} more` : names.join(", ");
}

/** What is to be decided: what, why, what to do, what it would cost. */
function ToDecide({ report, currency }: Paper): ReactElement | null {
  const { now, next, watch, declined, cost } = report;
  const all = [...now, ...next, ...declined, ...watch];
  const shown = all.slice(0, FIRST_LINES);
  const sums = [
    ["Now", now, cost.now] as const,
    ["Next visit", next, cost.next] as const,
    ["Declined", declined, cost.declined] as const,
  ].filter(([, lines]) => lines.length > 0);
  return (
    <>
      {all.length > 0 && (
        <table>
          <thead>
            <tr>
              <th>How urgent</th>
              <th>What</th>
              <th>Why, and what to do</th>
              <th className="money">Cost</th>
            </tr>
          </thead>
          <tbody>
            {shown.map((one) => (
              <tr key={one.finding.id}>
                <td>{urgencyWords(one)}</td>
                <td>
                  <strong className="short">{findingTitle(one.finding)}</strong>
                </td>
                <td>
                  <span className="short">
                    {whyWords(one.finding)}
                    {one.finding.todo && <span className="fine"> To do: {one.finding.todo}</span>}
                  </span>
                </td>
                <td className="money">{costWords(one.finding, currency)}</td>
              </tr>
            ))}
          </tbody>
          <tfoot>
            {sums.map(([name, , sum]) => (
              <tr key={name}>
                <td colSpan={3}>{togetherWords(name, sum)}</td>
                <td className="money">{sumWords(sum, currency)}</td>
              </tr>
            ))}
          </tfoot>
        </table>
      )}
      {all.length > shown.length && (
        <p>
          <strong>{all.length - shown.length} more</strong> on the pages after this.
        </p>
      )}
    </>
  );
}

/** So many places that were not looked at are named on the first page. */
const FIRST_PLACES = 6;

/** What was not looked at, so that nobody takes it for sound. */
function NotSeen({ report: { rounds, underWay } }: Pick<Paper, "report">): ReactElement {
  return (
    <>
      <h2>Not looked at</h2>
      {rounds.length === 0 && (
        <p>No round was finished in this time: only what stands above was looked at.</p>
      )}
      {rounds.map((round) => {
        const names = round.notLookedAt.map(({ place }) => placeWords(place));
        const more = names.length - FIRST_PLACES;
        return (
          <p key={round.checklist.id}>
            {notLookedAtWords(round)}{" "}
            <span className="fine">
              {names.slice(0, FIRST_PLACES).join("; ")}
              {more > 0 && `; and ${more} more, named in the details`}
            </span>
          </p>
        );
      })}
      {underWay > 0 && (
        <p>A round is under way: what it has found so far counts, its rest does not.</p>
      )}
    </>
  );
}
