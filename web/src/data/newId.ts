import { v4 } from "uuid";

/** A new id that nothing else has; also where the page is not served securely. */
export const newId = (): string => v4();
