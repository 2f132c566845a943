export { isMeasured, measureIssuesOf } from "./measureIssues.js";
export { ownerOf } from "./ownerOf.js";
export { ownReferenceIssues, referenceIssues } from "./references.js";
export { pictureHashes, sharedReferences } from "./referencesIn.js";
export { PICTURED_SECTIONS, REFERRED_SECTIONS } from "./refers.js";
