/** All that a book needs beyond the reading of its board. */
export { takenBack } from "@yonderfell/core";
export { changedElsewhere, contradiction, wholeBook } from "./checkChange.js";
export { readLatestEntries } from "./latestEntries.js";
export { countRecords, readSections, readShared } from "./moreSlices.js";
export { fillBook } from "./fillBook.js";
export { readBack } from "./readBack.js";
export { stamped } from "./stamped.js";
export { dropUnused, hashesInUse } from "./unusedPictures.js";
export { writeChange } from "./writeChange.js";
export { isOnlyLogged } from "./isOnlyLogged.js";
