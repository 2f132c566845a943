import { movesOutOf } from "@yonderfell/core";
import { expose } from "comlink";

const room = { movesOutOf };

export type Room = typeof room;

expose(room);
