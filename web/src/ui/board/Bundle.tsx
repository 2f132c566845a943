import type { BoardMachine, DayNumber, TaskReckoning } from "@yonderfell/core";
import { memo, type ReactElement } from "react";
import { Link } from "react-router";
import { standingOf } from "../../words/standingWords.js";
import { MeterLine } from "./MeterLine.js";
import type { ReachScale } from "./reachScale.js";
import { Standing } from "../Standing.js";
import { StripRow } from "./StripRow.js";

/** Where a bundle stands in a long list: the place of its first row in sight, whether that is its name, and what measures rows. */
export interface Measured {
  readonly first: number;
  readonly beginsWithName: boolean;
  readonly measure: (element: Element | null) => void;
}

/** How a bundle is drawn, the same for all of a board. */
export interface BundleLook {
  readonly today: DayNumber;
  readonly scale: ReachScale;
  /** On a narrow screen names stand over the strips instead of beside them. */
  readonly isNarrow: boolean;
  /** Whether a bundle stands under its machine's tag. */
  readonly isNamed: boolean;
  /** Whether there are headings over the machines' own. */
  readonly isGrouped: boolean;
  /** Whether it is drawn for paper, where nothing is pressed. */
  readonly isOnPaper?: boolean;
}

/** The height of a strip, and the room over the first and under the last of a bundle, in pixels. */
export const STRIP = { wide: 34, narrow: 84, before: 4, after: 10 } as const;
const NAME = { wide: 190, letter: 7.6, tagLetter: 13, line: 20, fine: 21, room: 18 } as const;

/** About how high the name of a machine is with what stands under it, in pixels, beside its strips. */
function nameHeight({ machine, meters }: BoardMachine, standing: string): number {
  const lines = Math.ceil(
    (machine.name.length * NAME.letter + machine.tag.length * NAME.tagLetter) / (NAME.wide - 30),
  );
  const stop = standing === "" ? 0 : Math.ceil(standing.length / 24) + 1;
  return NAME.room + Math.max(28, lines * NAME.line + 8) + (meters.length + stop) * NAME.fine;
}

/** The room under the last strip of a bundle, so that the name beside them has its own. */
export function roomAfter(machine: BoardMachine, look: BundleLook): number {
  if (look.isNarrow || !look.isNamed) return STRIP.after;
  const strips = STRIP.before + STRIP.wide * machine.tasks.length;
  const name = nameHeight(machine, standingOf(machine, look.today));
  return Math.max(STRIP.after, name - strips);
}

/** The strips of a machine under its tag, or the part of them that is in sight. */
export const Bundle = memo(function Bundle({
  machine,
  tasks,
  look,
  measured,
}: {
  readonly machine: BoardMachine;
  /** In the order they are drawn; the first may not be the machine's first, nor the last its last. */
  readonly tasks: readonly TaskReckoning[];
  readonly look: BundleLook;
  /** The places of the strips in a long list. */
  readonly measured?: Measured;
}): ReactElement {
  const { isNarrow, isNamed } = look;
  const heading = `bundle-${tasks[0]?.task.id ?? machine.machine.id}`;
  const all = machine.tasks;
  const isNameShown = isNamed && (!isNarrow || measured === undefined || measured.beginsWithName);
  const strips = measured === undefined ? 0 : measured.first + Number(measured.beginsWithName);
  return (
    <section
      aria-labelledby={isNameShown ? heading : undefined}
      className={`shadow-[0_-1px_0_var(--rule)] ${isNarrow ? "" : "flex"}`}
    >
      {isNameShown && (
        <div
          className={isNarrow ? "" : "sticky top-7 h-0 w-48 shrink-0 self-start pr-3"}
          data-index={measured?.beginsWithName === true ? measured.first : undefined}
          ref={measured?.beginsWithName === true ? measured.measure : undefined}
        >
          <BundleName id={heading} machine={machine} look={look} />
        </div>
      )}
      <ul className="min-w-0 flex-1">
        {tasks.map((task, at) => (
          <StripRow
            key={task.task.id}
            task={task}
            machine={machine}
            scale={look.scale}
            today={look.today}
            isNarrow={isNarrow}
            isOnPaper={look.isOnPaper}
            before={task === all[0] ? STRIP.before : 0}
            after={task === all.at(-1) ? roomAfter(machine, look) : 0}
            index={measured === undefined ? undefined : strips + at}
            measure={measured?.measure}
          />
        ))}
      </ul>
      {all.length === 0 && (
        <div
          data-index={measured === undefined ? undefined : strips}
          ref={measured?.measure}
          style={{ height: roomAfter(machine, look) + STRIP.before }}
        />
      )}
    </section>
  );
});

function BundleName({
  id,
  machine,
  look: { today, isGrouped },
}: {
  readonly id: string;
  readonly machine: BoardMachine;
  readonly look: BundleLook;
}): ReactElement {
  const { tag, name, id: machineId } = machine.machine;
  const Heading = isGrouped ? "h3" : "h2";
  return (
    <div className="pt-2">
      <Heading id={id} className="leading-tight font-bold">
        <Link
          to={`/yard/${encodeURIComponent(machineId)}`}
          className="flex items-baseline gap-2.5 hover:underline max-sm:min-h-12 max-sm:items-center"
        >
          <span className="font-mono text-xl font-extrabold">{tag}</span>
          <span>{name}</span>
        </Link>
      </Heading>
      <MeterLine machine={machine} />
      <Standing machine={machine} today={today} />
    </div>
  );
}
