import type { Sample } from "@yonderfell/core";
import { useEffect, useState } from "react";
import { askLaboratory, type LabReply } from "../../../work/laboratory.js";

/** So often the laboratory is asked after what is awaited. */
const ASK_EVERY_MS = 2000;

/** What the laboratory says of a sample that was sent to it: asked again and again while it is awaited and the page is looked at, once where it has answered; null until it is asked. */
export function useLabReport({ label, sent, online, result }: Sample): LabReply | null {
  const [reply, setReply] = useState<LabReply | null>(null);
  // What went by post, or was typed from a letter, is no laboratory's that could be asked.
  const isAsked = online === true && (!result || typeof result.answer === "number");
  const isAwaited = !result;
  useEffect(() => {
    if (!isAsked || !label) return undefined;
    let isWanted = true;
    const ask = (): void => {
      if (document.visibilityState === "hidden") return;
      void askLaboratory(label).then((found) => {
        if (!isWanted) return;
        setReply(found);
        const isAnswered = found.code === "reported" && found.report.answers.length > 0;
        if (isAnswered) clearInterval(again);
      });
    };
    const again = isAwaited ? setInterval(ask, ASK_EVERY_MS) : undefined;
    ask();
    return () => {
      isWanted = false;
      clearInterval(again);
    };
  }, [isAsked, isAwaited, label, sent]);
  return isAsked ? reply : null;
}
