import { useMemo, type ReactElement } from "react";
import type { BoardGroup } from "./boardGroup.js";
import { boardRows, runsOf, type BoardRow } from "./boardRows.js";
import { Bundle } from "./Bundle.js";
import { roomAfter, STRIP, type BundleLook } from "./bundleLook.js";
import { GroupTitle } from "./GroupTitle.js";
import { useWindowed } from "../useWindowed.js";

const GROUP_TITLE_HEIGHT = 54;
const NARROW_NAME_HEIGHT = 76;

/** About how high a row is until it is drawn, in pixels. */
function heightOf(row: BoardRow, look: BundleLook): number {
  if (row.code === "title") return GROUP_TITLE_HEIGHT;
  if (row.code === "name") return NARROW_NAME_HEIGHT;
  const { machine } = row;
  const shown = row.code === "strip" ? row.task : row.finding;
  const all = [...machine.tasks, ...machine.findings];
  const strip = shown === null ? 0 : look.isNarrow ? STRIP.narrow : STRIP.wide;
  const before = shown === (all[0] ?? null) ? STRIP.before : 0;
  const after = shown === (all.at(-1) ?? null) ? roomAfter(machine, look) : 0;
  return strip + before + after;
}

/** A long board, of which only the strips in sight are drawn. */
export default function WindowedBoard({
  groups,
  look,
}: {
  readonly groups: readonly BoardGroup[];
  readonly look: BundleLook;
}): ReactElement {
  const hasNameRows = look.isNarrow && look.isNamed;
  const rows = useMemo(() => boardRows(groups, hasNameRows), [groups, hasNameRows]);
  const { list, shown, height, before, measure } = useWindowed<BoardRow, HTMLDivElement>(
    rows,
    ({ key }) => key,
    (row) => heightOf(row, look),
  );
  const runs = runsOf(rows, shown[0]?.index ?? 0, shown.at(-1)?.index ?? -1);
  return (
    // Moved down by its padding rather than by a transform, so that names can stick in sight.
    <div ref={list} style={{ height, paddingTop: before, boxSizing: "border-box" }}>
      {runs.map((run) =>
        run.code === "title" ? (
          <div key={run.key} data-index={run.first} ref={measure}>
            <GroupTitle title={run.title} />
          </div>
        ) : (
          <Bundle
            key={run.key}
            machine={run.machine}
            tasks={run.tasks}
            findings={run.findings}
            look={look}
            measured={{ first: run.first, beginsWithName: run.beginsWithName, measure }}
          />
        ),
      )}
    </div>
  );
}
