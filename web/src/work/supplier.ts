import {
  offersAnswerSchema,
  supplierOrderSchema,
  type SupplierAnswer,
  type SupplierOrder,
} from "@yonderfell/core";
import { z } from "zod";

const ADDRESS = "/stand-ins/supplier";
const nameSchema = z.looseObject({ supplier: z.string() });

/** What comes of asking the supplier; null where it is not there, or does not know what it is asked after. */
async function asked<Answer>(
  path: string,
  schema: z.ZodType<Answer>,
  init: RequestInit = { cache: "no-store" },
): Promise<Answer | null> {
  try {
    const response = await fetch(`${ADDRESS}${path}`, init);
    // Installed and without its server the page itself would answer.
    const isJson = response.headers.get("content-type")?.includes("json") === true;
    if (!isJson || !response.ok) return null;
    const read = schema.safeParse(await response.json());
    return read.success ? read.data : null;
  } catch (error) {
    if (error instanceof TypeError || error instanceof SyntaxError) return null;
    throw error;
  }
}

const sending = (body: object): RequestInit => ({
  ...{ method: "POST", headers: { "Content-Type": "application/json" } },
  body: JSON.stringify(body),
});

/** Whom one can order from through the program; null where nobody is there. */
export const supplierName = async (): Promise<string | null> =>
  (await asked("", nameSchema))?.supplier ?? null;

/** Asks prices, packs and days by number. */
export const askOffers = (numbers: readonly string[]): Promise<SupplierAnswer | null> =>
  asked("/offers", offersAnswerSchema, sending({ numbers }));

/** A line as the supplier is told it: pieces of a part, packs of a product. */
export interface LineSent {
  readonly number: string;
  readonly count: number;
  readonly pack: number | null;
}

/** Orders. */
export const sendOrder = (lines: readonly LineSent[]): Promise<SupplierOrder | null> =>
  asked("/orders", supplierOrderSchema, sending({ lines }));

/** Asks after an order. */
export const askOrder = (reference: string): Promise<SupplierOrder | null> =>
  asked(`/orders/${encodeURIComponent(reference)}`, supplierOrderSchema);
