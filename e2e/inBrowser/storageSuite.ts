import { JestAsymmetricMatchers, JestChaiExpect, JestExtend } from "@vitest/expect";
import * as chai from "chai";
import { DexieStorage } from "../../web/src/data/dexieStorage.js";
import { acceptsAsBookStorage } from "../../web/test/storageAcceptance.js";

/** What became of one test of the suite; `failure` is empty where it passed. */
export interface Outcome {
  readonly name: string;
  readonly failure: string;
}

type Step = () => unknown;
interface Suite {
  readonly before: Step[];
  readonly after: Step[];
  readonly tests: { readonly name: string; readonly run: Step }[];
}

chai.use(JestExtend);
chai.use(JestChaiExpect);
chai.use(JestAsymmetricMatchers);

/** A runner of the few words the suite uses, since the usual one does not run in a page. */
const suite: Suite = { before: [], after: [], tests: [] };
Object.assign(globalThis, {
  expect: chai.expect,
  describe: (_name: string, define: Step) => define(),
  beforeEach: (step: Step) => suite.before.push(step),
  afterEach: (step: Step) => suite.after.push(step),
  test: (name: string, run: Step) => suite.tests.push({ name, run }),
});

let count = 0;
acceptsAsBookStorage("the database", () => {
  count += 1;
  return Promise.resolve(new DexieStorage(`acceptance-${count}`));
});

async function outcomeOf({ name, run }: Suite["tests"][number]): Promise<Outcome> {
  try {
    for (const step of suite.before) await step();
    await run();
    for (const step of suite.after) await step();
    return { name, failure: "" };
  } catch (error) {
    return { name, failure: error instanceof Error ? error.message : String(error) };
  }
}

/** Runs the suite in this page, one test after the other. */
async function runSuite(): Promise<Outcome[]> {
  const outcomes: Outcome[] = [];
  for (const test of suite.tests) outcomes.push(await outcomeOf(test));
  return outcomes;
}

Object.assign(globalThis, { runSuite });
