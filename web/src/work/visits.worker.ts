import { DexieBoardSource } from "../data/dexieBoardSource.js";
import { serveKeeper } from "./kept/serveKeeper.js";
import { VisitKeeper } from "./visitKeeper.js";

/** So many machines a piece; a few milliseconds of the page's time each. */
const MACHINES_A_PIECE = 100;

serveKeeper((database) => new VisitKeeper(new DexieBoardSource(database)), MACHINES_A_PIECE);
