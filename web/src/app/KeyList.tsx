import type { ReactElement } from "react";
import { DialogFrame } from "../ui/DialogFrame.js";
import { KEYS } from "./keys.js";
import { overlayClosed } from "../session/session.js";
import { useAppDispatch, useAppSelector } from "../session/store.js";

/** The list of keys. */
export default function KeyList(): ReactElement {
  const dispatch = useAppDispatch();
  const hasSingleKeys = useAppSelector((state) => state.preferences.hasSingleKeys);
  const shown = KEYS.filter((key) => hasSingleKeys || !key.isSingle);
  return (
    <DialogFrame title="Keys" onClose={() => dispatch(overlayClosed())}>
      <dl className="mt-3 grid grid-cols-[max-content_1fr] gap-x-6 pb-3">
        {shown.map(({ keys, does }) => (
          <div
            key={keys}
            className="col-span-2 grid grid-cols-subgrid items-baseline border-t border-hairline py-1.5"
          >
            <dt className="font-mono font-bold">{keys}</dt>
            <dd>{does}</dd>
          </div>
        ))}
      </dl>
      <p className="pb-3 text-fine text-quiet">
        {hasSingleKeys
          ? "Keys never act while one writes in a field. Single keys can be switched off in Preferences."
          : "Single keys are switched off in Preferences."}
      </p>
    </DialogFrame>
  );
}
