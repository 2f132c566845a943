import { PROGRAM } from "@yonderfell/core";
import type { ReactElement } from "react";
import { Link } from "react-router";
import changes from "../../../../CHANGELOG.md?raw";
import { DocumentText } from "../../ui/DocumentText.js";
import { Page } from "../../ui/Page.js";

/** What has changed from version to version, in the words of those who use it. */
export default function WhatIsNew(): ReactElement {
  return (
    <Page title={`What is new in ${PROGRAM.name}`}>
      <div className="space-y-4">
        <DocumentText text={changes} />
        <p>
          <Link to="/preferences" className="text-clear underline">
            Back to Preferences
          </Link>
        </p>
      </div>
    </Page>
  );
}
