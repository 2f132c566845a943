import {
  checkLimits,
  dayOf,
  findingAtPlace,
  isFound,
  judgeReadings,
  judgeSum,
  placesOf,
  resultAt,
  sharedCauses,
  symbolOf,
  unevenPairs,
  type CheckPlace,
  type CheckResult,
} from "@yonderfell/core";
import { Printer } from "lucide-react";
import type { ReactElement } from "react";
import { formatted } from "../shared/atTheMachine/figures.js";
import { Link } from "react-router";
import { QUIET_BUTTON } from "../../ui/buttons.js";
import { Page } from "../../ui/Page.js";
import { fullDate, sentence } from "../../words/format.js";
import { findingPath } from "../../words/findingWords.js";
import { machinePath, reportPath } from "../shared/paths.js";
import { boundWords, placeWords } from "./roundWords.js";
import { OnThePlan } from "./OnThePlan.js";
import { keyOf } from "./useInHand.js";
import type { ShownRound } from "./useRounds.js";
import { VerdictMark } from "./VerdictMark.js";

/** A round that is finished, as it was: what was found first, then every check with what it was judged by. */
export function WalkedRound({ shown }: { readonly shown: ShownRound }): ReactElement {
  const { round, machine, checklist, people } = shown;
  const who = people.find(({ id }) => id === round.by)?.name ?? round.by ?? "";
  const dials = Object.entries(round.meters ?? {}).map(([id, value]) => {
    const meter = (machine.meters ?? []).find((one) => one.id === id);
    return `${formatted(value)} ${meter?.unit ?? ""}`;
  });
  return (
    <Page
      title={`${machine.tag} ${checklist.name}`}
      aside={
        <div className="flex flex-wrap gap-3 print:hidden">
          <Link to={reportPath(machine.id)} className={QUIET_BUTTON}>
            Report for the owner
          </Link>
          <button type="button" className={QUIET_BUTTON} onClick={() => print()}>
            <Printer size={18} aria-hidden="true" />
            Print
          </button>
        </div>
      }
    >
      <p className="mb-4 text-quiet">
        <Link to={machinePath(machine.id)} className="text-clear underline">
          {machine.name}
        </Link>
        , {[fullDate(dayOf(round.date)), who, ...dials].filter(Boolean).join(", ")}
        {round.note && `. ${round.note}`}
      </p>
      <FoundList shown={shown} />
      <h2 className="mt-6 text-large font-bold">All checks</h2>
      <ul className="max-w-[70rem]">
        {placesOf(checklist).map((place) => (
          <ResultLine key={keyOf(place)} {...{ shown, place }} />
        ))}
      </ul>
    </Page>
  );
}

/** What is to be seen only over several checks: one cause for many places, sides that wear unlike each other. */
function TakenTogether({
  shown: { round, checklist },
}: {
  readonly shown: ShownRound;
}): ReactElement | null {
  const shared = sharedCauses(round, checklist).map(({ cause, places }) => ({
    what: sentence(cause),
    where: places.map(placeWords).join("; "),
    todo: "One cause for all of these: it is cured before new parts go on.",
  }));
  const uneven = unevenPairs(round, checklist).map(({ check, points, difference }) => ({
    what: `${check.name}: ${points.join(" and ")} differ by ${formatted(difference)} ${symbolOf(check.unit ?? "piece")}`,
    where: `more than ${formatted(check.uneven ?? 0)} is unlike wear`,
    todo: "Find what binds, leaks or stands askew on the worn side before new parts go on.",
  }));
  const all = [...shared, ...uneven];
  if (all.length === 0) return null;
  return (
    <section aria-label="Taken together" className="mt-6">
      <h2 className="text-large font-bold">Taken together</h2>
      <ul className="max-w-[70rem]">
        {all.map(({ what, where, todo }) => (
          <li key={what} className="border-t border-hairline py-2">
            <strong className="block">{what}</strong>
            <span className="block text-quiet">{where}</span>
            {todo}
          </li>
        ))}
      </ul>
    </section>
  );
}

/** What of a round is not sound, with the finding it made. */
export function FoundList({ shown }: { readonly shown: ShownRound }): ReactElement {
  const found = placesOf(shown.checklist).filter((place) =>
    isFound(resultAt(shown.round, place)?.verdict ?? null),
  );
  if (found.length === 0) {
    return (
      <>
        <p className="text-large">Nothing was found that is not sound.</p>
        <TakenTogether shown={shown} />
      </>
    );
  }
  return (
    <div>
      <h2 className="text-large font-bold">Found</h2>
      <ul className="max-w-[70rem]">
        {found.map((place) => {
          const finding = findingAtPlace(shown.book, place);
          return (
            <li
              key={keyOf(place)}
              className="grid items-center gap-x-6 border-t border-hairline py-1.5 sm:grid-cols-[10rem_minmax(0,3fr)_minmax(0,4fr)]"
            >
              <Verdict result={resultAt(shown.round, place)} />
              <strong>{placeWords(place)}</strong>
              {finding === null ? (
                <span className="text-quiet">closed since</span>
              ) : (
                <Link
                  to={findingPath(finding.id)}
                  className="flex min-h-10 items-center text-clear underline max-sm:min-h-12"
                >
                  {finding.decision}
                  {finding.evidence ? `: ${finding.evidence}` : ""}
                </Link>
              )}
            </li>
          );
        })}
      </ul>
      <TakenTogether shown={shown} />
    </div>
  );
}

function Verdict({ result }: { readonly result: CheckResult | null }): ReactElement {
  return (
    <span className="flex items-center gap-2 font-semibold">
      <VerdictMark verdict={result?.verdict} />
      {result?.verdict ?? "not judged"}
    </span>
  );
}

function ResultLine({
  shown,
  place,
}: {
  readonly shown: ShownRound;
  readonly place: CheckPlace;
}): ReactElement {
  const result = resultAt(shown.round, place);
  const limits = checkLimits(place.check, shown.specifications);
  // By what it was judged then, whatever the checklist says now.
  const then = limits === null ? null : { ...limits, ...(result?.judgedBy as object | undefined) };
  const judged = then === null ? null : judgeReadings(then, result?.readings ?? []);
  const bySum = judgeSum(place.check, result?.figures);
  const told = [
    judged === null || then === null ? "" : `${formatted(judged.value)} ${symbolOf(then.unit)}`,
    bySum?.told ?? "",
    ...(bySum?.signs ?? []).map(({ seen }) => seen),
    result?.picked ?? "",
    result?.reason ?? "",
    result?.note ?? "",
  ].filter(Boolean);
  return (
    <li className="grid gap-x-6 border-t border-hairline py-1.5 sm:grid-cols-[minmax(0,3fr)_10rem_minmax(0,4fr)]">
      <span>{placeWords(place)}</span>
      <Verdict result={result} />
      <span className="text-quiet">
        {told.join("; ")}
        {judged !== null && then !== null && boundWords(then) !== "" && ` (${boundWords(then)})`}
        {judged !== null && <OnThePlan {...{ shown, place }} />}
      </span>
    </li>
  );
}
