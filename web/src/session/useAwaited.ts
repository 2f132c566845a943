import { useEffect, useState } from "react";

/** What became of something waited for. */
export type Awaited<Value> =
  | { readonly code: "waiting" }
  | { readonly code: "here"; readonly value: Value }
  | { readonly code: "failed"; readonly error: unknown };

/** Starts something once and answers what has become of it. `start` must stay the same function. */
export function useAwaited<Value>(start: () => Promise<Value>): Awaited<Value> {
  const [state, setState] = useState<Awaited<Value>>({ code: "waiting" });
  useEffect(() => {
    let isWanted = true;
    start().then(
      (value) => isWanted && setState({ code: "here", value }),
      (error: unknown) => isWanted && setState({ code: "failed", error }),
    );
    return () => {
      isWanted = false;
    };
  }, [start]);
  return state;
}
