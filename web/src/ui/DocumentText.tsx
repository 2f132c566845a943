import type { ReactElement } from "react";
import Markdown, { type Components } from "react-markdown";
import remarkGfm from "remark-gfm";

/** How the parts of a document are drawn; its title is that of the page, and other documents are not here to go to. */
const PARTS: Components = {
  h1: () => null,
  h2: ({ children }) => <h2 className="pt-3 text-large font-bold">{children}</h2>,
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

/** A page of the documents that ship with the program. */
export function DocumentText({ text }: { readonly text: string }): ReactElement {
  return (
    <Markdown remarkPlugins={[remarkGfm]} components={PARTS}>
      {text}
    </Markdown>
  );
}
