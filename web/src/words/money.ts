import { figure, NBSP } from "./format.js";

/** An amount of money in the book's currency, whatever that is called there. */
export function money(amount: number, currency: string | null | undefined): string {
  const text = figure(amount, 2);
  return currency === null || currency === undefined || currency === ""
    ? text
    : `${text}${NBSP}${currency}`;
}
