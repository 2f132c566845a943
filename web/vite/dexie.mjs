/**
 * The storage library as the page and its workers take it: its build for browsers of today (the one its package gives is
 * written for those of ten years ago), of which both take the same one export, so that the file is the same and
 * fetched once.
 */
import { Dexie } from "dexie/dist/modern/dexie.mjs";

export const { liveQuery } = Dexie;
export { Dexie };
export default Dexie;
