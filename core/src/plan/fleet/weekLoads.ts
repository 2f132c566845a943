import { at, type FleetGrid, type GridAnswer } from "./fleetGrid.js";

/** What an answer asks of each pool in each week, kept up as single blocks are moved about. */
export class WeekLoads {
  private readonly loads: Float64Array;

  constructor(private readonly grid: FleetGrid) {
    this.loads = new Float64Array(grid.pools * grid.weeks);
  }

  /** Fills it from an answer, anew. */
  fill({ option, choice }: GridAnswer): void {
    this.loads.fill(0);
    const { blockStart, machines, choiceWeek } = this.grid;
    for (let machine = 0; machine < machines; machine += 1) {
      const own = at(option, machine);
      for (let block = at(blockStart, own); block < at(blockStart, own + 1); block += 1) {
        this.put(block, at(choiceWeek, at(choice, block)), 1);
      }
    }
  }

  /** Puts a block into a week (`sign` 1) or takes it out (−1), and answers what hours over cost more by it. */
  put(block: number, week: number, sign: 1 | -1): number {
    const more = this.moreBy(block, week, sign);
    const { useStart, usePool, useMinutes, weeks } = this.grid;
    for (let use = at(useStart, block); use < at(useStart, block + 1); use += 1) {
      const place = at(usePool, use) * weeks + week;
      this.loads[place] = at(this.loads, place) + sign * at(useMinutes, use);
    }
    return more;
  }

  /** What hours over would cost more with a block in a week, or without it. */
  moreBy(block: number, week: number, sign: 1 | -1): number {
    const { useStart, usePool, useMinutes, weeks, there, overMinute } = this.grid;
    let more = 0;
    for (let use = at(useStart, block); use < at(useStart, block + 1); use += 1) {
      const place = at(usePool, use) * weeks + week;
      const before = at(this.loads, place) - at(there, place);
      const after = before + sign * at(useMinutes, use);
      more += Math.max(0, after) - Math.max(0, before);
    }
    return more * overMinute;
  }

  /** Minutes over in each place; less than nothing where there is room. */
  overIn(place: number): number {
    return at(this.loads, place) - at(this.grid.there, place);
  }

  /** What all hours over cost. */
  overCost(): number {
    const { there, overMinute } = this.grid;
    let sum = 0;
    for (let place = 0; place < there.length; place += 1) sum += Math.max(0, this.overIn(place));
    return sum * overMinute;
  }
}
