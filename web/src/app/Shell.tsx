import { Gauge, Moon, Sun } from "lucide-react";
import { lazy, Suspense, type ReactElement } from "react";
import { NavLink, Outlet } from "react-router";
import type { BookEntry } from "../data/registry.js";
import { dateWithWeekday } from "../words/format.js";
import { OpenBookProvider } from "./openBook.js";
import { PLACES } from "./places.js";
import { themeChosen } from "./preferences.js";
import { meterReadingOpened } from "./session.js";
import { useAppDispatch, useAppSelector } from "./store.js";
import { useKeys } from "./useKeys.js";
import { useTheme } from "./useTheme.js";
import { useToday } from "./useToday.js";

const Notices = lazy(() => import("./Notices.js"));
const ReadMeter = lazy(() => import("../places/yard/ReadMeter.js"));

/** The frame of every place: where one is, where one can go, which book is open, what day it is. */
export default function Shell({ entry }: { readonly entry: BookEntry }): ReactElement {
  useKeys();
  useToday();
  const isNight = useTheme();
  const isReadingMeter = useAppSelector((state) => state.session.isReadingMeter);
  const hasNotices = useAppSelector((state) => state.session.hasNotices);
  return (
    <OpenBookProvider key={entry.id} entry={entry}>
      <a
        href="#place"
        className="sr-only focus:not-sr-only focus:absolute focus:z-20 focus:bg-raised focus:p-3"
      >
        Skip to the place
      </a>
      <TopBar bookName={entry.name} isNight={isNight} />
      <BoardNotice />
      <div id="place">
        <Suspense>
          <Outlet />
        </Suspense>
      </div>
      {isReadingMeter && (
        <Suspense>
          <ReadMeter />
        </Suspense>
      )}
      {hasNotices && (
        <Suspense>
          <Notices isNight={isNight} />
        </Suspense>
      )}
    </OpenBookProvider>
  );
}

function TopBar({
  bookName,
  isNight,
}: {
  readonly bookName: string;
  readonly isNight: boolean;
}): ReactElement {
  const today = useAppSelector((state) => state.session.today);
  const dispatch = useAppDispatch();
  return (
    <header className="flex flex-wrap items-stretch gap-x-5 border-b-2 border-ink px-7 max-sm:px-4">
      <nav aria-label="Places" className="flex flex-wrap items-stretch gap-x-1">
        <span className="flex items-center pr-4 text-large font-bold">Yonderfell</span>
        {PLACES.map((place) => (
          <NavLink
            key={place.path}
            to={place.path}
            aria-keyshortcuts={place.key}
            className={({ isActive }) =>
              `-mb-0.5 flex min-h-12 items-center gap-1.5 border-b-4 px-2.5 ${isActive ? "border-clear font-semibold" : "border-transparent text-quiet hover:text-ink"}`
            }
          >
            {place.name}
            <span className="text-fine text-quiet max-sm:hidden">{place.key}</span>
          </NavLink>
        ))}
      </nav>
      <div className="ml-auto flex flex-wrap items-center gap-x-4 text-quiet">
        <button
          type="button"
          onClick={() => dispatch(meterReadingOpened(""))}
          aria-keyshortcuts="r"
          className="flex min-h-12 items-center gap-1.5 px-1 text-ink hover:underline"
        >
          <Gauge size={18} aria-hidden="true" />
          Read a meter <span className="text-fine text-quiet max-sm:hidden">R</span>
        </button>
        <span className="max-md:hidden">{bookName}</span>
        <span className="tabular-nums max-md:hidden">{dateWithWeekday(today)}</span>
        <button
          type="button"
          onClick={() => dispatch(themeChosen(isNight ? "day" : "night"))}
          className="flex min-h-12 items-center gap-1.5 px-1 hover:text-ink"
        >
          {isNight ? <Sun size={18} aria-hidden="true" /> : <Moon size={18} aria-hidden="true" />}
          {isNight ? "Day" : "Night"}
        </button>
      </div>
    </header>
  );
}

/** Says when the board is being reckoned, or why it cannot be. */
function BoardNotice(): ReactElement {
  const phase = useAppSelector((state) => state.board.phase);
  const reason = useAppSelector((state) => state.board.reason);
  return (
    <div
      role="status"
      aria-live="polite"
      className="h-0 px-7 text-right text-fine text-quiet max-sm:px-4"
    >
      {phase === "reckoning" && "reckoning"}
      {phase === "failed" &&
        `The board could not be reckoned: ${reason}. Reload the page to try again; nothing is lost.`}
    </div>
  );
}
