import { configureStore } from "@reduxjs/toolkit";
import { useDispatch, useSelector, useStore } from "react-redux";
import { board } from "./board.js";
import { boardLookReducer } from "./boardLook.js";
import { writeAs } from "../words/writing.js";
import { preferencesReducer, storePreferences, storedPreferences } from "./preferences.js";
import { sessionReducer } from "./session.js";
import { undoReducer } from "./undo.js";
import { visits } from "./visits.js";

/** The store of what belongs to the sitting: not a second copy of the book. */
export const store = configureStore({
  reducer: {
    board: board.reducer,
    boardLook: boardLookReducer,
    preferences: preferencesReducer,
    session: sessionReducer,
    undo: undoReducer,
    visits: visits.reducer,
  },
  preloadedState: { preferences: storedPreferences() },
  // The board is plain data of some size; walking it on every action would cost more than it could catch.
  middleware: (defaults) => defaults({ serializableCheck: false, immutableCheck: false }),
});

let kept = store.getState().preferences;
writeAs(kept);
store.subscribe(() => {
  const { preferences } = store.getState();
  if (preferences === kept) return;
  kept = preferences;
  writeAs(preferences);
  storePreferences(preferences);
});

export type RootState = ReturnType<typeof store.getState>;
export type AppDispatch = typeof store.dispatch;

export const useAppDispatch = useDispatch.withTypes<AppDispatch>();
export const useAppStore = useStore.withTypes<typeof store>();
export const useAppSelector = useSelector.withTypes<RootState>();
