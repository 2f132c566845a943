import type { BoardMachine, DayNumber } from "@yonderfell/core";
import { memo, useMemo, type KeyboardEvent, type ReactElement } from "react";
import { Link } from "react-router";
import { inOrderOfDate } from "./boardOrder.js";
import { LongList } from "./LongList.js";
import { MeterLine } from "./MeterLine.js";
import { Standing } from "./Standing.js";
import { ReachAxis } from "./ReachAxis.js";
import { ReachPaints } from "./ReachStrip.js";
import { reachScale, USUAL_REACH, type Reach, type ReachScale } from "./reachScale.js";
import { StripRow } from "./StripRow.js";
import { useWidth } from "./useWidth.js";

/** Room beside the drawing: the machine, the name of the task, and the way to log it. */
const MACHINE_ROOM = 192;
const NAME_ROOM = 352;
const LOG_ROOM = 68;
const NARROW_BELOW = 820;

const idOf = (machine: BoardMachine): string => machine.machine.id;
/** About how high a bundle is, in pixels, until it is drawn. */
const wideHeight = ({ tasks }: BoardMachine): number => Math.max(72, 16 + 34 * tasks.length);
const narrowHeight = ({ tasks }: BoardMachine): number => 88 + 84 * tasks.length;

/** Up and down travel from strip to strip. */
function travel(event: KeyboardEvent<HTMLDivElement>): void {
  if (event.key !== "ArrowDown" && event.key !== "ArrowUp") return;
  const strips = [...event.currentTarget.querySelectorAll<HTMLElement>("[data-strip]")];
  const at = strips.findIndex((strip) => strip === document.activeElement);
  if (at < 0) return;
  event.preventDefault();
  strips[at + (event.key === "ArrowDown" ? 1 : -1)]?.focus();
}

/** The reach: one strip a task on a common today line, bundled by machine. */
export function ReachBoard({
  machines,
  today,
  namesMachines,
  reach = USUAL_REACH,
}: {
  readonly machines: readonly BoardMachine[];
  readonly today: DayNumber;
  /** Whether each bundle stands under its machine's tag; not on the machine's own page. */
  readonly namesMachines: boolean;
  /** How many days ahead it looks. */
  readonly reach?: Reach;
}): ReactElement {
  const [element, width] = useWidth<HTMLDivElement>();
  const isNarrow = width < NARROW_BELOW;
  const machineRoom = namesMachines ? MACHINE_ROOM : 0;
  const room = isNarrow ? width - LOG_ROOM : width - machineRoom - NAME_ROOM - LOG_ROOM;
  const scale = useMemo(() => reachScale(Math.max(room, 120), reach), [room, reach]);
  return (
    <div ref={element} onKeyDown={travel}>
      <ReachPaints />
      {width > 0 && (
        <>
          {!isNarrow && <ReachAxis scale={scale} left={machineRoom + NAME_ROOM} />}
          <LongList
            items={machines}
            keyOf={idOf}
            heightOf={isNarrow ? narrowHeight : wideHeight}
            draw={(machine) => (
              <Bundle
                machine={machine}
                today={today}
                scale={scale}
                isNarrow={isNarrow}
                isNamed={namesMachines}
              />
            )}
          />
        </>
      )}
    </div>
  );
}

const Bundle = memo(function Bundle({
  machine,
  today,
  scale,
  isNarrow,
  isNamed,
}: {
  readonly machine: BoardMachine;
  readonly today: DayNumber;
  readonly scale: ReachScale;
  readonly isNarrow: boolean;
  readonly isNamed: boolean;
}): ReactElement {
  const heading = `bundle-${machine.machine.id}`;
  return (
    <section
      aria-labelledby={isNamed ? heading : undefined}
      className={`border-t border-rule pb-1.5 ${isNarrow ? "" : "flex"}`}
    >
      {isNamed && <BundleName id={heading} machine={machine} today={today} isNarrow={isNarrow} />}
      <ul className="min-w-0 flex-1 py-1">
        {inOrderOfDate(machine.tasks).map((task) => (
          <StripRow
            key={task.task.id}
            task={task}
            machine={machine}
            scale={scale}
            today={today}
            isNarrow={isNarrow}
          />
        ))}
      </ul>
    </section>
  );
});

function BundleName({
  id,
  machine,
  today,
  isNarrow,
}: {
  readonly id: string;
  readonly machine: BoardMachine;
  readonly today: DayNumber;
  readonly isNarrow: boolean;
}): ReactElement {
  const { tag, name, id: machineId } = machine.machine;
  return (
    <div className={`shrink-0 ${isNarrow ? "pt-2" : "w-48 py-2 pr-3"}`}>
      <h2 id={id} className="leading-tight font-bold">
        <Link
          to={`/yard/${encodeURIComponent(machineId)}`}
          className="flex items-baseline gap-2.5 hover:underline max-sm:min-h-12 max-sm:items-center"
        >
          <span className="font-mono text-xl font-extrabold">{tag}</span>
          <span>{name}</span>
        </Link>
      </h2>
      <MeterLine machine={machine} />
      <Standing machine={machine} today={today} />
    </div>
  );
}
