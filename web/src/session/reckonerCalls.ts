import type { Entry, Quantity } from "@yonderfell/core";
import { createContext, useContext, useEffect } from "react";

/** A field that asks the Reckoner for its figure. */
export interface ReckonerCall {
  /** The sum it asks. */
  readonly sum: string;
  /** What the field is called. */
  readonly field: string;
  readonly take: (quantity: Quantity) => void;
}

/** An answer that is kept with work: what was measured, and what it is found to be. */
export type Measure = NonNullable<Entry["measures"]>[number];

/** Who waits for what the Reckoner finds. */
export interface ReckonerCalls {
  readonly call: ReckonerCall | null;
  /** Opens it for a field. */
  readonly ask: (call: ReckonerCall) => void;
  /** What was asked is answered, or wanted no longer. */
  readonly answered: () => void;
  /** The form of work on the page, which takes measures; null where none is there. */
  readonly measureTakerRef: { current: ((measure: Measure) => void) | null };
}

export const ReckonerContext = createContext<ReckonerCalls>({
  ...{ call: null, ask: () => undefined, answered: () => undefined },
  measureTakerRef: { current: null },
});

/** Who waits for what the Reckoner finds, and the way to ask it. */
export const useReckonerCalls = (): ReckonerCalls => useContext(ReckonerContext);

/** Lets the form on the page take what the Reckoner keeps as a measure. */
export function useMeasureTaker(take: (measure: Measure) => void): void {
  const { measureTakerRef } = useReckonerCalls();
  useEffect(() => {
    measureTakerRef.current = take;
    return () => {
      measureTakerRef.current = null;
    };
  }, [measureTakerRef, take]);
}
