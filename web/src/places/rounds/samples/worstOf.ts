import type { JudgedFigure, JudgedSample } from "@yonderfell/core";

const WORSE: readonly JudgedFigure["verdict"][] = ["sound", "watch", "attend", "stop"];

/** The worst verdict of a sample. */
export const worstOf = ({ each }: JudgedSample): JudgedFigure["verdict"] =>
  WORSE[Math.max(0, ...each.map(({ verdict }) => WORSE.indexOf(verdict)))] ?? "sound";
