import { useMemo, useRef, useState, type ReactElement, type ReactNode } from "react";
import { ReckonerContext, type ReckonerCall, type ReckonerCalls } from "./reckonerCalls.js";
import { overlayOpened } from "./session.js";
import { useAppDispatch } from "./store.js";

/** Lets fields within ask the Reckoner. */
export function ReckonerProvider({ children }: { readonly children: ReactNode }): ReactElement {
  const dispatch = useAppDispatch();
  const [call, setCall] = useState<ReckonerCall | null>(null);
  const measureTakerRef: ReckonerCalls["measureTakerRef"] = useRef(null);
  const calls = useMemo(
    (): ReckonerCalls => ({
      ...{ call, measureTakerRef },
      ask: (asked) => {
        setCall(asked);
        dispatch(overlayOpened("reckoner"));
      },
      answered: () => setCall(null),
    }),
    [call, dispatch],
  );
  return <ReckonerContext value={calls}>{children}</ReckonerContext>;
}
