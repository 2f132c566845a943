import { appendFileSync } from "node:fs";
import { relative } from "node:path";
import { ROOT } from "./setup.mjs";

/** A reporter that writes down how long each test file took, where `TEST_TIMES` names a file to write to. */
export default class Slowest {
  onTestResult(test, { perfStats }) {
    const file = process.env["TEST_TIMES"];
    if (file === undefined) return;
    const seconds = (perfStats.end - perfStats.start) / 1000;
    appendFileSync(file, `${JSON.stringify({ name: relative(ROOT, test.path), seconds })}\n`);
  }
}
