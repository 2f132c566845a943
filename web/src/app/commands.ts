import type { NavigateFunction } from "react-router";
import type { Command } from "../places/find/command.js";
import { PLACES } from "./places.js";
import { preferred } from "../session/preferences.js";
import { findingOpened, meterReadingOpened, overlayOpened } from "../session/session.js";
import type { AppDispatch } from "../session/store.js";
import type { UndoState } from "../session/undo.js";

/** All that can be told by name from anywhere. */
export function commandsOf(
  navigate: NavigateFunction,
  dispatch: AppDispatch,
  undoState: UndoState,
  undo: (direction: "undo" | "redo") => Promise<void>,
): Command[] {
  const go = (name: string, path: string, also: string, keys = ""): Command => ({
    name,
    also,
    keys,
    run: () => void navigate(path),
  });
  const done = undoState.done.at(-1);
  const undone = undoState.undone.at(-1);
  const step = (name: string, keys: string, direction: "undo" | "redo"): Command => ({
    name,
    also: "take back again",
    keys,
    run: () => void undo(direction),
  });
  return [
    ...PLACES.map(({ name, path, key }) => go(`Go to ${name}`, path, "place", key)),
    go("Today", "/ahead/today", "day sheet what asks now print"),
    go("Visits", "/ahead/visits", "plan weeks ridge hours combine workload"),
    go("Fleet plan", "/ahead/fleet", "best weeks all machines share hours bays people optimise"),
    go("Journeys", "/ahead/journeys", "trip season holiday towing before departure"),
    go("Add a machine", "/yard/new", "new vehicle"),
    go("Reading sheet", "/yard/readings", "many meters column paste"),
    go("People, bays and places", "/workshop", "rates hours initials staff"),
    ...noting(dispatch),
    go("On time", "/ledger/on-time", "share late overdue backlog out of service meeting office"),
    go("Spending ahead", "/ledger/ahead", "budget forecast money months waits declined"),
    go("Costs", "/ledger/costs", "spent money per km hour month warranty"),
    go("Ways of working", "/bench/ways", "methods steps cards own way file"),
    go("Begin a job", "/bench/new", "work card start bench"),
    go("Begin a round", "/rounds/new", "checklist inspect look walk round"),
    go("Checklists", "/rounds/checklists", "library checks round"),
    go("Findings", "/rounds/findings", "open found faults defects decided"),
    ...(done === undefined ? [] : [step(`Undo: ${done.words}`, "Ctrl+Z", "undo")]),
    ...(undone === undefined ? [] : [step(`Do again: ${undone.words}`, "Ctrl+Shift+Z", "redo")]),
    go("Books", "/books", "open file new export duplicate delete rename backup demonstration"),
    go("Hand-over", "/hand-over", "merge take in another device file"),
    go("Tables in and out", "/tables", "csv spreadsheet import export columns"),
    go("Preferences", "/preferences", "settings theme units figures keys windows"),
    ...themes(dispatch),
    {
      name: "List of keys",
      also: "shortcuts",
      keys: "?",
      run: () => dispatch(overlayOpened("keys")),
    },
  ];
}

/** What is noted at a machine. */
function noting(dispatch: AppDispatch): Command[] {
  return [
    {
      name: "Read a meter",
      also: "reading odometer hours",
      keys: "R",
      run: () => dispatch(meterReadingOpened("")),
    },
    {
      name: "Reckon",
      also: "reckoner calculator sums coolant passes tread battery trend mix",
      keys: "K",
      run: () => dispatch(overlayOpened("reckoner")),
    },
    {
      name: "Note a finding",
      also: "found fault defect weep leak report",
      keys: "",
      run: () => dispatch(findingOpened("")),
    },
  ];
}

/** By day or by night. */
function themes(dispatch: AppDispatch): Command[] {
  return [
    {
      name: "Day theme",
      also: "light preferences",
      keys: "",
      run: () => dispatch(preferred({ theme: "day" })),
    },
    {
      name: "Night theme",
      also: "dark preferences",
      keys: "",
      run: () => dispatch(preferred({ theme: "night" })),
    },
  ];
}
