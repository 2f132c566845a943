import { lazy, type ReactElement } from "react";
import { Route, Routes } from "react-router";
import { again } from "../../ui/again.js";

const NotFound = lazy(again(() => import("../../ui/NotFound.js")));
const LogPage = lazy(again(() => import("./log/LogPage.js")));
const LedgerCosts = lazy(again(() => import("./LedgerCosts.js")));
const AheadCosts = lazy(again(() => import("./ahead/AheadCosts.js")));
const OnTimePage = lazy(again(() => import("./onTime/OnTimePage.js")));
const LearningPage = lazy(again(() => import("./learning/LearningPage.js")));
const RecordPage = lazy(again(() => import("./record/RecordPage.js")));
const WarrantyPage = lazy(again(() => import("./warranty/WarrantyPage.js")));

/** The addresses of the Ledger; their code is named here and not with the first sight of the program. */
export default function LedgerRoutes(): ReactElement {
  return (
    <Routes>
      <Route index element={<LogPage />} />
      <Route path="costs" element={<LedgerCosts />} />
      <Route path="ahead" element={<AheadCosts />} />
      <Route path="on-time" element={<OnTimePage />} />
      <Route path="learning" element={<LearningPage />} />
      <Route path="record/:machineId" element={<RecordPage />} />
      <Route path="warranty/:machineId" element={<WarrantyPage />} />
      <Route path="*" element={<NotFound />} />
    </Routes>
  );
}
