import {
  keepContainer,
  moveWaste,
  strikeWaste,
  type Container,
  type WasteIssue,
  type WasteTold,
} from "@yonderfell/core";
import { useCommands } from "../../../session/useCommands.js";
import { wasteIssueWords } from "./wasteWords.js";

/** What is done with waste; each answers whether it is done. */
interface Wasting {
  readonly move: (told: WasteTold) => Promise<boolean>;
  readonly keep: (container: Container, isEmpty: boolean) => Promise<boolean>;
  readonly strike: (id: string) => Promise<boolean>;
  readonly failure: string;
}

/** The ways to fill, hand in, and say what is kept in what. */
export function useWaste(): Wasting {
  const { run, failure } = useCommands<WasteIssue>(wasteIssueWords);
  return {
    move: async (told) => {
      const saved = await run(
        (storage, around) =>
          storage.performShared(
            ["containers"],
            (slice, context) => moveWaste(slice, told, context),
            around,
          ),
        told.why === "filled" ? "Written down." : "Handed in, and written down.",
      );
      return saved !== null;
    },
    keep: async (container, isEmpty) => {
      const saved = await run(
        (storage, around) =>
          storage.performShared(
            ["containers"],
            (slice, context) => keepContainer(slice, container, isEmpty, context),
            around,
          ),
        "Saved.",
      );
      return saved !== null;
    },
    strike: async (id) => {
      const saved = await run(
        (storage, around) =>
          storage.performShared(
            ["wasteMoves"],
            (slice, context) => strikeWaste(slice, id, context),
            around,
          ),
        "Struck out.",
      );
      return saved !== null;
    },
    failure,
  };
}
