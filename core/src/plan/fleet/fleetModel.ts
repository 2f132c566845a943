import type { FleetAnswer } from "./fleetAnswer.js";
import { at, FleetGrid, range, type GridAnswer } from "./fleetGrid.js";
import type { FleetProblem } from "./fleetProblem.js";

const MINUTES_AN_HOUR = 60;

/**
 * A fleet problem as a mixed-integer program in columns, as solvers take it: least `offset + cost · x` with
 * `rowLower ≤ A x ≤ rowUpper`. Its objective is what sharing the weeks costs, in the book's money; hours, not minutes.
 */
export interface FleetModel {
  readonly numCols: number;
  readonly numRows: number;
  readonly offset: number;
  readonly colCost: Float64Array;
  readonly colLower: Float64Array;
  readonly colUpper: Float64Array;
  readonly rowLower: Float64Array;
  readonly rowUpper: Float64Array;
  /** 1 where a column is whole. */
  readonly integrality: Int32Array;
  readonly matrix: {
    readonly format: "csc";
    readonly numRows: number;
    readonly numCols: number;
    readonly starts: Int32Array;
    readonly indices: Int32Array;
    readonly values: Float64Array;
  };
}

/** A model, and the way from answers to its columns and back. */
export interface FleetMilp {
  readonly model: FleetModel;
  /** The values of all columns for an answer. */
  readonly columnsOf: (answer: FleetAnswer) => Float64Array;
  /** The answer that some values stand for: of each machine the option nearest to 1, of each block the choice. */
  readonly answerOf: (columns: Float64Array) => FleetAnswer;
}

/** A column as it is gathered. */
interface Column {
  readonly cost: number;
  readonly isWhole: boolean;
  readonly rows: readonly (readonly [row: number, value: number])[];
}

/**
 * The model of a fleet problem (docs/fleet-plan.md). Columns: for every option one that says whether it is taken, for every
 * choice of a week one that says whether its block is done there, for every pool and week the hours over. Rows: one option
 * a machine; of each block of it one choice; in every pool and week what is done there less the hours over is no more than there is.
 */
export function fleetMilp(problem: FleetProblem): FleetMilp {
  const grid = new FleetGrid(problem);
  const options = grid.blockStart.length - 1;
  const blocks = grid.choiceStart.length - 1;
  const choices = grid.choiceWeek.length;
  const places = grid.there.length;
  // Rows: machines, then blocks, then pools by week.
  const blockRow = grid.machines;
  const placeRow = blockRow + blocks;
  const columns: Column[] = [
    ...optionColumns(grid, blockRow),
    ...choiceColumns(grid, blockRow, placeRow),
    ...Array.from({ length: places }, (_, place): Column => ({
      cost: grid.overMinute * MINUTES_AN_HOUR,
      isWhole: false,
      rows: [[placeRow + place, -1]],
    })),
  ];
  const fixed = (value: number, count: number): number[] => new Array<number>(count).fill(value);
  const there = Array.from(grid.there, (minutes) => minutes / MINUTES_AN_HOUR);
  const rowUpper = Float64Array.from([...fixed(1, grid.machines), ...fixed(0, blocks), ...there]);
  const rowLower = rowUpper.map((upper, row) => (row < placeRow ? upper : -Infinity));
  return {
    model: modelOf(columns, rowLower, rowUpper, -grid.alone),
    columnsOf: (answer) => {
      const values = new Float64Array(columns.length);
      const chosen = grid.gridAnswer(answer);
      const loads = new Float64Array(places);
      for (const option of chosen.option) {
        values[option] = 1;
        for (const block of range(grid.blockStart, option)) {
          const choice = at(chosen.choice, block);
          values[options + choice] = 1;
          for (const use of range(grid.useStart, block)) {
            const place = at(grid.usePool, use) * grid.weeks + at(grid.choiceWeek, choice);
            loads[place] = at(loads, place) + at(grid.useMinutes, use);
          }
        }
      }
      for (const [place, load] of loads.entries()) {
        values[options + choices + place] =
          Math.max(0, load - at(grid.there, place)) / MINUTES_AN_HOUR;
      }
      return values;
    },
    answerOf: (values) => grid.answerOf(chosenBy(grid, values, options)),
  };
}

function optionColumns(grid: FleetGrid, blockRow: number): Column[] {
  return range(Int32Array.of(0, grid.machines), 0).flatMap((machine) =>
    range(grid.optionStart, machine).map((option): Column => ({
      cost: 0,
      isWhole: true,
      rows: [
        [machine, 1],
        ...range(grid.blockStart, option).map((block) => [blockRow + block, -1] as const),
      ],
    })),
  );
}

function choiceColumns(grid: FleetGrid, blockRow: number, placeRow: number): Column[] {
  const blocks = range(Int32Array.of(0, grid.choiceStart.length - 1), 0);
  return blocks.flatMap((block) =>
    range(grid.choiceStart, block).map((choice): Column => ({
      cost: at(grid.choiceCost, choice),
      isWhole: true,
      rows: [
        [blockRow + block, 1],
        ...range(grid.useStart, block).map((use) => {
          const place = at(grid.usePool, use) * grid.weeks + at(grid.choiceWeek, choice);
          return [placeRow + place, at(grid.useMinutes, use) / MINUTES_AN_HOUR] as const;
        }),
      ],
    })),
  );
}

function modelOf(
  columns: readonly Column[],
  rowLower: Float64Array,
  rowUpper: Float64Array,
  offset: number,
): FleetModel {
  const entries = columns.flatMap(({ rows }) => rows);
  const starts = new Int32Array(columns.length + 1);
  columns.forEach(({ rows }, index) => {
    starts[index + 1] = at(starts, index) + rows.length;
  });
  const [numCols, numRows] = [columns.length, rowUpper.length];
  return {
    ...{ numCols, numRows, offset, rowLower, rowUpper },
    colCost: Float64Array.from(columns, ({ cost }) => cost),
    colLower: new Float64Array(numCols),
    colUpper: Float64Array.from(columns, ({ isWhole }) => (isWhole ? 1 : Infinity)),
    integrality: Int32Array.from(columns, ({ isWhole }) => Number(isWhole)),
    matrix: {
      format: "csc",
      ...{ numCols, numRows, starts },
      indices: Int32Array.from(entries, ([row]) => row),
      values: Float64Array.from(entries, ([, value]) => value),
    },
  };
}

/** The place of the greatest of some values. */
function greatest(values: Float64Array, places: readonly number[], shift: number): number {
  const [first = 0] = places;
  return places.reduce(
    (best, place) => (at(values, shift + place) > at(values, shift + best) ? place : best),
    first,
  );
}

function chosenBy(grid: FleetGrid, values: Float64Array, options: number): GridAnswer {
  const chosen = grid.empty();
  for (let machine = 0; machine < grid.machines; machine += 1) {
    const option = greatest(values, range(grid.optionStart, machine), 0);
    chosen.option[machine] = option;
    for (const block of range(grid.blockStart, option)) {
      chosen.choice[block] = greatest(values, range(grid.choiceStart, block), options);
    }
  }
  return chosen;
}
