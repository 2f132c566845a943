import { keepRecord, type EditedSection, type RecordOf } from "@yonderfell/core";
import { useCallback } from "react";
import { useApply } from "./useApply.js";

/** Keeps a record as edited; answers whether it is saved. */
export type Keep = <S extends EditedSection>(
  section: S,
  before: RecordOf[S] | null,
  after: RecordOf[S] | null,
) => Promise<boolean>;

/** The way to keep records that are edited in place, and what stood in the way of the last. */
export function useKeep(): { readonly keep: Keep; readonly failure: string } {
  const { apply, failure, fail } = useApply();
  const keep = useCallback<Keep>(
    async (section, before, after) => {
      const change = keepRecord(section, before, after);
      if (change.ok) return apply(change.value, after === null ? "Taken out." : "Saved.");
      const [issue] = change.issues;
      const where = issue === undefined ? "" : issue.path.join(" ");
      fail(`Not saved: ${where === "" ? "it" : where} must be ${issue?.expected ?? "sound"}.`);
      return false;
    },
    [apply, fail],
  );
  return { keep, failure };
}
