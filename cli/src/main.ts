import { dayFromParts } from "@yonderfell/core";
import { run } from "./run.js";

const now = new Date();
const today = dayFromParts(now.getFullYear(), now.getMonth() + 1, now.getDate());
const { status, output, complaint } = run(process.argv.slice(2), today);
if (complaint !== "") process.stderr.write(`${complaint}\n`);
if (output !== "") process.stdout.write(`${output}\n`);
process.exitCode = status;
