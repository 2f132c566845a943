/** All that writing to a book needs beyond reading it. */
export { numbered, takenBack } from "@yonderfell/core";
export { rowsOf } from "./rows.js";
export { stamped } from "./stamped.js";
export { changedElsewhere, contradiction, wholeBook, writeChange } from "./writeChange.js";
export { dropUnused, hashesInUse } from "./unusedPictures.js";
