import type { ReactElement } from "react";
import Markdown, { type Components } from "react-markdown";
import { Link } from "react-router";
import remarkGfm from "remark-gfm";
import promised from "../../../../docs/trust.md?raw";
import { Page } from "../../ui/Page.js";

/** How the parts of a document are drawn; its title is that of the page, and other documents are not here to go to. */
const PARTS: Components = {
  h1: () => null,
  a: ({ children }) => <span className="font-semibold">{children}</span>,
  p: ({ children }) => <p className="max-w-[68ch]">{children}</p>,
  ul: ({ children }) => <ul className="max-w-[68ch] list-disc space-y-1 pl-5">{children}</ul>,
  table: ({ children }) => (
    <table className="max-w-[52rem] border-collapse text-left">{children}</table>
  ),
  tr: ({ children }) => <tr className="border-b border-hairline align-top">{children}</tr>,
  th: ({ children }) => <th className="py-2 pr-6 font-semibold">{children}</th>,
  td: ({ children }) => <td className="py-2 pr-6">{children}</td>,
};

/** What is promised of what is saved, and what is not: the page of the documents. */
export default function Promised(): ReactElement {
  return (
    <Page title="What is promised, and what is not">
      <div className="space-y-4">
        <Markdown remarkPlugins={[remarkGfm]} components={PARTS}>
          {promised}
        </Markdown>
        <p>
          <Link to="/books" className="text-clear underline">
            Back to Books
          </Link>
        </p>
      </div>
    </Page>
  );
}
