import type { ReactElement } from "react";
import { useNavigate } from "react-router";
import { Find } from "../places/find/Find.js";
import { useAppDispatch, useAppSelector } from "../session/store.js";
import { useUndo } from "../session/useUndo.js";
import { commandsOf } from "./commands.js";

/** Finds what is in the book, and what the program can be told to do. */
export default function FindAnything(): ReactElement {
  const navigate = useNavigate();
  const dispatch = useAppDispatch();
  const undoState = useAppSelector((state) => state.undo);
  const undo = useUndo();
  return <Find commands={commandsOf(navigate, dispatch, undoState, undo)} />;
}
