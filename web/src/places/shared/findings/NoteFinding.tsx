import type { ReactElement } from "react";
import { overlayClosed } from "../../../session/session.js";
import { useAppDispatch, useAppSelector } from "../../../session/store.js";
import { FindingDialog } from "./FindingDialog.js";

/** Notes something found, over whatever place one is at. */
export default function NoteFinding(): ReactElement {
  const dispatch = useAppDispatch();
  const machine = useAppSelector((state) => state.session.findingOf);
  return (
    <FindingDialog finding={null} machine={machine} onClose={() => dispatch(overlayClosed())} />
  );
}
