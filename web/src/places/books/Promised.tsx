import type { ReactElement } from "react";
import { Link } from "react-router";
import promised from "../../../../docs/trust.md?raw";
import { DocumentText } from "../../ui/DocumentText.js";
import { Page } from "../../ui/Page.js";

/** What is promised of what is saved, and what is not: the page of the documents. */
export default function Promised(): ReactElement {
  return (
    <Page title="What is promised, and what is not">
      <div className="space-y-4">
        <DocumentText text={promised} />
        <p>
          <Link to="/books" className="text-clear underline">
            Back to Books
          </Link>
        </p>
      </div>
    </Page>
  );
}
