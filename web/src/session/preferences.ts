import type { MeasureSystem } from "@yonderfell/core";
import { createSlice, type PayloadAction } from "@reduxjs/toolkit";
import { REACHES, USUAL_REACH, type Reach } from "./reaches.js";
import {
  DEFAULT_WRITING,
  FIGURE_STYLES,
  type DistanceShown,
  type FigureStyle,
} from "../words/writing.js";

/** How this browser likes to see things; kept outside any book. */
export interface Preferences {
  readonly theme: "day" | "night" | "system";
  readonly aheadAs: "reach" | "table";
  /** How many days ahead the reach looks. */
  readonly reach: Reach;
  /** Whether single keys reach places and commands. */
  readonly hasSingleKeys: boolean;
  readonly figures: FigureStyle;
  readonly distance: DistanceShown;
  readonly measures: MeasureSystem;
}

const KEY = "yonderfell-preferences";
const DEFAULTS: Preferences = {
  theme: "system",
  aheadAs: "reach",
  reach: USUAL_REACH,
  hasSingleKeys: true,
  ...DEFAULT_WRITING,
};

const ALLOWED: { readonly [K in keyof Preferences]: readonly unknown[] } = {
  theme: ["day", "night", "system"],
  aheadAs: ["reach", "table"],
  reach: REACHES.map(([days]) => days),
  hasSingleKeys: [true, false],
  figures: Object.keys(FIGURE_STYLES),
  distance: ["dial", "km", "mi"],
  measures: ["typed", "metric", "us", "imperial"],
};

/** The preferences kept by this browser; the default for each that it does not keep or that cannot be read. */
export function storedPreferences(): Preferences {
  let stored: unknown;
  try {
    stored = JSON.parse(localStorage.getItem(KEY) ?? "{}");
  } catch (error) {
    if (!(error instanceof SyntaxError)) throw error;
  }
  const known = Object.entries((stored ?? {}) as Partial<Preferences>).filter(
    ([name, value]) =>
      Object.hasOwn(ALLOWED, name) && ALLOWED[name as keyof Preferences].includes(value),
  );
  return { ...DEFAULTS, ...(Object.fromEntries(known) as Partial<Preferences>) };
}

/** Keeps the preferences in this browser. */
export function storePreferences(preferences: Preferences): void {
  localStorage.setItem(KEY, JSON.stringify(preferences));
}

const slice = createSlice({
  name: "preferences",
  initialState: DEFAULTS,
  reducers: {
    preferred: (state, action: PayloadAction<Partial<Preferences>>) => ({
      ...state,
      ...action.payload,
    }),
  },
});

export const { preferred } = slice.actions;
export const preferencesReducer = slice.reducer;
