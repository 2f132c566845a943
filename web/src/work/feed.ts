import type { FeedBox } from "@yonderfell/core";

const ADDRESS = "/stand-ins/feed";

/** What comes of asking the meter feed: its figures as a file, a line each; or it is not there. */
export type FeedReply =
  { readonly code: "told"; readonly file: File } | { readonly code: "absent" };

/** Asks the (simulated) meter feed for the figures of some boxes up to a day. */
export async function askFeed(boxes: readonly FeedBox[], until: string): Promise<FeedReply> {
  try {
    const response = await fetch(ADDRESS, {
      ...{ method: "POST", headers: { "Content-Type": "application/json" } },
      body: JSON.stringify({ boxes, until }),
    });
    // Installed and without its server the page itself would answer.
    const isFeed = response.headers.get("content-type")?.includes("ndjson") === true;
    if (!response.ok || !isFeed) return { code: "absent" };
    const text = await response.text();
    return { code: "told", file: new File([text], `meter feed up to ${until}`) };
  } catch (error) {
    if (error instanceof TypeError) return { code: "absent" };
    throw error;
  }
}
