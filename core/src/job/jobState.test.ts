import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { rounded } from "../../test/rounded.js";
import type { JobCard, ToldEvent } from "./card.js";
import { jobState, type JobState } from "./jobState.js";

const FOLDER = join(__dirname, "../../test/vectors/jobs");

interface Case {
  readonly in: {
    readonly job: JobCard;
    readonly events: readonly ToldEvent[];
    readonly now?: number;
  };
  readonly out: JobState;
}

test.each(readdirSync(FOLDER))("worked case %s: where the job stands", (name) => {
  const { in: asked, out } = JSON.parse(readFileSync(join(FOLDER, name), "utf8")) as Case;
  const found = jobState(asked.job, asked.events, asked.now ?? null);
  expect(rounded(found)).toEqual(rounded(out));
});
