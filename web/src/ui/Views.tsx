import type { ReactElement } from "react";
import { NavLink } from "react-router";

/** The ways from one view of a place to the others. */
export function Views({
  of,
  views,
  onGo,
}: {
  readonly of: string;
  /** The address and the words of each. */
  readonly views: readonly (readonly [string, string])[];
  /** Told before one is gone to. */
  readonly onGo?: (path: string) => void;
}): ReactElement {
  return (
    <nav aria-label={of} className="flex flex-wrap gap-x-1">
      {views.map(([path, words]) => (
        <NavLink
          key={path}
          end
          to={path}
          onClick={() => onGo?.(path)}
          className={({ isActive }) =>
            `flex min-h-10 items-center border-b-2 px-2.5 max-sm:min-h-12 ${isActive ? "border-clear font-semibold" : "border-transparent text-quiet hover:text-ink"}`
          }
        >
          {words}
        </NavLink>
      ))}
    </nav>
  );
}
