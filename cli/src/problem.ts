/** Something wrong with what the command line was given, in one line for the person. */
export class Problem extends Error {}
