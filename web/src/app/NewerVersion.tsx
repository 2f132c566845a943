import { RefreshCw } from "lucide-react";
import { useEffect, useRef, useState, type ReactElement } from "react";
import { registerSW } from "virtual:pwa-register";
import { QUIET_BUTTON } from "../ui/buttons.js";

/** How often an open page looks for a newer version by itself. */
const LOOK_EVERY_MS = 3_600_000;

type Load = (reload?: boolean) => Promise<void>;

/** What is said of a newer version: that it is ready, or that another tab has loaded it. */
type News = "ready" | "elsewhere";

const WORDS: Readonly<Record<News, string>> = {
  ready: "A newer version of Yonderfell is ready. Nothing saved is touched.",
  elsewhere:
    "A newer version of Yonderfell was loaded in another tab. Load it here too when it suits; what is typed here stays.",
};

/**
 * Keeps the program itself in the browser, so that it works without the server, and says when a
 * newer version is ready. It is loaded on the person's word only, in each tab for itself.
 */
export default function NewerVersion(): ReactElement | null {
  const [news, setNews] = useState<News | null>(null);
  const load = useRef<Load | null>(null);
  const isAsked = useRef(false);
  const [isPutOff, setIsPutOff] = useState(false);
  useEffect(() => {
    // While it is being developed the program changes under one's hands and is not kept.
    if (!import.meta.env.PROD || !("serviceWorker" in navigator)) return undefined;
    let timer: ReturnType<typeof setInterval> | undefined;
    const update = registerSW({
      immediate: true,
      onNeedRefresh: () => setNews("ready"),
      onNeedReload: () => {
        if (isAsked.current) window.location.reload();
        else {
          setNews("elsewhere");
          setIsPutOff(false);
        }
      },
      onRegisteredSW: (_address, registration) => {
        timer = setInterval(() => void registration?.update(), LOOK_EVERY_MS);
      },
    });
    load.current = update;
    return () => clearInterval(timer);
  }, []);
  const loadIt = (): void => {
    isAsked.current = true;
    if (news === "elsewhere") window.location.reload();
    else void load.current?.(true);
  };
  if (news === null || isPutOff) return null;
  return (
    <div
      role="status"
      className="flex flex-wrap items-center gap-x-5 gap-y-1 border-b border-hairline bg-raised px-7 py-1.5 max-sm:px-4"
    >
      <p className="flex-1">{WORDS[news]}</p>
      <button type="button" className={QUIET_BUTTON} onClick={loadIt}>
        <RefreshCw size={18} aria-hidden="true" />
        Load it
      </button>
      <button type="button" className={QUIET_BUTTON} onClick={() => setIsPutOff(true)}>
        Later
      </button>
    </div>
  );
}
