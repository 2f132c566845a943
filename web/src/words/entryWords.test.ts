import type { Entry } from "@yonderfell/core";
import { entryTitle } from "./entryWords.js";

const NAMES: Readonly<Record<string, string>> = { oil: "Engine oil" };
const title = (entry: object): string =>
  entryTitle(entry as Entry, (task) => NAMES[task] ?? task).replaceAll("\u00a0", " ");

test.each([
  [{}, ""],
  [{ tasks: ["oil"] }, "Engine oil"],
  [{ tasks: ["oil"], assumed: true }, "Engine oil (assumed)"],
  [{ tasks: ["oil"], closes: ["a", "b"] }, "Engine oil; 2 findings closed"],
  [{ isTopUp: true, fluids: [{ in: { value: 1.6, unit: "L" } }] }, "topped up 1.6 L"],
  [{ isTopUp: true }, "topped up"],
])("an entry that says %j is called %j", (entry, expected) => {
  expect(title(entry)).toBe(expected);
});
