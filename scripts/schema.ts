import { writeFileSync } from "node:fs";
import { fileURLToPath } from "node:url";
import { bookJsonSchema } from "@yonderfell/core";

/** Writes the JSON Schema of the book file into the documentation. */
const file = fileURLToPath(new URL("../docs/formats/book.schema.json", import.meta.url));
writeFileSync(file, `${JSON.stringify(bookJsonSchema(), null, 2)}\n`);
