import { createSlice, type PayloadAction } from "@reduxjs/toolkit";

/** How this browser likes to see things; kept outside any book. */
export interface Preferences {
  readonly theme: "day" | "night" | "system";
  readonly aheadAs: "reach" | "table";
}

const KEY = "yonderfell-preferences";
const DEFAULTS: Preferences = { theme: "system", aheadAs: "reach" };

/** The preferences kept by this browser, the defaults where it keeps none that can be read. */
export function storedPreferences(): Preferences {
  try {
    const stored = JSON.parse(localStorage.getItem(KEY) ?? "{}") as Partial<Preferences>;
    return { ...DEFAULTS, ...stored };
  } catch (error) {
    if (error instanceof SyntaxError) return DEFAULTS;
    throw error;
  }
}

/** Keeps the preferences in this browser. */
export function storePreferences(preferences: Preferences): void {
  localStorage.setItem(KEY, JSON.stringify(preferences));
}

const slice = createSlice({
  name: "preferences",
  initialState: DEFAULTS,
  reducers: {
    themeChosen: (state, action: PayloadAction<Preferences["theme"]>) => ({
      ...state,
      theme: action.payload,
    }),
    aheadShownAs: (state, action: PayloadAction<Preferences["aheadAs"]>) => ({
      ...state,
      aheadAs: action.payload,
    }),
  },
});

export const { themeChosen, aheadShownAs } = slice.actions;
export const preferencesReducer = slice.reducer;
