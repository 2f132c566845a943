import type { Job } from "@yonderfell/core";
import { Tag } from "lucide-react";
import type { ReactElement } from "react";
import { Link } from "react-router";
import { QUIET_BUTTON } from "../../ui/buttons.js";
import { jobPath } from "../shared/paths.js";

/** The way to what is printed of a finished job. */
export function TagLink({ job }: { readonly job: Job }): ReactElement {
  return (
    <Link to={jobPath(job, "/tag")} className={`${QUIET_BUTTON} mb-4 min-h-12`}>
      <Tag size={18} aria-hidden="true" />
      Filter tag and bonnet label
    </Link>
  );
}
