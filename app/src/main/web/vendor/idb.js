// What waits in the browser is kept in its own database, through this library.
export { openDB } from "idb";
