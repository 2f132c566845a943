import type { MeterId } from "../records/ids.js";
import type { Known } from "../records/known.js";
import type { RecordOf, Section } from "../records/recordSchemas.js";

/** What ids there are: of the records of each section, and of the meters of a machine. */
type IdOf = { readonly [S in Section]: RecordOf[S]["id"] } & { readonly meters: MeterId };

/** What an id is the id of; nothing for a text that is none. */
type Target<Id extends string> = {
  [S in keyof IdOf]: Id extends IdOf[S] ? S : never;
}[keyof IdOf];

type Below<P extends string, Step extends string> = P extends "" ? Step : `${P}.${Step}`;

/** The ids that stand somewhere in a value, as pairs of their path and what they are ids of. */
type Found<V, P extends string> = V extends string
  ? Target<V> extends never
    ? never
    : readonly [P, Target<V>]
  : V extends readonly (infer Item)[]
    ? Found<Item, Below<P, "*">>
    : V extends object
      ? InFields<V, P>
      : never;

type InFields<T, P extends string> = keyof Known<T> extends never
  ? Found<T[keyof T], Below<P, "*">>
  : { [K in keyof Known<T> & string]-?: InField<Known<T>[K], K, P> }[keyof Known<T> & string];

/** A key that is an id itself, or the field of a name; an `id` further in is that of something within. */
type InField<V, K extends string, P extends string> = K extends "id"
  ? never
  : Target<K> extends never
    ? Found<V, Below<P, K>>
    : readonly [Below<P, "#">, Target<K>] | Found<V, Below<P, "*">>;

/**
 * The ids of others that a record holds, by where they stand: names of fields, with `*` for each item
 * of a list or each value of an object; and what they are ids of. Its own `id`, its `machine` and what
 * it `replaces` are not among them.
 */
export type IdPaths<T> =
  InFields<T, ""> extends infer Pair
    ? {
        readonly [
          P in Pair extends readonly [infer At, unknown]
            ? Exclude<At, "machine" | "replaces">
            : never as P & string
        ]: Pair extends readonly [P, infer To] ? To : never;
      }
    : never;
