import {
  openPlaces,
  placesOf,
  resultAt,
  type CheckPlace,
  type CheckResult,
} from "@yonderfell/core";
import { useSearchParams } from "react-router";
import type { ShownRound } from "./useRounds.js";

/** Where one is in a round. */
export interface InHand {
  readonly places: readonly CheckPlace[];
  /** Null at the end, where nothing is open and nothing is asked for. */
  readonly place: CheckPlace | null;
  readonly at: number;
  readonly result: CheckResult | null;
  /** The place that is open after this one, else the first that is; null where none is. */
  readonly next: CheckPlace | null;
  readonly open: readonly CheckPlace[];
  readonly go: (place: CheckPlace | null) => void;
}

export const keyOf = ({ check, point }: CheckPlace): string => JSON.stringify([check.id, point]);

/** The place of the address, else the first that is open; `end` is asked for once all is told. */
export function useInHand({ round, checklist }: ShownRound): InHand {
  const [search, setSearch] = useSearchParams();
  const places = placesOf(checklist);
  const open = openPlaces(round, checklist);
  const asked = search.get("at");
  const first = open[0] ?? null;
  const found = places.find((one) => keyOf(one) === asked) ?? null;
  const place = asked === "end" ? null : (found ?? first);
  const at = place === null ? -1 : places.findIndex((one) => keyOf(one) === keyOf(place));
  const later = open.find((one) => places.findIndex((two) => keyOf(two) === keyOf(one)) > at);
  const others = open.filter((one) => place === null || keyOf(one) !== keyOf(place));
  return {
    ...{ places, place, at, open },
    result: place === null ? null : resultAt(round, place),
    next: later ?? others[0] ?? null,
    go: (to) => setSearch({ at: to === null ? "end" : keyOf(to) }, { replace: true }),
  };
}
