import { createSlice, type PayloadAction } from "@reduxjs/toolkit";

/** A change made in this tab: its number in the journal, and what it was in words. */
interface Step {
  readonly seq: number;
  readonly words: string;
}

/** What this tab can take back and bring back, the newest last. */
export interface UndoState {
  readonly done: readonly Step[];
  readonly undone: readonly Step[];
}

const NOTHING: UndoState = { done: [], undone: [] };
/** So many steps back are enough; the book itself keeps everything. */
const MOST_STEPS = 100;

const slice = createSlice({
  name: "undo",
  initialState: NOTHING,
  reducers: {
    /** Another book, or this one again: what the tab had done in it. */
    undoRestored: (_state, action: PayloadAction<UndoState>) => action.payload,
    changeMade: (state, action: PayloadAction<Step>) => ({
      done: [...state.done, action.payload].slice(-MOST_STEPS),
      undone: [],
    }),
    /** The newest change was taken back, by the change of that number. */
    changeTakenBack: (state, action: PayloadAction<number>) => {
      const step = state.done.at(-1);
      if (step === undefined) return state;
      const undone = [...state.undone, { ...step, seq: action.payload }];
      return { done: state.done.slice(0, -1), undone };
    },
    changeBroughtBack: (state, action: PayloadAction<number>) => {
      const step = state.undone.at(-1);
      if (step === undefined) return state;
      const done = [...state.done, { ...step, seq: action.payload }];
      return { done, undone: state.undone.slice(0, -1) };
    },
    /** The newest change cannot be taken back any more; the one before it comes to the top. */
    stepDropped: (state, action: PayloadAction<keyof UndoState>) => ({
      ...state,
      [action.payload]: state[action.payload].slice(0, -1),
    }),
  },
});

export const { undoRestored, changeMade, changeTakenBack, changeBroughtBack, stepDropped } =
  slice.actions;
export const undoReducer = slice.reducer;

const keyOf = (database: string): string => `yonderfell-undo:${database}`;

/** What this tab had done in a book before it was loaded again. */
export function storedUndo(database: string): UndoState {
  const stored = sessionStorage.getItem(keyOf(database));
  return stored === null ? NOTHING : (JSON.parse(stored) as UndoState);
}

/** Keeps what this tab has done in a book, for as long as the tab is open. */
export function storeUndo(database: string, state: UndoState): void {
  sessionStorage.setItem(keyOf(database), JSON.stringify(state));
}
