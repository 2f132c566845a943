import type { BoardMachine, DayNumber } from "@yonderfell/core";
import { standingOf } from "../../words/standingWords.js";
import type { ReachScale } from "./reachScale.js";

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
/** The line that begins a round. */
const ROUND = 1;
const NAME = { wide: 190, letter: 7.6, tagLetter: 13, line: 20, fine: 21, room: 18 } as const;

/** About how high the name of a machine is with what stands under it, in pixels, beside its strips. */
function nameHeight({ machine, meters }: BoardMachine, standing: string): number {
  const lines = Math.ceil(
    (machine.name.length * NAME.letter + machine.tag.length * NAME.tagLetter) / (NAME.wide - 30),
  );
  const stop = standing === "" ? 0 : Math.ceil(standing.length / 24) + 1;
  return (
    NAME.room + Math.max(28, lines * NAME.line + 8) + (meters.length + stop + ROUND) * NAME.fine
  );
}

/** The room under the last strip of a bundle, so that the name beside them has its own. */
export function roomAfter(machine: BoardMachine, look: BundleLook): number {
  if (look.isNarrow || !look.isNamed) return STRIP.after;
  const count = machine.tasks.length + machine.findings.length;
  const strips = STRIP.before + STRIP.wide * count;
  const name = nameHeight(machine, standingOf(machine, look.today));
  return Math.max(STRIP.after, name - strips);
}
