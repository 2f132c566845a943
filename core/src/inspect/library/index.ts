import type { Checklist } from "../../book/records/checklist.js";
import { BONNET } from "./bonnet.js";
import { DAILY } from "./daily.js";
import { INSPECTIONS } from "./inspections.js";

/**
 * Checklists for any machine, in the form of the book's own: a round begun by one takes a copy of it into the book. Limits are
 * usual ones, named as such; those of the machine's own plate win (`specification`), and its handbook, law and licensed
 * practice before both.
 */
export const CHECKLIST_LIBRARY: readonly Checklist[] = [...DAILY, ...BONNET, ...INSPECTIONS];
