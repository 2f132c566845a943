import {
  daysBetween,
  formatDay,
  parseDay,
  valueIn,
  type DayNumber,
  type JourneyPlan,
  type Machine,
  type Quantity,
  type TaskId,
} from "@yonderfell/core";
import { CalendarPlus } from "lucide-react";
import { useRef, useState, type ReactElement } from "react";
import { PRIMARY_BUTTON } from "../../../ui/buttons.js";
import { SelectField } from "../../../ui/fields.js";
import { counted } from "../../../words/format.js";
import {
  fluidAlongWords,
  journeyIssueWords,
  journeyOilWords,
  journeyRunWords,
  partAlongWords,
} from "../../../words/journeyWords.js";
import { weekdayDate } from "../../../words/visitWords.js";
import { useTaskNames } from "../visits/useTaskNames.js";
import { JourneyWork } from "./JourneyWork.js";
import { useJourneyVisit } from "./useJourneyVisit.js";

/** So many days before departure are offered for the visit. */
const DAYS_OFFERED = 30;

interface JourneyPanelProps {
  readonly plan: JourneyPlan;
  readonly machine: Machine;
  /** The number of the last record of the machine's log. */
  readonly since: number | null;
  readonly today: DayNumber;
  readonly onChoose: (day: DayNumber) => void;
}

/** What a journey asks of its machine: work before it, work on the way, and what speaks against departure. */
export function JourneyPanel(props: JourneyPanelProps): ReactElement {
  const { plan, machine, today } = props;
  const meters = machine.meters ?? [];
  const meterOf = (id: string) => meters.find((meter) => meter.id === id);
  // Ticked or not by hand; by the advice where it is not said.
  const [said, setSaid] = useState<ReadonlyMap<TaskId, boolean>>(new Map());
  const held = new Set(plan.inVisits.map(({ task }) => task));
  const isTicked = (task: TaskId): boolean => {
    const advice = plan.tasks.find((one) => one.task === task)?.advice;
    return said.get(task) ?? (advice === "must" || advice === "before");
  };
  const chosen = plan.tasks.filter(
    ({ task, advice }) => advice !== "on-the-way" && !held.has(task) && isTicked(task),
  );
  return (
    <div className="ml-7 space-y-4 pb-4 max-sm:ml-0">
      {plan.issues.length > 0 && (
        <ul className="border-l-4 border-due pl-4">
          {plan.issues.map((issue) => (
            <li key={JSON.stringify(issue)} className="max-w-[80ch] font-semibold">
              {journeyIssueWords(issue, meterOf, today)}
            </li>
          ))}
        </ul>
      )}
      <JourneyWork
        {...{ plan, today, isTicked }}
        onTick={(task, isOn) => setSaid(new Map(said).set(task, isOn))}
      />
      <VisitBefore
        {...props}
        tasks={chosen.map(({ task }) => task)}
        onKept={() => setSaid(new Map())}
      />
      <Beside {...props} />
    </div>
  );
}

function VisitBefore({
  plan,
  machine,
  since,
  today,
  onChoose,
  tasks,
  onKept,
}: JourneyPanelProps & {
  readonly tasks: readonly TaskId[];
  readonly onKept: () => void;
}): ReactElement | null {
  const { keep, failure } = useJourneyVisit(machine, since, plan);
  const place = useRef<HTMLDivElement>(null);
  const { spare, visitOn, days } = plan;
  if (visitOn === null) return null;
  const offered = spare.slice(-DAYS_OFFERED).reverse();
  const clear = (day: DayNumber): string => {
    const left = daysBetween(day, days.departs) - 1;
    return left === 0 ? "the day before departure" : `${counted(left, "day")} kept clear`;
  };
  const put = async (): Promise<void> => {
    if (!(await keep(tasks, visitOn))) return;
    onKept();
    // The button goes with what it did.
    place.current?.querySelector("select")?.focus();
  };
  return (
    <div ref={place} className="flex flex-wrap items-end gap-x-4 gap-y-2 print:hidden">
      <div className="w-80 max-w-full">
        <SelectField<string>
          label="Visit before departure"
          value={formatDay(visitOn)}
          choices={offered.map((day) => [
            formatDay(day),
            `${weekdayDate(day, today)}, ${clear(day)}`,
          ])}
          onChange={(text) => onChoose(parseDay(text) ?? visitOn)}
        />
      </div>
      {tasks.length > 0 && (
        <button type="button" className={PRIMARY_BUTTON} onClick={() => void put()}>
          <CalendarPlus size={18} aria-hidden="true" />
          {`Put a visit of ${counted(tasks.length, "job")} in the book`}
        </button>
      )}
      <p role="alert" className="text-overdue empty:hidden">
        {failure}
      </p>
    </div>
  );
}

const celsius = (quantity: Quantity | null | undefined): number | null =>
  quantity ? valueIn(quantity, "degC") : null;

/** What else there is to know: what to take along, each use, the oils, how far it runs. */
function Beside({ plan }: JourneyPanelProps): ReactElement {
  const nameOf = useTaskNames();
  const { along, eachUse, oils, runs, journey } = plan;
  const taken = [...along.parts.map(partAlongWords), ...along.fluids.map(fluidAlongWords)];
  const weather = [celsius(journey.coldest), celsius(journey.hottest)] as const;
  const lines: readonly (readonly [string, readonly string[]])[] = [
    ["Take along for it", taken],
    ["With each use", eachUse.map(nameOf)],
    ["Oil and weather", oils.map((oil) => journeyOilWords(oil, ...weather))],
    ["How far it runs", runs.map(journeyRunWords)],
    ["Note", journey.note ? [journey.note] : []],
    [
      "Mind",
      [
        "The handbook and the plates on machine and trailer decide what it may carry and tow. Set tyre pressures for the load, torque wheels that were off again, and try the brakes before departure.",
      ],
    ],
  ];
  return (
    <dl className="grid gap-x-6 gap-y-1.5 sm:grid-cols-[10rem_1fr]">
      {lines
        .filter(([, said]) => said.length > 0)
        .map(([title, said]) => (
          <div key={title} className="contents">
            <dt className="text-quiet">{title}</dt>
            <dd className="max-w-[80ch]">
              {said.map((words) => (
                <p key={words}>{words}</p>
              ))}
            </dd>
          </div>
        ))}
    </dl>
  );
}
