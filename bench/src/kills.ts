import { seededRandom } from "@yonderfell/demo/random";
import { killTrial, type Doing } from "../../e2e/kills.js";
import { POURS } from "../../e2e/pours.js";
import { READINGS } from "../../e2e/readings.js";

const SEED = 4711;
const KILLS = 30;
/** Saving takes some tens of milliseconds: the moments lie before, within and after it. */
const WITHIN_MS = 90;

/** Kills browsers in the middle of saving, and says what of the book was lost, doubled or harmed. */
export async function tryKills(): Promise<void> {
  await kill("work that is logged");
  await kill("taps of a running job", POURS);
  await kill("readings of a round under way", READINGS);
}

async function kill(what: string, doing?: Doing): Promise<void> {
  const random = seededRandom(SEED);
  const moments = Array.from({ length: KILLS }, () => ({ afterMs: random() * WITHIN_MS }));
  const { made, saved, lost, doubled, faults } = await killTrial(moments, doing);
  const bad = lost.length + doubled.length + faults.length;
  console.log(
    `${what}, killed ${KILLS} times (seed ${SEED}): ${made} changes pressed, ${saved} said to be saved; lost ${lost.length}, doubled ${doubled.length}, faults ${faults.length}${bad > 0 ? "  BAD" : ""}`,
  );
  for (const line of [...lost, ...doubled, ...faults]) console.log(`  ${line}`);
}
