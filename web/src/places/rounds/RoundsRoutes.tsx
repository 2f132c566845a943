import { lazy, type ReactElement } from "react";
import { Route, Routes } from "react-router";
import { again } from "../../ui/again.js";

const NotFound = lazy(again(() => import("../../ui/NotFound.js")));
const RoundsPage = lazy(again(() => import("./RoundsPage.js")));
const BeginRound = lazy(again(() => import("./BeginRound.js")));
const RoundPage = lazy(again(() => import("./RoundPage.js")));
const ChecklistsPage = lazy(again(() => import("./ChecklistsPage.js")));
const ChecklistPage = lazy(again(() => import("./checklists/ChecklistPage.js")));
const SamplesPage = lazy(again(() => import("./samples/SamplesPage.js")));
const SystemPage = lazy(again(() => import("./samples/SystemPage.js")));
const TakeSample = lazy(again(() => import("./samples/TakeSample.js")));
const SampleLabel = lazy(again(() => import("./samples/SampleLabel.js")));
const ReportPage = lazy(again(() => import("./report/ReportPage.js")));
const FindingsPage = lazy(again(() => import("./FindingsPage.js")));

/** The addresses of Rounds; their code is named here and not with the first sight of the program. */
export default function RoundsRoutes(): ReactElement {
  return (
    <Routes>
      <Route index element={<RoundsPage />} />
      <Route path="new" element={<BeginRound />} />
      <Route path="findings" element={<FindingsPage />} />
      <Route path="checklists" element={<ChecklistsPage />} />
      <Route path="checklists/:checklistId" element={<ChecklistPage />} />
      <Route path="report/:machineId" element={<ReportPage />} />
      <Route path="samples" element={<SamplesPage />} />
      <Route path="samples/new" element={<TakeSample />} />
      <Route path="samples/label/:machineId/:sampleId" element={<SampleLabel />} />
      <Route path="samples/:machineId/:fluidId" element={<SystemPage />} />
      <Route path=":machineId/:roundId" element={<RoundPage />} />
      <Route path="*" element={<NotFound />} />
    </Routes>
  );
}
