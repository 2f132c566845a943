import type { ViewModel, ViewProblem } from "./viewModel.js";

/** What is said of a view that is kept. */
export const VIEW_LABELS: Readonly<Record<keyof ViewModel, string>> = {
  name: "Keep what is shown now as",
};

/** What is wrong with it, and what to do. */
export const viewProblemWords = (_: ViewProblem): string =>
  "Give it a name, by which you look at it again.";
