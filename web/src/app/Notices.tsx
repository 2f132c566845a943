import { useEffect, type ReactElement } from "react";
import { toast, Toaster } from "sonner";
import { noticesShown } from "./session.js";
import { useAppDispatch, useAppSelector } from "./store.js";

/** The notes look like the rest of the program. */
const PAPER = {
  fontFamily: '"Atkinson Hyperlegible Next Variable", system-ui, sans-serif',
  background: "var(--raised)",
  color: "var(--ink)",
  borderColor: "var(--rule)",
};

/** The short notes at the edge of the screen; loaded with the first of them. */
export default function Notices({ isNight }: { readonly isNight: boolean }): ReactElement {
  const notices = useAppSelector((state) => state.session.notices);
  const dispatch = useAppDispatch();
  useEffect(() => {
    if (notices.length === 0) return;
    for (const { isGood, words } of notices) (isGood ? toast.success : toast.error)(words);
    dispatch(noticesShown());
  }, [notices, dispatch]);
  return (
    <Toaster
      theme={isNight ? "dark" : "light"}
      position="bottom-right"
      toastOptions={{ style: PAPER }}
    />
  );
}
