import { DexieBoardSource } from "../data/dexieBoardSource.js";
import { serveKeeper } from "./kept/serveKeeper.js";
import { BoardKeeper } from "./boardKeeper.js";

/** So many machines a piece; a few milliseconds of the page's time each. */
const MACHINES_A_PIECE = 20;

// The name of the built worker changes with its code, so a board of other code is known as such.
serveKeeper(
  (database) => new BoardKeeper(new DexieBoardSource(database), self.location.pathname),
  MACHINES_A_PIECE,
);
