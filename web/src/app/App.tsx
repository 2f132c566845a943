import { lazy, Suspense, type ReactElement } from "react";
import { BrowserRouter, Navigate, Route, Routes } from "react-router";
import { Failure } from "./Failure.js";
import { BookOfTab } from "./BookOfTab.js";
import { OpenDemonstration } from "./OpenDemonstration.js";

const Welcome = lazy(() => import("../places/welcome/Welcome.js"));
const Ahead = lazy(() => import("../places/ahead/Ahead.js"));
const OtherPlaces = lazy(() => import("./OtherPlaces.js"));

/** What is seen first; all other addresses come with their own code, after the first sight. */
export function App(): ReactElement {
  return (
    <BrowserRouter>
      <Failure>
        <Suspense>
          <Routes>
            <Route path="/welcome" element={<Welcome />} />
            <Route path="/demonstration" element={<OpenDemonstration />} />
            <Route element={<BookOfTab />}>
              <Route index element={<Navigate to="/ahead" replace />} />
              <Route path="/ahead" element={<Ahead />} />
              <Route path="*" element={<OtherPlaces />} />
            </Route>
          </Routes>
        </Suspense>
      </Failure>
    </BrowserRouter>
  );
}
