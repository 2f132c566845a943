import { labReportSchema, type LabReport } from "@yonderfell/core";

/** What comes of asking the laboratory: its report; it knows nothing of the label; it is not there. */
export type LabReply =
  | { readonly code: "reported"; readonly report: LabReport }
  | { readonly code: "unknown" }
  | { readonly code: "absent" };

const ADDRESS = "/stand-ins/laboratory/samples";

async function replyOf(response: Response): Promise<LabReply> {
  const isJson = response.headers.get("content-type")?.includes("json") === true;
  // Installed and without its server the page itself would answer.
  if (!isJson) return { code: "absent" };
  if (!response.ok) return { code: "absent" };
  const told: unknown = await response.json();
  if ((told as { readonly known?: unknown } | null)?.known === false) return { code: "unknown" };
  const read = labReportSchema.safeParse(told);
  return read.success ? { code: "reported", report: read.data } : { code: "absent" };
}

async function asked(address: string, init: RequestInit): Promise<LabReply> {
  try {
    return await replyOf(await fetch(address, init));
  } catch (error) {
    if (error instanceof TypeError || error instanceof SyntaxError) return { code: "absent" };
    throw error;
  }
}

/** Sends a sample with its label; `oilLife` as the sum *sample* counts it. */
export const sendToLaboratory = (label: string, oilLife: number | null): Promise<LabReply> =>
  asked(ADDRESS, {
    ...{ method: "POST", headers: { "Content-Type": "application/json" } },
    body: JSON.stringify({ label, oilLife }),
  });

/** Asks after a sample that was sent. */
export const askLaboratory = (label: string): Promise<LabReply> =>
  asked(`${ADDRESS}/${encodeURIComponent(label)}`, { cache: "no-store" });
