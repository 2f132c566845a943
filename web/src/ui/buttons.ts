/** The one thing a screen is for. */
export const PRIMARY_BUTTON =
  "inline-flex min-h-12 items-center gap-2 rounded-[3px] bg-clear px-5 font-semibold text-on-body hover:opacity-90 disabled:opacity-50 print:hidden";

/** Anything else one may do. */
export const QUIET_BUTTON =
  "inline-flex min-h-11 items-center gap-2 rounded-[3px] border border-rule px-3 font-medium hover:bg-wash disabled:opacity-50 max-sm:min-h-12 print:hidden";

/** A field to write in: a box with a ground of its own. */
export const FIELD =
  "min-h-11 w-full rounded-[3px] border border-rule bg-raised px-2.5 py-1.5 focus-visible:border-focus aria-invalid:border-2 aria-invalid:border-due max-sm:min-h-12";

/** What is pressed at the foot of a step at the machine: large enough for a glove. */
export const LARGE_BUTTON =
  "flex min-h-16 flex-1 items-center justify-center gap-2 rounded-[3px] bg-clear px-4 text-large font-bold text-on-body hover:opacity-90 disabled:bg-wash disabled:text-quiet";
/** Beside it, for what is not the step itself. */
export const CHOICE_BUTTON =
  "flex min-h-14 flex-1 items-center justify-center gap-2 rounded-[3px] border border-rule bg-raised px-2 font-semibold hover:bg-wash disabled:opacity-50 aria-pressed:border-2 aria-pressed:border-clear";
