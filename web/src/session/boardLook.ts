import type { BoardColumn, BoardGrouping, BoardOf, BoardShown } from "@yonderfell/core";
import { createSlice, type PayloadAction } from "@reduxjs/toolkit";

/** What is shown of the board, put together by what, and what its table is in order by. Belongs to the tab, a reload included; a view keeps it. */
export interface BoardLook {
  readonly group: BoardGrouping;
  readonly show: BoardShown;
  readonly of: BoardOf | null;
  readonly order: TableOrder;
}

/** What the table is in order by. */
export interface TableOrder {
  readonly column: BoardColumn;
  /** From the last to the first. */
  readonly isDown: boolean;
}

/** Everything, machine by machine, the most pressing first. */
export const WHOLE_BOARD: BoardLook = {
  group: "machine",
  show: "all",
  of: null,
  order: { column: "state", isDown: false },
};

const slice = createSlice({
  name: "boardLook",
  initialState: WHOLE_BOARD,
  reducers: {
    boardLookedAt: (state, action: PayloadAction<Partial<BoardLook>>) => ({
      ...state,
      ...action.payload,
    }),
  },
});

export const { boardLookedAt } = slice.actions;
export const boardLookReducer = slice.reducer;
