import {
  dayOf,
  type DayNumber,
  type JourneyAdvice,
  type JourneyPlan,
  type JourneyTask,
  type TaskId,
} from "@yonderfell/core";
import type { ReactElement, ReactNode } from "react";
import {
  atReturnWords,
  earlyWords,
  fallsDueWords,
  timesWords,
  waitingWords,
} from "../../../words/journeyWords.js";
import { weekdayDate } from "../../../words/visitWords.js";
import { useCurrency } from "../../shared/currency/useCurrency.js";
import { useTaskNames } from "../visits/useTaskNames.js";

const GROUPS: readonly {
  readonly title: string;
  readonly advice: readonly JourneyAdvice[];
}[] = [
  { title: "Due before the visit anyway", advice: ["anyway"] },
  { title: "Before departure", advice: ["must", "before"] },
  { title: "Can wait until return", advice: ["wait"] },
  { title: "On the way", advice: ["on-the-way"] },
];

interface JourneyWorkProps {
  readonly plan: JourneyPlan;
  readonly today: DayNumber;
  readonly isTicked: (task: TaskId) => boolean;
  readonly onTick: (task: TaskId, isOn: boolean) => void;
}

const LEFT_TITLE = "Left until return";

/** The title over what comes of doing work on the visit before. */
function doneTitle({ visitOn }: JourneyPlan, today: DayNumber): string {
  return visitOn === null ? "Done before" : `Done on ${weekdayDate(visitOn, today)}`;
}

/** The work a journey brings up, under what is best done about it. */
export function JourneyWork(props: JourneyWorkProps): ReactElement {
  const { plan, today } = props;
  if (plan.tasks.length === 0) return <p>Nothing falls due before it or on the way.</p>;
  return (
    <div
      className="overflow-x-auto"
      tabIndex={0}
      role="region"
      aria-label="Work the journey brings up"
    >
      <table className="w-full border-collapse text-left max-sm:block">
        <thead className="max-sm:sr-only">
          <tr className="text-fine text-quiet">
            {["Task", "Falls due", doneTitle(plan, today), LEFT_TITLE].map((title) => (
              <th key={title} scope="col" className="border-b border-rule py-1.5 pr-5 font-medium">
                {title}
              </th>
            ))}
          </tr>
        </thead>
        {GROUPS.map(({ title, advice }) => (
          <Group key={title} {...props} title={title} tasks={withAdvice(plan, advice)} />
        ))}
      </table>
    </div>
  );
}

const withAdvice = ({ tasks }: JourneyPlan, wanted: readonly JourneyAdvice[]): JourneyTask[] =>
  tasks.filter(({ advice }) => wanted.includes(advice));

function Group({
  title,
  tasks,
  ...props
}: JourneyWorkProps & {
  readonly title: string;
  readonly tasks: readonly JourneyTask[];
}): ReactElement | null {
  if (tasks.length === 0) return null;
  return (
    <tbody className="max-sm:block">
      <tr>
        <th scope="rowgroup" colSpan={4} className="pt-3 pb-1 font-bold">
          {title}
        </th>
      </tr>
      {tasks.map((task) => (
        <Row key={task.task} {...props} task={task} />
      ))}
    </tbody>
  );
}

const CELL =
  "border-t border-hairline py-1.5 pr-5 align-top max-sm:block max-sm:border-t-0 max-sm:py-0.5 max-sm:pr-0";

/** What a cell says, with the title of its column where the titles are out of sight. */
function Said({
  title,
  children,
}: {
  readonly title: string;
  readonly children: ReactNode;
}): ReactElement {
  return (
    <td className={CELL}>
      <span className="text-quiet sm:hidden">{title}: </span>
      {children}
    </td>
  );
}

function Row({
  task,
  plan,
  today,
  isTicked,
  onTick,
}: JourneyWorkProps & { readonly task: JourneyTask }): ReactElement {
  const currency = useCurrency();
  const name = useTaskNames()(task.task);
  const held = plan.inVisits.find((one) => one.task === task.task);
  const isOnTheWay = task.advice === "on-the-way";
  const isTooLate = task.limit.due.limit.hard && plan.visitOn !== null && task.day < plan.visitOn;
  const canTick = !isOnTheWay && held === undefined && plan.visitOn !== null;
  return (
    <tr className="max-sm:block max-sm:border-t max-sm:border-hairline max-sm:py-1">
      <th scope="row" className={`${CELL} font-semibold`}>
        <label className="flex items-center gap-2.5 max-sm:min-h-12">
          {canTick && (
            <input
              type="checkbox"
              className="size-4.5 shrink-0 accent-(--clear)"
              checked={isTicked(task.task)}
              onChange={({ target }) => onTick(task.task, target.checked)}
            />
          )}
          {name}
        </label>
        {task.isOutside && (
          <span className="block text-fine font-normal text-quiet">for others to do: book it</span>
        )}
      </th>
      <Said title="Falls due">
        {fallsDueWords(task, today)}
        <span className="block text-fine text-quiet">{atReturnWords(task.limit)}</span>
      </Said>
      <Said title={doneTitle(plan, today)}>
        {isOnTheWay ? (
          "due again on the way"
        ) : held === undefined ? (
          <span className={isTooLate ? "font-semibold text-overdue" : ""}>
            {earlyWords(task, plan.visitOn, currency)}
          </span>
        ) : (
          `in the visit of ${weekdayDate(dayOf(held.visit.date), today)}`
        )}
      </Said>
      <Said title={LEFT_TITLE}>
        {isOnTheWay ? timesWords(task, today) : waitingWords(task, currency)}
      </Said>
    </tr>
  );
}
