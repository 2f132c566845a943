import { lazy, type ReactElement } from "react";
import { Route, Routes } from "react-router";
import { again } from "../ui/again.js";

const TodayPage = lazy(again(() => import("../places/ahead/today/TodayPage.js")));
const VisitsPage = lazy(again(() => import("../places/ahead/visits/VisitsPage.js")));
const FleetPage = lazy(again(() => import("../places/ahead/fleet/FleetPage.js")));
const JourneysPage = lazy(again(() => import("../places/ahead/journeys/JourneysPage.js")));
const Yard = lazy(again(() => import("../places/yard/Yard.js")));
const MachinePage = lazy(again(() => import("../places/yard/MachinePage.js")));
const MinutesPage = lazy(again(() => import("../places/yard/minutes/MinutesPage.js")));
const AddMachine = lazy(again(() => import("../places/yard/add/AddMachine.js")));
const FactsPage = lazy(again(() => import("../places/yard/facts/FactsPage.js")));
const MetersPage = lazy(again(() => import("../places/yard/meters/MetersPage.js")));
const PlanRoutes = lazy(again(() => import("../places/yard/plan/PlanRoutes.js")));
const PartsPage = lazy(again(() => import("../places/yard/parts/PartsPage.js")));
const StoresRoutes = lazy(again(() => import("../places/stores/StoresRoutes.js")));
const BenchPage = lazy(again(() => import("../places/bench/BenchPage.js")));
const StartPage = lazy(again(() => import("../places/bench/StartPage.js")));
const JobPage = lazy(again(() => import("../places/bench/JobPage.js")));
const FinishPage = lazy(again(() => import("../places/bench/FinishPage.js")));
const ChangeCardPage = lazy(again(() => import("../places/bench/ChangeCardPage.js")));
const WaysPage = lazy(again(() => import("../places/bench/WaysPage.js")));
const TagPage = lazy(again(() => import("../places/bench/TagPage.js")));
const RoundsRoutes = lazy(again(() => import("../places/rounds/RoundsRoutes.js")));
const Workshop = lazy(again(() => import("../places/workshop/Workshop.js")));
const ReadingSheet = lazy(again(() => import("../places/yard/sheet/ReadingSheet.js")));
const LogbookPage = lazy(again(() => import("../places/yard/LogbookPage.js")));
const CardPage = lazy(again(() => import("../places/yard/card/CardPage.js")));
const PlatePage = lazy(again(() => import("../places/yard/plate/PlatePage.js")));
const CorrectRecord = lazy(again(() => import("../places/yard/CorrectRecord.js")));
const LogWork = lazy(again(() => import("../places/ledger/LogWork.js")));
const LedgerRoutes = lazy(again(() => import("../places/ledger/LedgerRoutes.js")));
const MachineCosts = lazy(again(() => import("../places/yard/costs/MachineCosts.js")));
const Books = lazy(again(() => import("../places/books/Books.js")));
const WhatIsNew = lazy(again(() => import("../places/preferences/WhatIsNew.js")));
const Promised = lazy(again(() => import("../places/books/Promised.js")));
const HandOver = lazy(again(() => import("../places/books/HandOver.js")));
const Preferences = lazy(again(() => import("../places/preferences/Preferences.js")));
const TablesPage = lazy(again(() => import("../places/tables/TablesPage.js")));
const NotFound = lazy(again(() => import("../ui/NotFound.js")));

/** The addresses of all places but the first; each place loads its own code. */
export default function OtherPlaces(): ReactElement {
  return (
    <Routes>
      <Route path="/ahead/today" element={<TodayPage />} />
      <Route path="/ahead/visits" element={<VisitsPage />} />
      <Route path="/ahead/fleet" element={<FleetPage />} />
      <Route path="/ahead/journeys" element={<JourneysPage />} />
      <Route path="/yard" element={<Yard />} />
      <Route path="/yard/readings" element={<ReadingSheet />} />
      <Route path="/yard/minutes" element={<MinutesPage />} />
      <Route path="/yard/new" element={<AddMachine />} />
      <Route path="/yard/:machineId" element={<MachinePage />} />
      <Route path="/yard/:machineId/plan/*" element={<PlanRoutes />} />
      <Route path="/yard/:machineId/plate" element={<PlatePage />} />
      <Route path="/yard/:machineId/meters" element={<MetersPage />} />
      <Route path="/yard/:machineId/parts" element={<PartsPage />} />
      <Route path="/yard/:machineId/card" element={<CardPage />} />
      <Route path="/yard/:machineId/logbook" element={<LogbookPage />} />
      <Route path="/yard/:machineId/costs" element={<MachineCosts />} />
      <Route path="/yard/:machineId/facts" element={<FactsPage />} />
      <Route path="/log/:machineId" element={<LogWork />} />
      <Route path="/correct/:machineId/:section/:recordId" element={<CorrectRecord />} />
      <Route path="/bench" element={<BenchPage />} />
      <Route path="/bench/new" element={<StartPage />} />
      <Route path="/bench/ways" element={<WaysPage />} />
      <Route path="/bench/:machineId/:jobId" element={<JobPage />} />
      <Route path="/bench/:machineId/:jobId/finish" element={<FinishPage />} />
      <Route path="/bench/:machineId/:jobId/card" element={<ChangeCardPage />} />
      <Route path="/bench/:machineId/:jobId/tag" element={<TagPage />} />
      <Route path="/rounds/*" element={<RoundsRoutes />} />
      <Route path="/stores/*" element={<StoresRoutes />} />
      <Route path="/workshop" element={<Workshop />} />
      <Route path="/ledger/*" element={<LedgerRoutes />} />
      <Route path="/books" element={<Books />} />
      <Route path="/preferences/new" element={<WhatIsNew />} />
      <Route path="/books/promised" element={<Promised />} />
      <Route path="/hand-over" element={<HandOver />} />
      <Route path="/preferences" element={<Preferences />} />
      <Route path="/tables" element={<TablesPage />} />
      <Route path="*" element={<NotFound />} />
    </Routes>
  );
}
