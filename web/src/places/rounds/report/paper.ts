import type { BoardMachine, MachineReport, Person, Picture, Specification } from "@yonderfell/core";
import type { ReactNode } from "react";

/** What a report is made of: nothing else is asked for while it is drawn, so that page, paper and file are one. */
export interface Paper {
  readonly report: MachineReport;
  readonly board: BoardMachine;
  readonly specifications: readonly Specification[];
  readonly people: readonly Person[];
  readonly currency: string;
  /** What the book is called: whose report it is. */
  readonly from: string;
  readonly size: "a4" | "letter";
  readonly picture: (picture: Picture) => ReactNode;
}
