import { z } from "zod";
import { flagField, nameField, positiveWholeField } from "./fields.js";

/** What machines are put together by on the board. */
const BOARD_GROUPINGS = ["machine", "place", "person", "kind", "state"] as const;
export type BoardGrouping = (typeof BOARD_GROUPINGS)[number];

/** Which tasks are shown: all, what is due or overdue, or that and what is due soon. */
const BOARD_SHOWN = ["all", "due", "soon"] as const;
export type BoardShown = (typeof BOARD_SHOWN)[number];

/** The columns the table of the board can be put in order by. */
const BOARD_COLUMNS = ["state", "machine", "task", "likely", "left"] as const;
export type BoardColumn = (typeof BOARD_COLUMNS)[number];

/** Machines of one kind, at one place, or that one person looks after. */
const boardOfSchema = z.looseObject(
  { by: z.enum(["place", "person", "kind"], "place, person or kind"), value: nameField },
  "which machines",
);

/** A way of looking at the board that somebody has kept under a name. */
export const boardViewSchema = z.looseObject(
  {
    name: nameField,
    as: z.enum(["reach", "table"], "reach or table"),
    group: z.enum(BOARD_GROUPINGS, BOARD_GROUPINGS.join(", ")),
    show: z.enum(BOARD_SHOWN, BOARD_SHOWN.join(", ")),
    of: boardOfSchema.nullish(),
    /** How many days ahead the reach looks. */
    reach: positiveWholeField.nullish(),
    /** What the table is in order by. */
    sort: z
      .looseObject(
        {
          column: z.enum(BOARD_COLUMNS, BOARD_COLUMNS.join(", ")),
          isDown: flagField.optional(),
        },
        "a column",
      )
      .nullish(),
  },
  "a view of the board",
);
export type BoardView = z.infer<typeof boardViewSchema>;
export type BoardOf = z.infer<typeof boardOfSchema>;
