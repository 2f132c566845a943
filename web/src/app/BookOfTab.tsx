import { lazy, useEffect, useState, type ReactElement } from "react";
import { Navigate } from "react-router";
import { currentBook } from "../data/registry.js";
import { useAwaited } from "../session/useAwaited.js";
import { again } from "../ui/again.js";

const Shell = lazy(again(() => import("./Shell.js")));

/** The book of this tab, in its frame; where there is none yet, the way to begin. */
export function BookOfTab(): ReactElement | null {
  const found = useAwaited(currentBook);
  if (found.code === "waiting") return <NoAnswer />;
  if (found.code === "failed") throw found.error;
  return found.value === null ? <Navigate to="/welcome" replace /> : <Shell entry={found.value} />;
}

/** A database that is not damaged answers within this time. */
const PATIENCE_MS = 8000;

/** Nothing at first; where the browser's storage gives no answer, that is said. */
function NoAnswer(): ReactElement | null {
  const [isLate, setIsLate] = useState(false);
  useEffect(() => {
    const timer = setTimeout(() => setIsLate(true), PATIENCE_MS);
    return () => clearTimeout(timer);
  }, []);
  return isLate ? (
    <main className="p-7" role="status">
      <h1 className="text-title font-bold">The browser’s storage does not answer</h1>
      <p className="my-3">
        The disk is most likely full. Free some space on the device, close the other tabs of this
        site, and load this page again.
      </p>
    </main>
  ) : null;
}
