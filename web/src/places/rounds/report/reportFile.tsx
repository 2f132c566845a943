import type { Picture } from "@yonderfell/core";
import { renderToStaticMarkup } from "react-dom/server";
import type { BookStorage } from "../../../data/bookStorage.js";
import type { StoredPicture } from "../../../data/picture.js";
import cssAddress from "./report.css?url";
import type { Paper } from "./paper.js";
import { ReportPaper } from "./ReportPaper.js";

/** The pictures that a report shows. */
function picturesOf({ report }: Pick<Paper, "report">): Picture[] {
  const { now, next, watch, declined } = report;
  return [...now, ...next, ...watch, ...declined].flatMap(({ finding }) => finding.pictures ?? []);
}

const CHUNK = 0x8000;

/** A picture within a page. */
function dataAddress({ type, bytes }: StoredPicture): string {
  const all = new Uint8Array(bytes);
  let text = "";
  for (let at = 0; at < all.length; at += CHUNK) {
    text += String.fromCharCode(...all.subarray(at, at + CHUNK));
  }
  return `data:${type};base64,${btoa(text)}`;
}

/** A report as a file of its own that any browser opens and prints: its words, its look and its pictures, nothing from elsewhere. */
export async function reportFile(
  paper: Omit<Paper, "picture">,
  storage: Pick<BookStorage, "picture">,
): Promise<Blob> {
  const css = await (await fetch(cssAddress)).text();
  const addresses = new Map<string, string>();
  for (const { hash } of picturesOf(paper)) {
    const stored = await storage.picture(hash);
    if (stored !== null) addresses.set(hash, dataAddress(stored));
  }
  const body = renderToStaticMarkup(
    <ReportPaper
      {...paper}
      picture={({ hash, caption }) => {
        const address = addresses.get(hash);
        return address === undefined ? (
          <span className="fine">{caption ?? "Picture"}: not in this copy of the book</span>
        ) : (
          <img src={address} alt={caption ?? "Picture"} />
        );
      }}
    />,
  );
  const { machine } = paper.board;
  const title = renderToStaticMarkup(<title>{`${machine.tag} ${machine.name}: report`}</title>);
  const page = `<!doctype html>\n<html lang="en"><head><meta charset="utf-8">${title}<style>body{margin:0;font-family:sans-serif}${css}</style></head><body>${body}</body></html>\n`;
  return new Blob([page], { type: "text/html" });
}
