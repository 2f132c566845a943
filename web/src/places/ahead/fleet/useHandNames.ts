import { useMemo } from "react";
import { useLiveOf } from "../../../data/useLiveOf.js";
import { useBook } from "../../../session/openBook.js";

/** What people and bays are called, by id: people by their initials. */
export function useHandNames(): (id: string) => string {
  const { storage } = useBook();
  const people = useLiveOf("people", () => storage.list("people"), [storage]);
  const bays = useLiveOf("bays", () => storage.list("bays"), [storage]);
  return useMemo(() => {
    const names = new Map<string, string>([
      ...(people ?? []).map(({ id, initials }) => [id, initials] as const),
      ...(bays ?? []).map(({ id, name }) => [id, name] as const),
    ]);
    return (id) => names.get(id) ?? id;
  }, [people, bays]);
}
