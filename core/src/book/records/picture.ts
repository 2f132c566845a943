import { z } from "zod";
import { nameField, textField } from "./fields.js";

/** A picture a record refers to: stored once by the hash of what it holds, beside the book. */
const pictureSchema = z.looseObject(
  {
    /** SHA-256 of the stored picture, in hexadecimal. */
    hash: nameField.regex(/^[0-9a-f]{64}$/, "a SHA-256 in hexadecimal"),
    caption: textField.nullish(),
  },
  "a picture: its hash",
);
export type Picture = z.infer<typeof pictureSchema>;

/** The pictures of a record. */
export const picturesField = z.array(pictureSchema, "a list of pictures").optional();
