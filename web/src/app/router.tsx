import { createBrowserRouter, redirect, type LoaderFunction } from "react-router";
import { openDemonstration } from "../data/demonstration.js";
import { lastOpened } from "../data/registry.js";
import { NotFound } from "./NotFound.js";
import { currentDay } from "./today.js";

/** The book that was open last; where there is none yet, the way to begin. */
const openLast: LoaderFunction = async () => (await lastOpened()) ?? redirect("/welcome");

const openTheDemonstration: LoaderFunction = async () => {
  await openDemonstration(currentDay());
  return redirect("/ahead");
};

const page = (load: () => Promise<{ default: React.ComponentType }>) => ({
  lazy: async () => ({ Component: (await load()).default }),
});

/** All addresses of the program; each place loads its own code. */
export const router: ReturnType<typeof createBrowserRouter> = createBrowserRouter([
  { path: "/welcome", ...page(() => import("../places/welcome/Welcome.js")) },
  {
    path: "/demonstration",
    loader: openTheDemonstration,
    element: null,
    HydrateFallback: () => null,
  },
  {
    path: "/",
    loader: openLast,
    HydrateFallback: () => null,
    ErrorBoundary: NotFound,
    shouldRevalidate: () => false,
    ...page(() => import("./Shell.js")),
    children: [
      { index: true, loader: () => redirect("/ahead") },
      { path: "ahead", ...page(() => import("../places/ahead/Ahead.js")) },
      { path: "yard", ...page(() => import("../places/yard/Yard.js")) },
      { path: "yard/:machineId", ...page(() => import("../places/yard/MachinePage.js")) },
      { path: "log/:machineId", ...page(() => import("../places/ledger/LogWork.js")) },
      {
        path: "correct/:machineId/:section/:recordId",
        ...page(() => import("../places/yard/CorrectRecord.js")),
      },
      { path: "ledger", ...page(() => import("../places/ledger/Ledger.js")) },
    ],
  },
]);
