import { PLACES } from "./places.js";

/** Something that a key does. */
export interface KeyBinding {
  readonly keys: string;
  readonly does: string;
  /** Whether it is a single key, which the person may switch off. */
  readonly isSingle: boolean;
}

/** All keys there are, as the list of keys shows them. */
export const KEYS: readonly KeyBinding[] = [
  ...PLACES.map(({ key, name }) => ({ keys: key, does: `go to ${name}`, isSingle: true })),
  { keys: "R", does: "read a meter", isSingle: true },
  { keys: "K", does: "reckon: open the calculators over the place", isSingle: true },
  { keys: "/", does: "find a machine, a task, an entry or a command", isSingle: true },
  { keys: "?", does: "this list of keys", isSingle: true },
  { keys: "Ctrl+K", does: "find, also where single keys are off", isSingle: false },
  { keys: "Ctrl+Z", does: "take back the last change of this tab", isSingle: false },
  { keys: "Ctrl+Shift+Z", does: "make the change again that was taken back", isSingle: false },
  { keys: "↑ ↓", does: "on the reach: from strip to strip", isSingle: false },
  { keys: "Enter", does: "on a strip: open and close its reasons", isSingle: false },
  { keys: "Esc", does: "close what stands open", isSingle: false },
];
