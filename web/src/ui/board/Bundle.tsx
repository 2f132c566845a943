import type { BoardMachine, FindingReckoning, TaskReckoning } from "@yonderfell/core";
import { memo, type ReactElement } from "react";
import { Link } from "react-router";
import { roomAfter, STRIP, type BundleLook } from "./bundleLook.js";
import { beginRoundPath } from "../../words/beginRoundPath.js";
import { FindingRow } from "./FindingRow.js";
import { MeterLine } from "./MeterLine.js";
import { Standing } from "../Standing.js";
import { StripRow } from "./StripRow.js";

/** Where a bundle stands in a long list: the place of its first row in sight, whether that is its name, and what measures rows. */
interface Measured {
  readonly first: number;
  readonly beginsWithName: boolean;
  readonly measure: (element: Element | null) => void;
}

interface BundleProps {
  readonly machine: BoardMachine;
  /** In the order they are drawn; the first may not be the machine's first, nor the last its last. */
  readonly tasks: readonly TaskReckoning[];
  /** What was found on it, after them. */
  readonly findings: readonly FindingReckoning[];
  readonly look: BundleLook;
  /** The places of the strips in a long list. */
  readonly measured?: Measured | undefined;
}

/** The strips of a machine under its tag, or the part of them that is in sight. */
export const Bundle = memo(function Bundle({
  machine,
  tasks,
  findings,
  look,
  measured,
}: BundleProps): ReactElement {
  const { isNarrow, isNamed } = look;
  const heading = `bundle-${tasks[0]?.task.id ?? machine.machine.id}`;
  const isEmpty = machine.tasks.length + machine.findings.length === 0;
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
      <Strips {...{ machine, tasks, findings, look, measured, first: strips }} />
      {isEmpty && (
        <div
          data-index={measured === undefined ? undefined : strips}
          ref={measured?.measure}
          style={{ height: roomAfter(machine, look) + STRIP.before }}
        />
      )}
    </section>
  );
});

/** The strips of tasks and, after them, of findings. */
function Strips({
  machine,
  tasks,
  findings,
  look,
  measured,
  first,
}: BundleProps & { readonly first: number }): ReactElement {
  const { isNarrow } = look;
  const all: readonly unknown[] = [...machine.tasks, ...machine.findings];
  return (
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
          index={measured === undefined ? undefined : first + at}
          measure={measured?.measure}
        />
      ))}
      {findings.map((finding, at) => (
        <FindingRow
          key={finding.finding.id}
          finding={finding}
          look={look}
          before={finding === all[0] ? STRIP.before : 0}
          after={finding === all.at(-1) ? roomAfter(machine, look) : 0}
          index={measured === undefined ? undefined : first + tasks.length + at}
          measure={measured?.measure}
        />
      ))}
    </ul>
  );
}

function BundleName({
  id,
  machine,
  look: { today, isGrouped, isNarrow, isOnPaper },
}: {
  readonly id: string;
  readonly machine: BoardMachine;
  readonly look: BundleLook;
}): ReactElement {
  const { tag, name, id: machineId } = machine.machine;
  const Heading = isGrouped ? "h3" : "h2";
  const round = (
    <Link
      to={beginRoundPath(machineId)}
      aria-label={`Begin a round of ${tag}`}
      className={`flex items-center text-clear print:hidden ${isNarrow ? "min-h-12 shrink-0 pl-3" : "w-fit text-fine hover:underline"}`}
    >
      {isNarrow ? "Round" : "Begin a round"}
    </Link>
  );
  return (
    <div className={`pt-2 ${isNarrow ? "flex flex-wrap justify-between" : ""}`}>
      <Heading id={id} className="leading-tight font-bold">
        <Link
          to={`/yard/${encodeURIComponent(machineId)}`}
          className="flex items-baseline gap-2.5 hover:underline max-sm:min-h-12 max-sm:items-center"
        >
          <span className="font-mono text-xl font-extrabold">{tag}</span>
          <span>{name}</span>
        </Link>
      </Heading>
      {isNarrow && round}
      <div className="w-full">
        <MeterLine machine={machine} />
        <Standing machine={machine} today={today} />
      </div>
      {!isNarrow && !isOnPaper && round}
    </div>
  );
}
