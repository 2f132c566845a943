import type { Entry } from "@yonderfell/core";
import type { ReactElement } from "react";
import { workWords, type WorkNames } from "../../../words/workWords.js";

/** What the work of an entry put right and took, a piece after the other. */
export function WhatItTook({
  entry,
  names,
}: {
  readonly entry: Entry;
  /** Undefined until they are read. */
  readonly names: WorkNames | undefined;
}): ReactElement | null {
  const words = names === undefined ? [] : workWords(entry, names);
  if (words.length === 0) return null;
  return <span className="block text-fine tabular-nums">{words.join(" · ")}</span>;
}
