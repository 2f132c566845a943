/** Every form of the program by its name: each asks, refuses and keeps what is typed in the same way. */
export const FORMS = [
  "addMachine",
  "bay",
  "bookWriting",
  "facts",
  "fitment",
  "fluid",
  "journey",
  "ladder",
  "part",
  "person",
  "place",
  "product",
  "reminder",
  "servicePoint",
  "specification",
  "standing",
  "task",
  "weights",
  "windows",
] as const;

/** The name of a form. */
export type FormName = (typeof FORMS)[number];
