import { lazy, type ReactElement } from "react";
import { Route, Routes } from "react-router";
import { again } from "../../ui/again.js";

const NotFound = lazy(again(() => import("../../ui/NotFound.js")));
const ShelvesPage = lazy(again(() => import("./shelves/ShelvesPage.js")));
const CountPage = lazy(again(() => import("./shelves/CountPage.js")));
const LabelsPage = lazy(again(() => import("./shelves/LabelsPage.js")));
const BuyPage = lazy(again(() => import("./buy/BuyPage.js")));
const OrdersPage = lazy(again(() => import("./orders/OrdersPage.js")));
const NewOrder = lazy(again(() => import("./orders/NewOrder.js")));
const OrderPage = lazy(again(() => import("./orders/OrderPage.js")));
const WastePage = lazy(again(() => import("./waste/WastePage.js")));
const WasteYear = lazy(again(() => import("./waste/WasteYear.js")));
const QuotePage = lazy(again(() => import("./quote/QuotePage.js")));
const QuotesPage = lazy(again(() => import("./quote/QuotesPage.js")));
const CataloguePage = lazy(again(() => import("./catalogue/CataloguePage.js")));

/** The addresses of Stores; their code is named here and not with the first sight of the program. */
export default function StoresRoutes(): ReactElement {
  return (
    <Routes>
      <Route index element={<ShelvesPage />} />
      <Route path="count" element={<CountPage />} />
      <Route path="labels" element={<LabelsPage />} />
      <Route path="buy" element={<BuyPage />} />
      <Route path="orders" element={<OrdersPage />} />
      <Route path="orders/new" element={<NewOrder />} />
      <Route path="orders/:orderId" element={<OrderPage />} />
      <Route path="waste" element={<WastePage />} />
      <Route path="waste/year" element={<WasteYear />} />
      <Route path="quote/:machineId/:visitId" element={<QuotePage />} />
      <Route path="quotes" element={<QuotesPage />} />
      <Route path="numbers" element={<CataloguePage />} />
      <Route path="*" element={<NotFound />} />
    </Routes>
  );
}
