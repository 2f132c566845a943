import { BookOpen, Calculator, Gauge, Search, SlidersHorizontal, Undo2 } from "lucide-react";
import { lazy, Suspense, type ReactElement, type ReactNode } from "react";
import { Link, NavLink, Outlet, useLocation } from "react-router";
import type { BookEntry } from "../data/registry.js";
import { dateWithWeekday } from "../words/format.js";
import { useBook } from "../session/openBook.js";
import { OpenBookProvider } from "../session/OpenBookProvider.js";
import { ReckonerProvider } from "../session/ReckonerProvider.js";
import { PLACES } from "./places.js";
import { meterReadingOpened, overlayOpened } from "../session/session.js";
import { useAppDispatch, useAppSelector } from "../session/store.js";
import { useIdle } from "../session/useIdle.js";
import { useKeys } from "./useKeys.js";
import { useTheme } from "../session/useTheme.js";
import { useToday } from "../session/useToday.js";
import { useUndo } from "../session/useUndo.js";
import { again } from "../ui/again.js";

const OnceShown = lazy(again(() => import("./OnceShown.js")));
const VisitPlans = lazy(again(() => import("./VisitPlans.js")));
const Notices = lazy(again(() => import("./Notices.js")));
const ReadMeter = lazy(again(() => import("../places/yard/ReadMeter.js")));
const NoteFinding = lazy(again(() => import("../places/shared/findings/NoteFinding.js")));
const Reckoner = lazy(again(() => import("../places/reckoner/Reckoner.js")));
const FindAnything = lazy(again(() => import("./FindAnything.js")));
const KeyList = lazy(again(() => import("./KeyList.js")));

/** The frame of every place: where one is, where one can go, which book is open, what day it is. */
export default function Shell({ entry }: { readonly entry: BookEntry }): ReactElement {
  useToday();
  useTheme();
  return (
    <OpenBookProvider key={entry.id} entry={entry}>
      <ReckonerProvider>
        <a
          href="#place"
          className="sr-only focus:not-sr-only focus:absolute focus:z-20 focus:bg-raised focus:p-3"
        >
          Skip to the place
        </a>
        <TopBar />
        <WhenIdle />
        <BoardNotice />
        <div id="place">
          <Suspense>
            <Outlet />
          </Suspense>
        </div>
        <Overlays />
      </ReckonerProvider>
    </OpenBookProvider>
  );
}

/** What is fetched only when the board is in sight. */
function WhenIdle(): ReactElement | null {
  const isIdle = useIdle(useAppSelector((state) => state.board.seq >= 0));
  return isIdle ? (
    <Suspense>
      <OnceShown />
    </Suspense>
  ) : null;
}

/** What can stand over any place; each is loaded when it is first wanted. */
function Overlays(): ReactElement {
  useKeys();
  const overlay = useAppSelector((state) => state.session.overlay);
  const wantsVisits = useAppSelector((state) => state.visits.phase !== "unwanted");
  const hasNotices = useAppSelector((state) => state.session.noticesGiven > 0);
  return (
    <>
      <Suspense>
        {overlay === "reading" && <ReadMeter />}
        {overlay === "finding" && <NoteFinding />}
        {overlay === "reckoner" && <Reckoner />}
        {overlay === "find" && <FindAnything />}
        {overlay === "keys" && <KeyList />}
      </Suspense>
      {/* Apart, so that the first note does not take a dialog out of sight while it is fetched. */}
      <Suspense>{wantsVisits && <VisitPlans />}</Suspense>
      <Suspense>{hasNotices && <Notices />}</Suspense>
    </>
  );
}

const BAR_ITEM = "flex min-h-12 items-center gap-1.5 px-1 text-ink hover:underline";

/** A job at the machine has the whole of a narrow screen; the way back stands on it. */
const JOB_IN_HAND = /^\/bench\/(?!new)[^/]+\/[^/]+$/;

function TopBar(): ReactElement {
  const { pathname } = useLocation();
  const hasSingleKeys = useAppSelector((state) => state.preferences.hasSingleKeys);
  return (
    <header
      className={`flex flex-wrap items-stretch gap-x-5 border-b-2 border-ink px-7 max-sm:px-4 ${JOB_IN_HAND.test(pathname) ? "max-sm:hidden" : ""}`}
    >
      <nav aria-label="Places" className="flex flex-wrap items-stretch gap-x-1 max-sm:gap-x-0">
        <span className="flex items-center pr-3 text-large font-bold max-sm:sr-only">
          Yonderfell
        </span>
        {PLACES.map((place) => (
          <NavLink
            key={place.path}
            to={place.path}
            {...(hasSingleKeys ? { "aria-keyshortcuts": place.key } : {})}
            className={({ isActive }) =>
              `-mb-0.5 flex min-h-12 items-center gap-1.5 border-b-4 px-2.5 max-sm:px-1.5 ${isActive ? "border-clear font-semibold" : "border-transparent text-quiet hover:text-ink"}`
            }
          >
            {place.name}
            <KeyHint>{place.key}</KeyHint>
          </NavLink>
        ))}
      </nav>
      <Tools />
    </header>
  );
}

/** What is done from anywhere, and which book and day it is. */
function Tools(): ReactElement {
  const today = useAppSelector((state) => state.session.today);
  const hasSingleKeys = useAppSelector((state) => state.preferences.hasSingleKeys);
  const dispatch = useAppDispatch();
  const { entry } = useBook();
  return (
    <div className="ml-auto flex flex-wrap items-center gap-x-4 text-quiet max-2xl:gap-x-3">
      <button
        type="button"
        onClick={() => dispatch(overlayOpened("find"))}
        aria-keyshortcuts="Control+K"
        className={BAR_ITEM}
      >
        <Search size={18} aria-hidden="true" />
        Find <KeyHint>/</KeyHint>
      </button>
      <button
        type="button"
        onClick={() => dispatch(meterReadingOpened(""))}
        {...(hasSingleKeys ? { "aria-keyshortcuts": "r" } : {})}
        className={BAR_ITEM}
      >
        <Gauge size={18} aria-hidden="true" />
        Read<span className="max-2xl:sr-only">a meter</span> <KeyHint>R</KeyHint>
      </button>
      <button
        type="button"
        onClick={() => dispatch(overlayOpened("reckoner"))}
        {...(hasSingleKeys ? { "aria-keyshortcuts": "k" } : {})}
        className={BAR_ITEM}
      >
        <Calculator size={18} aria-hidden="true" />
        <span className="max-sm:sr-only">Reckon</span> <KeyHint>K</KeyHint>
      </button>
      <UndoButton />
      <Link to="/books" className={`${BAR_ITEM} text-quiet`}>
        <BookOpen size={18} aria-hidden="true" />
        <span className="max-w-36 truncate max-md:sr-only 2xl:max-w-56">{entry.name}</span>
        <span className="md:sr-only">Books</span>
      </Link>
      <span className="whitespace-nowrap tabular-nums max-xl:hidden">{dateWithWeekday(today)}</span>
      <Link to="/preferences" className={`${BAR_ITEM} text-quiet max-sm:hidden`}>
        <SlidersHorizontal size={18} aria-hidden="true" />
        <span className="max-2xl:sr-only">Preferences</span>
      </Link>
    </div>
  );
}

/** The key beside what it does; not on narrow screens, nor where single keys are off. */
function KeyHint({ children }: { readonly children: ReactNode }): ReactElement | null {
  const hasSingleKeys = useAppSelector((state) => state.preferences.hasSingleKeys);
  return hasSingleKeys ? (
    <span className="text-fine text-quiet max-sm:hidden" aria-hidden="true">
      {children}
    </span>
  ) : null;
}

/** Takes back the last change of this tab, named; there only while there is one. */
function UndoButton(): ReactElement | null {
  const last = useAppSelector((state) => state.undo.done.at(-1));
  const undo = useUndo();
  if (last === undefined) return null;
  return (
    <button
      type="button"
      title={`Undo: ${last.words} (Ctrl+Z)`}
      aria-label={`Undo: ${last.words}`}
      aria-keyshortcuts="Control+Z"
      className={BAR_ITEM}
      onClick={() => void undo("undo")}
    >
      <Undo2 size={18} aria-hidden="true" />
      <span className="max-2xl:sr-only">Undo</span>
    </button>
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
