import { expose } from "comlink";
import { shrinkPicture } from "./shrinkPicture.js";

const pictures = { shrink: shrinkPicture };

export type Pictures = typeof pictures;

expose(pictures);
