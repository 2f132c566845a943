import { lazy, type ReactElement } from "react";
import { Navigate } from "react-router";
import { lastOpened } from "../data/registry.js";
import { useAwaited } from "./useAwaited.js";

const Shell = lazy(() => import("./Shell.js"));

/** The book that was open last, in its frame; where there is none yet, the way to begin. */
export function LastOpenedBook(): ReactElement | null {
  const found = useAwaited(lastOpened);
  if (found.code === "waiting") return null;
  if (found.code === "failed") throw found.error;
  return found.value === null ? <Navigate to="/welcome" replace /> : <Shell entry={found.value} />;
}
