// The drawing of one piece: a profile on a soil line, from the symbols that the page holds.

const SVG = "http://www.w3.org/2000/svg";
const DRAWING = { NONE: "none", FIRST_SIGN: "first_sign", READY: "ready", LOST: "lost", SENT: "sent" };

/** Draws a piece by the name of its symbol, with leaves where it has top growth. */
export function drawing(name, leafy) {
  const svg = document.createElementNS(SVG, "svg");
  svg.setAttribute("viewBox", "0 0 40 50");
  svg.setAttribute("aria-hidden", "true");
  for (const part of leafy ? [name, "leaf"] : [name]) {
    const use = document.createElementNS(SVG, "use");
    use.setAttribute("href", `#piece-${part}`);
    svg.append(use);
  }
  return svg;
}

/** Draws a piece as it stood before this check and as this check has it. */
export function drawingOf(cell, entry) {
  const state = entry && !entry.unchanged ? entry.state : cell.state;
  const shown = entry && entry.state === "NONE" && cell.state !== "NONE" ? cell.state : state;
  const name = cell.potted && shown === "READY" ? "potted" : DRAWING[shown];
  return drawing(name, shown !== "LOST" && shown !== "SENT" && (entry?.topGrowth ?? cell.leafy));
}
