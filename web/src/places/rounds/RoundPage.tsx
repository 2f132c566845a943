import { resultAt, stationOf, type CheckPlace, type MachineId } from "@yonderfell/core";
import { ChevronLeft } from "lucide-react";
import { useEffect, type ReactElement } from "react";
import { Link, useParams } from "react-router";
import NotFound from "../../ui/NotFound.js";
import { useAwake } from "../shared/atTheMachine/useAwake.js";
import { CheckInHand } from "./CheckInHand.js";
import { RoundEnd } from "./RoundEnd.js";
import { farWords, placeWords } from "./roundWords.js";
import { keyOf, useInHand, type InHand } from "./useInHand.js";
import { useShownRound, type ShownRound } from "./useRounds.js";
import { useTelling } from "./useTelling.js";
import { VerdictMark } from "./VerdictMark.js";
import { WalkedRound } from "./WalkedRound.js";

/** A round at the machine: one check at a time, all of them beside it; once it is finished, what was found. */
export default function RoundPage(): ReactElement | null {
  const { machineId = "", roundId = "" } = useParams();
  const shown = useShownRound(machineId as MachineId, roundId);
  if (shown === undefined) return null;
  if (shown === null) return <NotFound />;
  return shown.round.finished === true ? (
    <WalkedRound shown={shown} />
  ) : (
    <RoundUnderWay shown={shown} />
  );
}

function RoundUnderWay({ shown }: { readonly shown: ShownRound }): ReactElement {
  const { machine, checklist } = shown;
  const inHand = useInHand(shown);
  const telling = useTelling(shown);
  const title = `${machine.tag} ${checklist.name}`;
  useAwake(true);
  const { place, places, open } = inHand;
  const here = place === null ? title : `${placeWords(place)}, ${title}`;
  useEffect(() => {
    document.title = `${here} · Yonderfell`;
  }, [here]);
  return (
    <main
      data-at-the-machine
      className="mx-auto grid min-h-[calc(100dvh-3.25rem)] w-full max-w-[1600px] grid-rows-[auto_1fr] px-7 max-sm:min-h-dvh max-sm:px-4"
    >
      <header className="flex flex-wrap items-center gap-x-5 border-b border-hairline py-1">
        <Link to="/rounds" className="flex min-h-12 items-center gap-1 text-clear">
          <ChevronLeft size={18} aria-hidden="true" />
          All rounds
        </Link>
        <h1 className="text-large font-bold">{title}</h1>
        <p className="text-quiet tabular-nums">
          {farWords(places.length - open.length, places.length)}
        </p>
      </header>
      <div className="grid grid-cols-[minmax(0,1fr)] grid-rows-[auto_1fr] gap-x-8 lg:grid-cols-[22rem_minmax(0,1fr)] lg:grid-rows-1">
        <WalkList shown={shown} inHand={inHand} />
        <div className="flex min-w-0 flex-col pt-4">
          {place === null ? (
            <RoundEnd {...{ shown, inHand, telling }} />
          ) : (
            <CheckInHand key={keyOf(place)} {...{ shown, inHand, telling, place }} />
          )}
          <p role="alert" className="pb-2 font-semibold text-due empty:hidden">
            {telling.failure}
          </p>
        </div>
      </div>
    </main>
  );
}

/** All there is to look at, by station, with what was found; on a narrow screen the stations alone. */
function WalkList({
  shown,
  inHand,
}: {
  readonly shown: ShownRound;
  readonly inHand: InHand;
}): ReactElement {
  const { places, place, open, go } = inHand;
  const stations = [...new Set(places.map(({ check }) => stationOf(check)))];
  const here = place === null ? null : stationOf(place.check);
  const isOpen = (one: CheckPlace): boolean => open.some((two) => keyOf(two) === keyOf(one));
  return (
    <nav
      aria-label="Checks"
      className="min-w-0 lg:sticky lg:top-0 lg:max-h-dvh lg:overflow-y-auto lg:py-4"
    >
      <ul className="flex gap-x-1 overflow-x-auto py-1 lg:hidden">
        {stations.map((station) => {
          const own = places.filter(({ check }) => stationOf(check) === station);
          const left = own.filter(isOpen);
          return (
            <li key={station} className="shrink-0">
              <button
                type="button"
                aria-current={station === here ? "step" : undefined}
                className={`flex min-h-12 flex-col items-start justify-center border-b-4 px-2 text-fine ${left.length === 0 ? "border-clear" : "border-hairline"} ${station === here ? "font-bold" : "text-quiet"}`}
                onClick={() => go(left[0] ?? own[0] ?? null)}
              >
                {station}
              </button>
            </li>
          );
        })}
      </ul>
      <ol className="hidden lg:block">
        {places.map((one) => {
          const verdict = resultAt(shown.round, one)?.verdict ?? null;
          const isHere = place !== null && keyOf(one) === keyOf(place);
          return (
            <li key={keyOf(one)}>
              <button
                type="button"
                aria-current={isHere ? "step" : undefined}
                className={`grid min-h-11 w-full grid-cols-[1.75rem_1fr] items-center gap-x-2 rounded-[3px] px-1.5 py-1 text-left hover:bg-wash ${isHere ? "border-2 border-clear bg-raised font-semibold" : "border-2 border-transparent"}`}
                onClick={() => go(one)}
              >
                <VerdictMark verdict={verdict} />
                <span>
                  {placeWords(one)}
                  <span className="sr-only">, {verdict ?? "to be looked at"}</span>
                </span>
              </button>
            </li>
          );
        })}
      </ol>
    </nav>
  );
}
