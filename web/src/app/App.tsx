import { lazy, Suspense, type ReactElement } from "react";
import { BrowserRouter, Navigate, Route, Routes, useLocation } from "react-router";
import { Failure } from "./Failure.js";
import { BookOfTab } from "./BookOfTab.js";
import { OpenDemonstration } from "./OpenDemonstration.js";
import { again } from "../ui/again.js";

const Welcome = lazy(again(() => import("../places/welcome/Welcome.js")));
const Ahead = lazy(again(() => import("../places/ahead/Ahead.js")));
const OtherPlaces = lazy(again(() => import("./OtherPlaces.js")));

/** What is seen first; all other addresses come with their own code, after the first sight. */
export function App(): ReactElement {
  return (
    <BrowserRouter>
      <Addresses />
    </BrowserRouter>
  );
}

function Addresses(): ReactElement {
  const { pathname } = useLocation();
  return (
    <Failure where={pathname}>
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
  );
}
