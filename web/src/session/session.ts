import type { DayNumber } from "@yonderfell/core";
import { createSlice, type PayloadAction } from "@reduxjs/toolkit";
import type { ExportNote } from "../data/bookStorage.js";
import { currentDay } from "../data/today.js";

/** A dialog that can be opened over any place. */
type Overlay = "reading" | "find" | "keys" | "finding" | "reckoner";

/** What belongs to this sitting: the day, the strip in hand, what stands open. */
interface SessionState {
  readonly today: DayNumber;
  /** The task whose reasons stand open, empty where none. */
  readonly openTask: string;
  /** What stands open over the place. */
  readonly overlay: Overlay | null;
  /** What the reading line starts with when opened from a machine. */
  readonly readingLine: string;
  /** The machine that something is being noted on; empty where that is still to be said. */
  readonly findingOf: string;
  /** What was typed while the dialog that stands open was still being fetched. */
  readonly typedAhead: string;
  /** Notes that stand at the edge of the screen. */
  readonly notices: readonly Notice[];
  /** The last export of the open book, as long as this tab remembers: it outlives a store that is cleared. */
  readonly lastExport: ExportNote | null;
  /** How many notes have been given in this sitting. */
  readonly noticesGiven: number;
}

/** A short note to the person. */
export interface Notice extends GivenNotice {
  readonly id: number;
}

/** A note as it is given. */
interface GivenNotice {
  readonly isGood: boolean;
  readonly words: string;
  /** The change it tells of, which can be taken back from it; null where it tells of none. */
  readonly change: number | null;
}

/** More notes than this at once nobody reads. */
const MOST_NOTICES = 3;

const initialState: SessionState = {
  today: currentDay(),
  openTask: "",
  overlay: null,
  readingLine: "",
  findingOf: "",
  typedAhead: "",
  notices: [],
  noticesGiven: 0,
  lastExport: null,
};

const slice = createSlice({
  name: "session",
  initialState,
  reducers: {
    exportNoted: (state, action: PayloadAction<ExportNote>) => ({
      ...state,
      lastExport: action.payload,
    }),
    dayCame: (state, action: PayloadAction<DayNumber>) => ({ ...state, today: action.payload }),
    taskOpened: (state, action: PayloadAction<string>) => ({
      ...state,
      openTask: state.openTask === action.payload ? "" : action.payload,
    }),
    /** Where reasons stand open, those of another task do now, or none (empty). */
    reasonsFollowed: (state, action: PayloadAction<string>) =>
      state.openTask === "" ? state : { ...state, openTask: action.payload },
    meterReadingOpened: (state, action: PayloadAction<string>) => ({
      ...state,
      overlay: "reading" as const,
      readingLine: action.payload,
      typedAhead: "",
    }),
    /** Something is to be noted on a machine; empty where it is still to be said on which. */
    findingOpened: (state, action: PayloadAction<string>) => ({
      ...state,
      overlay: "finding" as const,
      findingOf: action.payload,
      typedAhead: "",
    }),
    /** A key pressed while the dialog it is meant for is being fetched: a character, or one taken back. */
    keyPressedAhead: (state, action: PayloadAction<string>) => ({
      ...state,
      typedAhead:
        action.payload === "Backspace"
          ? state.typedAhead.slice(0, -1)
          : `${state.typedAhead}${action.payload}`,
    }),
    noticeGiven: (state, action: PayloadAction<GivenNotice>) => ({
      ...state,
      // What went well last takes the place of what went well before it: that can be undone no more by its note.
      notices: [
        ...state.notices.filter(({ isGood }) => !(isGood && action.payload.isGood)),
        { ...action.payload, id: state.noticesGiven },
      ].slice(-MOST_NOTICES),
      noticesGiven: state.noticesGiven + 1,
    }),
    noticeClosed: (state, action: PayloadAction<number>) => ({
      ...state,
      notices: state.notices.filter((notice) => notice.id !== action.payload),
    }),
    overlayOpened: (state, action: PayloadAction<Overlay>) => ({
      ...state,
      overlay: action.payload,
      readingLine: "",
      typedAhead: "",
    }),
    overlayClosed: (state) => ({ ...state, overlay: null }),
  },
});

export const {
  dayCame,
  exportNoted,
  findingOpened,
  taskOpened,
  reasonsFollowed,
  meterReadingOpened,
  overlayOpened,
  overlayClosed,
  keyPressedAhead,
  noticeGiven,
  noticeClosed,
} = slice.actions;
export const sessionReducer = slice.reducer;
