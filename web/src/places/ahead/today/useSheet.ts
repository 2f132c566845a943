import { formatDay, parseDay, type BoardMachine, type DayNumber } from "@yonderfell/core";
import { useSearchParams } from "react-router";
import { useAppSelector } from "../../../session/store.js";

/** No id: whose machines nobody looks after. */
export const NOBODY = "nobody's";

/** Which sheet is looked at, kept in the address: of a day, and of whose machines. */
export interface Sheet {
  readonly day: DayNumber;
  /** The id of a person, NOBODY, or empty for everybody's. */
  readonly who: string;
  readonly setDay: (day: DayNumber) => void;
  readonly setWho: (who: string) => void;
}

/** The sheet the address asks for; today's of everybody where it asks for none. */
export function useSheet(): Sheet {
  const [search, setSearch] = useSearchParams();
  const today = useAppSelector((state) => state.session.today);
  const patch = (key: "on" | "who", value: string): void => {
    const next = new URLSearchParams(search);
    if (value === "") next.delete(key);
    else next.set(key, value);
    setSearch(next, { replace: true });
  };
  return {
    day: parseDay(search.get("on") ?? "") ?? today,
    who: search.get("who") ?? "",
    setDay: (day) => patch("on", day === today ? "" : formatDay(day)),
    setWho: (who) => patch("who", who),
  };
}

/** Whether a machine belongs on a sheet. */
export function isFor({ machine }: Pick<BoardMachine, "machine">, who: string): boolean {
  if (who === "") return true;
  return who === NOBODY ? (machine.person ?? null) === null : machine.person === who;
}
