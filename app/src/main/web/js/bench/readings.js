// What may be read of a piece in bench mode, apart from any page: pure functions, so that the rules stand in one place.
import { message } from "../messages.js";

export const LOOKS = ["ABOVE", "WALL", "TUG", "LIFTED"];
export const FEELS = [null, "FIRM", "SOFT", "SHRIVELLED"];
const ORDER = ["NONE", "FIRST_SIGN", "READY", "LOST", "SENT"];

/** Whether a look of the kind can know of the state, given by what the protocol tells it. */
export function canKnow(bench, look, state) {
  const byRoots = state === "READY" ? bench.ready.byRoots : state === "FIRST_SIGN" ? bench.firstSign?.byRoots : false;
  return look !== "ABOVE" || !byRoots;
}

/** Why the cell cannot take the state, in words; null if it can. */
export function objection(bench, cell, look, state) {
  if (cell.state === "LOST" || cell.state === "SENT") {
    return message(cell.state === "LOST" ? "reading.is-lost" : "reading.is-sent", { piece: cell.piece });
  }
  if (state === "FIRST_SIGN" && bench.firstSign === null) {
    return message("reading.no-first-sign");
  }
  if (!canKnow(bench, look, state)) {
    return message(state === "READY" ? "reading.unknown-ready" : "reading.unknown-first-sign");
  }
  const unknowing = state === "NONE" && !canKnow(bench, look, "READY");
  if (ORDER.indexOf(state) < ORDER.indexOf(cell.state) && !unknowing) {
    return message(cell.state === "READY" ? "reading.was-ready" : "reading.was-at-first-sign", { piece: cell.piece });
  }
  return null;
}

/** The state that a longest root of so many mm means by the protocol's test. */
export function stateOfRoot(bench, mm) {
  if (bench.ready.byRoots && mm >= bench.ready.mm) {
    return "READY";
  }
  return bench.firstSign?.byRoots && mm >= bench.firstSign.mm ? "FIRST_SIGN" : "NONE";
}

/** The reading that says: looked at, unchanged; null for pieces of which nothing can be said. */
export function unchanged(bench, cell, look) {
  if (cell.state === "LOST" || cell.state === "SENT") {
    return null;
  }
  return { state: canKnow(bench, look, cell.state) ? cell.state : "NONE", unchanged: true };
}

/** Some cells still running, drawn at random: a few tell of the tray without disturbing all of it. */
export function sentinels(cells, howMany, random = Math.random) {
  const running = cells.filter((c) => c.state === "NONE" || c.state === "FIRST_SIGN").map((c) => c.piece);
  for (let i = running.length - 1; i > 0; i--) {
    const j = Math.floor(random() * (i + 1));
    [running[i], running[j]] = [running[j], running[i]];
  }
  return running.slice(0, howMany);
}

/** A length that is kept in mm, as whoever reads measures. */
export function told(mm, { unit, each, decimals }) {
  return `${(mm / each).toFixed(decimals)} ${unit}`;
}

/** A reading in words. */
export function words(entry, { causes, lengths }) {
  if (!entry) {
    return message("reading.none");
  }
  const state = message(`reading.${entry.state}`);
  const parts = [entry.unchanged ? message("reading.unchanged", { state }) : state];
  if (entry.cause) {
    parts.push(causes.find((c) => c.code === entry.cause).word);
  }
  // What was typed has no root where none was measured, what the server has says null.
  if (Number.isFinite(entry.rootMm)) {
    parts.push(message("reading.root", { length: told(entry.rootMm, lengths) }));
  }
  if (entry.sideRoots) {
    parts.push(message("reading.side-roots"));
  }
  if (entry.topGrowth) {
    parts.push(message("reading.top-growth"));
  }
  if (entry.firmness) {
    parts.push(message(`reading.${entry.firmness}`));
  }
  return parts.join(", ");
}
