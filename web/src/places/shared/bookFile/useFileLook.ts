import { proxy } from "comlink";
import { useState, type RefObject } from "react";
import { useAppSelector } from "../../../session/store.js";
import { useFocusNext } from "../../../ui/useFocusNext.js";
import { errorWords } from "../../../words/errorWords.js";
import type { BookSummary } from "@yonderfell/core";
import { endLooking, fileIn } from "../../../work/exchangeClient.js";

/** What has become of a file that was chosen. */
export type FileLook =
  | { readonly code: "none" }
  | {
      readonly code: "looking";
      readonly file: string;
      /** How much of it is unpacked, from 0 to 1; null where that is not known. */
      readonly share: number | null;
    }
  | { readonly code: "refused"; readonly file: string; readonly reasons: readonly string[] }
  | { readonly code: "sound"; readonly file: string; readonly summary: BookSummary };

/** Looks at a file that a person chooses; nothing is stored by looking. */
export function useFileLook(): {
  readonly look: FileLook;
  readonly choose: (file: File) => Promise<FileLook>;
  readonly forget: () => void;
  /** Ends the looking: nothing was stored by it, and the button that chooses a file has the focus again. */
  readonly stop: () => void;
  readonly chooser: RefObject<HTMLButtonElement | null>;
} {
  const today = useAppSelector((state) => state.session.today);
  const { ref, focusNext } = useFocusNext<HTMLButtonElement>();
  const [look, setLook] = useState<FileLook>({ code: "none" });
  const choose = async (file: File): Promise<FileLook> => {
    const { name } = file;
    setLook({ code: "looking", file: name, share: null });
    const found = await lookAt(file, name);
    setLook(found);
    return found;
  };
  const lookAt = async (file: File, name: string): Promise<FileLook> => {
    try {
      const onLooked = (share: number): void =>
        setLook((now) => (now.code === "looking" ? { ...now, share } : now));
      const read = await fileIn().look(file, today, proxy(onLooked));
      return read.ok
        ? { code: "sound", file: name, summary: read.value }
        : { code: "refused", file: name, reasons: read.issues };
    } catch (error) {
      return { code: "refused", file: name, reasons: [errorWords(error)] };
    }
  };
  const forget = (): void => setLook({ code: "none" });
  const stop = (): void => {
    endLooking();
    forget();
    focusNext();
  };
  return { look, choose, forget, stop, chooser: ref };
}
