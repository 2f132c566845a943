import { mondayOf, parseDay, formatDay, type DayNumber, type FleetTold } from "@yonderfell/core";
import { RotateCw } from "lucide-react";
import { memo, useCallback, useRef, type ReactElement, type RefObject } from "react";
import { Link, useSearchParams } from "react-router";
import { useAppSelector } from "../../../session/store.js";
import { QUIET_BUTTON } from "../../../ui/buttons.js";
import { EmptyPlace } from "../../../ui/EmptyPlace.js";
import { Progress } from "../../../ui/Progress.js";
import { weekdayDate } from "../../../words/visitWords.js";
import { AskCurrency } from "../../shared/currency/AskCurrency.js";
import { useCurrency } from "../../shared/currency/useCurrency.js";
import { AheadPage } from "../AheadPage.js";
import { FleetChanges } from "./FleetChanges.js";
import { costWords, headWords, phaseWords, worthWords } from "./fleetWords.js";
import { FleetRidge } from "./FleetRidge.js";
import { FullWeeks } from "./FullWeeks.js";
import { useFleetPlan } from "./useFleetPlan.js";

/** The best weeks for all machines together: what it comes to, week by week, what cannot be held, and what it changes. */
export default function FleetPage(): ReactElement {
  const plan = useFleetPlan();
  const { told, again } = plan;
  const good = useRef<HTMLElement>(null);
  const taken = useCallback(() => {
    // What was pressed goes with what it did: it is planned anew.
    again();
    good.current?.focus();
  }, [again]);
  const hasMachines = useAppSelector(({ board }) => board.machines.length > 0);
  const phase = useAppSelector(({ board }) => board.phase);
  return (
    <AheadPage title="Fleet plan">
      {!hasMachines && phase === "ready" ? (
        <EmptyPlace words="The best weeks for all machines together stand here, with the hours there are. It needs machines with tasks." />
      ) : (
        <>
          <Search plan={plan} at={good} />
          {told !== null &&
            (told.pools.length === 0 ? <NoHours /> : <Plan told={told} onTaken={taken} />)}
        </>
      )}
    </AheadPage>
  );
}

function NoHours(): ReactElement {
  return (
    <p className="max-w-[68ch]">
      {"Weeks are shared out by the hours there are, and none are recorded. "}
      <Link to="/workshop" className="text-clear underline">
        Say how many hours a week people work, or bays are open
      </Link>
      .
    </p>
  );
}

/** What it comes to so far, how far the search is, and the ways to stop it and to begin anew. */
function Search({
  plan,
  at,
}: {
  readonly plan: ReturnType<typeof useFleetPlan>;
  readonly at: RefObject<HTMLElement | null>;
}): ReactElement {
  const { phase, told, prepared, stop, again } = plan;
  const currency = useCurrency();
  const words = phaseWords(plan);
  const isOn = phase === "preparing" || phase === "searching";
  return (
    <section
      ref={at}
      tabIndex={-1}
      aria-label="How good it is"
      className="mb-3 max-w-[80ch] outline-none"
    >
      {told !== null && told.pools.length > 0 && (
        <p>
          <strong>{headWords(told)}</strong>{" "}
          <span className="text-quiet">{costWords(told, currency)}</span>
        </p>
      )}
      {isOn ? (
        <Progress
          label={words}
          share={phase === "preparing" ? prepared : null}
          stop={told === null ? "Stop" : "Good enough, stop"}
          onStop={stop}
        />
      ) : (
        <div className="flex flex-wrap items-center gap-x-6 gap-y-2">
          <p role="status">{words}</p>
          {(phase === "stopped" || phase === "failed") && (
            <button type="button" className={QUIET_BUTTON} onClick={again}>
              <RotateCw size={16} aria-hidden="true" />
              Look again
            </button>
          )}
        </div>
      )}
    </section>
  );
}

/** Drawn anew with another plan, not with each step of the search. */
const Plan = memo(function Plan({
  told,
  onTaken,
}: {
  readonly told: FleetTold;
  readonly onTaken: () => void;
}): ReactElement {
  const today = useAppSelector((state) => state.session.today);
  const [week, setWeek] = useChosenWeek();
  return (
    <>
      <AskCurrency />
      <FleetRidge weeks={told.weeks} today={today} chosen={week} onChoose={setWeek} />
      <Worth told={told} week={week} />
      <FullWeeks told={told} today={today} week={week} />
      <div className="mt-5 flex flex-wrap items-center justify-between gap-3">
        <h2 className="text-large font-bold">
          {week === null
            ? "What the plan changes"
            : `What it changes in the week of ${weekdayDate(week, today)}`}
        </h2>
        {week !== null && (
          <button type="button" className={QUIET_BUTTON} onClick={() => setWeek(null)}>
            All weeks
          </button>
        )}
      </div>
      <FleetChanges {...{ told, today, week, onTaken }} />
    </>
  );
});

/** What an hour more would save in the week that is looked at. */
function Worth({
  told: { weeks },
  week,
}: {
  readonly told: FleetTold;
  readonly week: DayNumber | null;
}): ReactElement | null {
  const currency = useCurrency();
  const worth = weeks.find(({ monday }) => monday === week)?.worth ?? null;
  return worth === null ? null : <p className="mt-2">{worthWords(worth, currency)}</p>;
}

/** The week chosen, by its Monday, kept in the address. */
function useChosenWeek(): readonly [DayNumber | null, (monday: DayNumber | null) => void] {
  const [search, setSearch] = useSearchParams();
  const day = parseDay(search.get("week") ?? "");
  const choose = (monday: DayNumber | null): void =>
    setSearch(monday === null ? {} : { week: formatDay(monday) }, { replace: true });
  return [day === null ? null : mondayOf(day), choose];
}
