import { lazy, type ReactElement } from "react";
import { Route, Routes } from "react-router";
import PlanPage from "./PlanPage.js";
import { again } from "../../../ui/again.js";

const NotFound = lazy(again(() => import("../../../ui/NotFound.js")));
const TaskPage = lazy(again(() => import("./TaskPage.js")));
const TakePlan = lazy(again(() => import("./TakePlan.js")));
const SchoolsPage = lazy(again(() => import("./SchoolsPage.js")));
const BaselinePage = lazy(again(() => import("./BaselinePage.js")));
const LadderPage = lazy(again(() => import("./LadderPage.js")));

/** The addresses under a machine's plan; their code is named here and not with the first sight of the program. */
export default function PlanRoutes(): ReactElement {
  return (
    <Routes>
      <Route index element={<PlanPage />} />
      <Route path="take" element={<TakePlan />} />
      <Route path="schools" element={<SchoolsPage />} />
      <Route path="baseline" element={<BaselinePage />} />
      <Route path="ladder/:ladder?" element={<LadderPage />} />
      <Route path="task/:taskId" element={<TaskPage />} />
      <Route path="*" element={<NotFound />} />
    </Routes>
  );
}
