import type { DayNumber } from "@yonderfell/core";
import { createSlice, type PayloadAction } from "@reduxjs/toolkit";
import { currentDay } from "./today.js";

/** What belongs to this sitting: the day, the strip in hand, what stands open. */
export interface SessionState {
  readonly today: DayNumber;
  /** The task whose reasons stand open, empty where none. */
  readonly openTask: string;
  readonly isReadingMeter: boolean;
  /** What the reading line starts with when opened from a machine. */
  readonly readingLine: string;
  /** Notes given and not yet shown. */
  readonly notices: readonly Notice[];
  /** Whether any note has been given in this sitting. */
  readonly hasNotices: boolean;
}

/** A short note to the person. */
export interface Notice {
  readonly isGood: boolean;
  readonly words: string;
}

const initialState: SessionState = {
  today: currentDay(),
  openTask: "",
  isReadingMeter: false,
  readingLine: "",
  notices: [],
  hasNotices: false,
};

const slice = createSlice({
  name: "session",
  initialState,
  reducers: {
    dayCame: (state, action: PayloadAction<DayNumber>) => ({ ...state, today: action.payload }),
    taskOpened: (state, action: PayloadAction<string>) => ({
      ...state,
      openTask: state.openTask === action.payload ? "" : action.payload,
    }),
    meterReadingOpened: (state, action: PayloadAction<string>) => ({
      ...state,
      isReadingMeter: true,
      readingLine: action.payload,
    }),
    noticeGiven: (state, action: PayloadAction<Notice>) => ({
      ...state,
      notices: [...state.notices, action.payload],
      hasNotices: true,
    }),
    noticesShown: (state) => ({ ...state, notices: [] }),
    meterReadingClosed: (state) => ({ ...state, isReadingMeter: false }),
  },
});

export const {
  dayCame,
  taskOpened,
  meterReadingOpened,
  meterReadingClosed,
  noticeGiven,
  noticesShown,
} = slice.actions;
export const sessionReducer = slice.reducer;
