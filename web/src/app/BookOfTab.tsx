import { lazy, type ReactElement } from "react";
import { Navigate } from "react-router";
import { currentBook } from "../data/registry.js";
import { useAwaited } from "./useAwaited.js";

const Shell = lazy(() => import("./Shell.js"));

/** The book of this tab, in its frame; where there is none yet, the way to begin. */
export function BookOfTab(): ReactElement | null {
  const found = useAwaited(currentBook);
  if (found.code === "waiting") return null;
  if (found.code === "failed") throw found.error;
  return found.value === null ? <Navigate to="/welcome" replace /> : <Shell entry={found.value} />;
}
