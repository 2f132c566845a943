import { costAlone, type FleetAnswer } from "./fleetAnswer.js";
import type { FleetProblem } from "./fleetProblem.js";

/**
 * A fleet problem as columns of numbers, for going over all of its choices thousands of times. Options, blocks, choices
 * and uses each stand one after the other; what belongs to one lies between two neighbouring starts.
 */
export class FleetGrid {
  readonly machines: number;
  readonly weeks: number;
  readonly pools: number;
  /** Minutes there are, pool by pool, week by week. */
  readonly there: Float64Array;
  readonly overMinute: number;
  /** The first option of each machine, the first block of each option, and so on; one more at the end of each. */
  readonly optionStart: Int32Array;
  readonly blockStart: Int32Array;
  readonly choiceStart: Int32Array;
  readonly useStart: Int32Array;
  readonly choiceWeek: Int32Array;
  readonly choiceCost: Float64Array;
  readonly usePool: Int32Array;
  readonly useMinutes: Float64Array;
  /** What all machines cost by themselves. */
  readonly alone: number;

  constructor(problem: FleetProblem) {
    const { machines, pools, weeks, overMinute } = problem;
    const options = machines.flatMap((machine) => machine.options);
    const blocks = options.flatMap((option) => option.blocks);
    const choices = blocks.flatMap((block) => block.choices);
    const uses = blocks.flatMap((block) => block.uses);
    this.machines = machines.length;
    this.weeks = weeks.length;
    this.pools = pools.length;
    this.there = Float64Array.from(pools.flatMap(({ minutes }) => minutes));
    this.overMinute = overMinute;
    this.optionStart = startsOf(machines.map((machine) => machine.options.length));
    this.blockStart = startsOf(options.map((option) => option.blocks.length));
    this.choiceStart = startsOf(blocks.map((block) => block.choices.length));
    this.useStart = startsOf(blocks.map((block) => block.uses.length));
    this.choiceWeek = Int32Array.from(choices, ({ week }) => week);
    this.choiceCost = Float64Array.from(choices, ({ cost }) => cost);
    this.usePool = Int32Array.from(uses, ([pool]) => pool);
    this.useMinutes = Float64Array.from(uses, ([, minutes]) => minutes);
    this.alone = costAlone(problem);
  }

  /** An answer as the places of its choices, as the problem has it. */
  answerOf({ option, choice }: GridAnswer): FleetAnswer {
    return Array.from(option, (own, machine) => {
      const blocks = range(this.blockStart, own);
      return {
        option: own - at(this.optionStart, machine),
        choices: blocks.map((block) => at(choice, block) - at(this.choiceStart, block)),
      };
    });
  }

  /** The same the other way. */
  gridAnswer(answer: FleetAnswer): GridAnswer {
    const found = this.empty();
    answer.forEach(({ option, choices }, machine) => {
      const own = at(this.optionStart, machine) + option;
      found.option[machine] = own;
      range(this.blockStart, own).forEach((block, index) => {
        found.choice[block] = at(this.choiceStart, block) + (choices[index] ?? 0);
      });
    });
    return found;
  }

  /** An answer that says nothing yet. */
  empty(): GridAnswer {
    return {
      option: Int32Array.from(this.optionStart.subarray(0, this.machines)),
      choice: Int32Array.from(this.choiceStart.subarray(0, this.choiceStart.length - 1)),
    };
  }
}

/** For every machine the place of its option, for every block (also of options not chosen) that of a choice. */
export interface GridAnswer {
  readonly option: Int32Array;
  readonly choice: Int32Array;
}

/** A number of a column that is known to be there. */
export const at = (column: Int32Array | Float64Array, place: number): number =>
  column[place] as number;

/** The places between two neighbouring starts. */
export function range(starts: Int32Array, place: number): number[] {
  const from = at(starts, place);
  return Array.from({ length: at(starts, place + 1) - from }, (_, index) => from + index);
}

function startsOf(lengths: readonly number[]): Int32Array {
  const starts = new Int32Array(lengths.length + 1);
  lengths.forEach((length, index) => {
    starts[index + 1] = at(starts, index) + length;
  });
  return starts;
}
