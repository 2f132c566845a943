/** The one thing a screen is for. */
export const PRIMARY_BUTTON =
  "inline-flex min-h-12 items-center gap-2 rounded-[3px] bg-clear px-5 font-semibold text-on-body hover:opacity-90 disabled:opacity-50";

/** Anything else one may do. */
export const QUIET_BUTTON =
  "inline-flex min-h-10 items-center gap-2 rounded-[3px] border border-rule px-3 font-medium hover:bg-wash disabled:opacity-50 max-sm:min-h-12";

/** A line to write on. */
export const FIELD =
  "min-h-11 w-full border-0 border-b-2 border-rule bg-transparent px-1 py-1 focus-visible:border-focus max-sm:min-h-12";
