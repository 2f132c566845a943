import { RefreshCw } from "lucide-react";
import { useEffect, useState, type ReactElement } from "react";
import { registerSW } from "virtual:pwa-register";
import { QUIET_BUTTON } from "../ui/buttons.js";

/** How often an open page looks for a newer version by itself. */
const LOOK_EVERY_MS = 3_600_000;

type Load = (reload?: boolean) => Promise<void>;

/**
 * Keeps the program itself in the browser, so that it works without the server, and says when a
 * newer version is ready. It is loaded on the person's word only.
 */
export default function NewerVersion(): ReactElement | null {
  const [load, setLoad] = useState<Load | null>(null);
  const [isPutOff, setIsPutOff] = useState(false);
  useEffect(() => {
    // While it is being developed the program changes under one's hands and is not kept.
    if (!import.meta.env.PROD || !("serviceWorker" in navigator)) return undefined;
    let timer: ReturnType<typeof setInterval> | undefined;
    const update = registerSW({
      immediate: true,
      onNeedRefresh: () => setLoad(() => update),
      onRegisteredSW: (_address, registration) => {
        timer = setInterval(() => void registration?.update(), LOOK_EVERY_MS);
      },
    });
    return () => clearInterval(timer);
  }, []);
  if (load === null || isPutOff) return null;
  return (
    <div
      role="status"
      className="flex flex-wrap items-center gap-x-5 gap-y-1 border-b border-hairline bg-raised px-7 py-1.5 max-sm:px-4"
    >
      <p className="flex-1">A newer version of Yonderfell is ready. Nothing saved is touched.</p>
      <button type="button" className={QUIET_BUTTON} onClick={() => void load(true)}>
        <RefreshCw size={18} aria-hidden="true" />
        Load it
      </button>
      <button type="button" className={QUIET_BUTTON} onClick={() => setIsPutOff(true)}>
        Later
      </button>
    </div>
  );
}
