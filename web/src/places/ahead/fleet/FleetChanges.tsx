import type { DayNumber, FleetChange, FleetTold, TaskId } from "@yonderfell/core";
import { groupBy } from "es-toolkit";
import { CalendarCheck2 } from "lucide-react";
import { ToggleGroup } from "radix-ui";
import { useState, type ReactElement } from "react";
import { PRIMARY_BUTTON, QUIET_BUTTON } from "../../../ui/buttons.js";
import { ShowMore } from "../../../ui/ShowMore.js";
import { hoursWords, weekdayDate } from "../../../words/visitWords.js";
import { useCurrency } from "../../shared/currency/useCurrency.js";
import { useTaskNames } from "../visits/useTaskNames.js";
import { changeMoreWords, changesWords, changeWords, staysWords, weekTitle } from "./fleetWords.js";
import { useTakeFleet } from "./useTakeFleet.js";

/** So many changes are shown at once, and the rest of the group that the last is in. */
const AT_ONCE = 30;
const MINUTES_AN_HOUR = 60;

/** Changes that are taken together: those of a week, or of a machine. */
interface Group {
  readonly key: string;
  readonly title: string;
  /** What one press takes, in words. */
  readonly take: string;
  readonly changes: readonly FleetChange[];
}

type By = "week" | "machine";

/** What the plan changes against what is accepted, to be taken whole, by week or by machine. */
export function FleetChanges({
  told,
  today,
  week,
  onTaken,
}: {
  readonly told: FleetTold;
  readonly today: DayNumber;
  /** The Monday of the week looked at; null for all. */
  readonly week: DayNumber | null;
  /** Told once some of it is in the book. */
  readonly onTaken: () => void;
}): ReactElement {
  const [by, setBy] = useState<By>("week");
  const [most, setMost] = useState(AT_ONCE);
  const { take, failure } = useTakeFleet();
  const { changes, weeks, stays } = told;
  const shown = changes.filter((one) => week === null || weeks[one.week]?.monday === week);
  const groups = by === "week" ? byWeek(shown, told, today) : byMachine(shown);
  const drawn = upTo(groups, most);
  const nameOf = useTaskNames();
  const currency = useCurrency();
  const takeAll = async (some: readonly FleetChange[]): Promise<void> => {
    if (await take(some)) onTaken();
  };
  if (shown.length === 0) return <p className="py-3 text-quiet">{nothingWords(week, stays)}</p>;
  return (
    <>
      <div className="mb-3 flex flex-wrap items-center gap-x-6 gap-y-2">
        <p className="mr-auto max-w-[60ch]">{`${changesWords(shown)}; ${staysWords(stays)}. An amount is what the day costs more than the cheapest there is for it.`}</p>
        <Choice by={by} onChoose={setBy} />
        <button type="button" className={PRIMARY_BUTTON} onClick={() => void takeAll(shown)}>
          <CalendarCheck2 size={20} aria-hidden="true" />
          {week === null ? "Take the whole plan" : "Take this week"}
        </button>
      </div>
      {failure !== "" && (
        <p role="alert" className="mb-2 border-l-4 border-due pl-3">
          {failure}
        </p>
      )}
      {drawn.map((group) => (
        <ChangeGroup
          key={group.key}
          {...{ group, today, nameOf, currency }}
          isAlone={groups.length === 1}
          onTake={() => void takeAll(group.changes)}
        />
      ))}
      <ShowMore rest={groups.length - drawn.length} onMore={() => setMost(most + AT_ONCE)} />
    </>
  );
}

/** The first groups that hold so many changes together. */
function upTo(groups: readonly Group[], most: number): readonly Group[] {
  let count = 0;
  return groups.filter(({ changes }) => {
    const isShown = count < most;
    count += changes.length;
    return isShown;
  });
}

function nothingWords(week: DayNumber | null, stays: number): string {
  if (week !== null) return "The plan changes nothing in this week.";
  return stays > 0
    ? "Nothing: what is accepted is what the plan would do."
    : "Nothing: there is no work ahead that takes hours of your own.";
}

function byWeek(
  changes: readonly FleetChange[],
  { weeks }: FleetTold,
  today: DayNumber,
): readonly Group[] {
  const byPlace = groupBy(changes, ({ week }) => week);
  return weeks.flatMap((week, at) => {
    const own = byPlace[at];
    if (own === undefined) return [];
    const key = String(week.monday);
    return [{ key, title: weekTitle(week, today), take: "Take this week", changes: own }];
  });
}

function byMachine(changes: readonly FleetChange[]): readonly Group[] {
  return Object.entries(groupBy(changes, ({ machine }) => machine.id)).map(([key, own]) => {
    const [tag = "", name = ""] = own.flatMap(({ machine }) => [machine.tag, machine.name]);
    return { key, title: `${tag} ${name}`, take: `Take ${tag}`, changes: own };
  });
}

function Choice({
  by,
  onChoose,
}: {
  readonly by: By;
  readonly onChoose: (by: By) => void;
}): ReactElement {
  return (
    <ToggleGroup.Root
      type="single"
      value={by}
      onValueChange={(value) => value !== "" && onChoose(value as By)}
      aria-label="Shown by"
      className="flex"
    >
      {(["week", "machine"] as const).map((one) => (
        <ToggleGroup.Item
          key={one}
          value={one}
          className="min-h-11 border-b-2 border-transparent px-3 text-quiet hover:text-ink data-[state=on]:border-clear data-[state=on]:font-semibold data-[state=on]:text-ink max-sm:min-h-12"
        >
          {`By ${one}`}
        </ToggleGroup.Item>
      ))}
    </ToggleGroup.Root>
  );
}

/** What lines are told with. */
interface LineProps {
  readonly today: DayNumber;
  readonly nameOf: (task: TaskId) => string;
  readonly currency: string;
}

function ChangeGroup({
  group: { key, title, take, changes },
  isAlone,
  onTake,
  ...told
}: LineProps & {
  readonly group: Group;
  readonly isAlone: boolean;
  readonly onTake: () => void;
}): ReactElement {
  const id = `group-${key}`;
  return (
    <section aria-labelledby={id} className="mb-4">
      <div className="flex flex-wrap items-center justify-between gap-x-4">
        <h3 id={id} className="font-bold">
          {title}
        </h3>
        {!isAlone && (
          <button type="button" className={QUIET_BUTTON} aria-describedby={id} onClick={onTake}>
            {take}
          </button>
        )}
      </div>
      <ul>
        {changes.map((change) => (
          <Line key={lineKey(change)} change={change} {...told} />
        ))}
      </ul>
    </section>
  );
}

const lineKey = ({ machine, day, held, turns }: FleetChange): string =>
  `${machine.id} ${day} ${held?.id ?? turns[0]?.task ?? ""}`;

function Line({
  change,
  today,
  nameOf,
  currency,
}: LineProps & { readonly change: FleetChange }): ReactElement {
  const { machine, day, turns, added, others, minutes } = change;
  const tasks = [...[...turns, ...added].map(({ task }) => task), ...others];
  return (
    <li className="grid grid-cols-[8.5rem_minmax(7rem,12rem)_1fr_12rem_4rem_5rem] items-baseline gap-x-4 border-t border-hairline py-2 max-lg:grid-cols-[1fr_auto]">
      <span className="font-semibold tabular-nums">{weekdayDate(day, today)}</span>
      <span>
        <span className="mr-2 font-mono font-bold">{machine.tag}</span>
        {machine.name}
      </span>
      <span className="max-lg:col-span-2">{tasks.map(nameOf).join(" · ")}</span>
      <span className="text-quiet">{changeWords(change, today)}</span>
      <span className="text-right text-quiet tabular-nums">
        {minutes > 0 && hoursWords(minutes / MINUTES_AN_HOUR)}
      </span>
      <span className="text-right text-quiet tabular-nums max-lg:col-start-2 max-lg:empty:hidden">
        {changeMoreWords(change, currency)}
      </span>
    </li>
  );
}
