export { placeDue } from "./kinds.js";
