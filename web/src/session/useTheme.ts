import { useEffect, useState } from "react";
import { useAppSelector } from "./store.js";

const NIGHT = "(prefers-color-scheme: dark)";

/** Sets the theme on the page, by preference or as the system has it; answers whether it is night. */
export function useTheme(): boolean {
  const chosen = useAppSelector((state) => state.preferences.theme);
  const [systemIsNight, setSystemIsNight] = useState(() => window.matchMedia(NIGHT).matches);
  useEffect(() => {
    const query = window.matchMedia(NIGHT);
    const onChange = (): void => setSystemIsNight(query.matches);
    query.addEventListener("change", onChange);
    return () => query.removeEventListener("change", onChange);
  }, []);
  const isNight = chosen === "night" || (chosen === "system" && systemIsNight);
  useEffect(() => {
    document.documentElement.dataset["theme"] = isNight ? "night" : "day";
  }, [isNight]);
  return isNight;
}
