import { checkLimits, dayOf, type ReportedFinding, type ReportedRound } from "@yonderfell/core";
import { lowerFirst } from "es-toolkit";
import type { ReactElement } from "react";
import { findingTitle } from "../../../words/findingWords.js";
import { counted, fullDate, sentence } from "../../../words/format.js";
import { placeWords } from "../roundWords.js";
import type { Paper } from "./paper.js";
import {
  costWords,
  foundWords,
  nameOf,
  resultWords,
  urgencyWords,
  whyWords,
} from "./reportWords.js";

/** What stands behind the first page: every finding whole, what was put right, every check of the rounds. */
export function ReportDetails(paper: Paper): ReactElement {
  const { now, next, watch, declined, putRight, rounds } = paper.report;
  const all = [...now, ...next, ...watch, ...declined];
  return (
    <section className="details">
      <h2>Details: {paper.board.machine.name}</h2>
      {all.map((one) => (
        <FindingWhole key={one.finding.id} one={one} paper={paper} />
      ))}
      {putRight.length > 0 && (
        <>
          <h2>Put right since</h2>
          <table>
            <tbody>
              {putRight.map(({ finding, on, how }) => (
                <tr key={finding.id}>
                  <td>{fullDate(on)}</td>
                  <td>
                    <strong>{findingTitle(finding)}</strong>
                  </td>
                  <td>{how}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </>
      )}
      {rounds.map((round) => (
        <RoundWhole key={round.checklist.id} round={round} paper={paper} />
      ))}
    </section>
  );
}

function FindingWhole({
  one,
  paper: { people, currency, picture },
}: {
  readonly one: ReportedFinding;
  readonly paper: Paper;
}): ReactElement {
  const { finding } = one;
  const { also, minutes, todo, pictures, decisions, decidedBy } = finding;
  const facts = [
    foundWords(finding, people),
    finding.verdict ?? "",
    minutes ? counted(minutes, "minute") : "",
    costWords(finding, currency),
    decidedBy ? `decided by ${nameOf(decidedBy, people)}` : "",
  ].filter((words) => words !== "");
  return (
    <div className="whole">
      <h3>
        {findingTitle(finding)}: {lowerFirst(urgencyWords(one))}
      </h3>
      <p>{whyWords(finding)}</p>
      {todo && <p>To do: {todo}</p>}
      {(also ?? []).length > 0 && <p>Also to suspect: {(also ?? []).join("; ")}</p>}
      <p className="fine">{sentence(facts.join(" · "))}</p>
      {(decisions ?? []).map(({ on, by, decision, reason }) => (
        <p key={`${on} ${decision}`} className="fine">
          Before: {decision} on {fullDate(dayOf(on))}
          {by ? ` by ${nameOf(by, people)}` : ""}
          {reason ? `, ${reason}` : ""}
        </p>
      ))}
      {(pictures ?? []).map((one) => (
        <span key={one.hash}>{picture(one)}</span>
      ))}
    </div>
  );
}

/** A round as it was walked: what was looked at with what it came to, then what was not, with why. */
function RoundWhole({
  round: { checklist, round, on, lookedAt, notLookedAt },
  paper: { specifications, people },
}: {
  readonly round: ReportedRound;
  readonly paper: Paper;
}): ReactElement {
  return (
    <>
      <h2>
        {checklist.name}, {fullDate(on)}
        {round.by ? `, ${nameOf(round.by, people)}` : ""}
      </h2>
      <table>
        <thead>
          <tr>
            <th>Looked at</th>
            <th>Verdict</th>
            <th>What it came to</th>
          </tr>
        </thead>
        <tbody>
          {lookedAt.map(({ place, result }) => (
            <tr key={placeWords(place)}>
              <td>{placeWords(place)}</td>
              <td>{result.verdict}</td>
              <td>{resultWords(result, checkLimits(place.check, specifications))}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {notLookedAt.length > 0 && (
        <>
          <h3>Not looked at</h3>
          <table>
            <tbody>
              {notLookedAt.map(({ place, verdict, reason }) => (
                <tr key={placeWords(place)}>
                  <td>{placeWords(place)}</td>
                  <td>{verdict ?? "nothing was said"}</td>
                  <td>{reason}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </>
      )}
    </>
  );
}
