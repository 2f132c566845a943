import { fullDiskTrial } from "../../e2e/fullDisk.js";

const TRIALS = 10;
/** So many changes are tried on each disk that refuses. */
const CHANGES = 3;

/** Fills the disk under a browser that is saving, and says what of what was said to be saved was lost. */
export async function tryFullDisks(): Promise<void> {
  let [made, saved, putBack] = [0, 0, 0];
  const bad: string[] = [];
  let how = "";
  for (let trial = 0; trial < TRIALS; trial += 1) {
    const one = await fullDiskTrial(CHANGES);
    how = one.how;
    made += one.made;
    saved += one.saved;
    putBack += one.isPutBack ? 1 : 0;
    bad.push(...one.lost, ...one.faults);
  }
  console.log(
    `${how}, ${TRIALS} times: ${made} changes pressed, ${saved} said to be saved; put back from the second trace ${putBack} times; lost or at fault ${bad.length}${bad.length > 0 ? "  BAD" : ""}`,
  );
  for (const line of bad) console.log(`  ${line}`);
}
