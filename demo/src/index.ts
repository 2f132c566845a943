export { demonstrationBook, DEMONSTRATION_NAME } from "./demonstrationBook.js";
