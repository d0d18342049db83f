// How the bench map is drawn: houses, benches and what stands on them, seen from above and to scale; all lengths in cm.

const LETTERS = ["n", "f", "r", "l"];
/** Below so many dots a cell, a vessel is drawn by its shares alone. */
const LEAST_CELL = 4;

const colour = (name) => getComputedStyle(document.documentElement).getPropertyValue(`--color-${name}`).trim();

/** The colours of the theme that is shown now. */
export const palette = () =>
  Object.fromEntries(["chalk", "loam", "moss", "terracotta", "slate", "straw", "root"].map((c) => [c, colour(c) || colour("loam")]));

/** Where the cells of a vessel lie in it: a tray's by its columns, a loose vessel's as near a square as may be. */
export function cells(vessel) {
  const count = vessel.pieces.length;
  const { wide, deep } = vessel.at;
  const columns = vessel.columns > 0 ? vessel.columns : Math.max(1, Math.ceil(Math.sqrt((count * wide) / deep)));
  const rows = Math.max(1, Math.ceil(count / columns));
  const step = { x: wide / columns, y: deep / rows };
  return { columns, rows, step, radius: Math.min(step.x, step.y) * 0.3 };
}

/** One path for each letter, in cm from the vessel's corner: drawn once, used in every frame. */
function pathsOf(vessel) {
  const { columns, step, radius } = cells(vessel);
  const paths = Object.fromEntries(LETTERS.map((l) => [l, new Path2D()]));
  [...vessel.pieces].forEach((letter, i) => {
    const path = paths[letter];
    if (!path) {
      return;
    }
    const x = ((i % columns) + 0.5) * step.x;
    const y = (Math.floor(i / columns) + 0.5) * step.y;
    if (letter === "l") {
      path.moveTo(x - radius, y + radius);
      path.lineTo(x + radius, y - radius);
    } else if (letter === "f") {
      path.moveTo(x, y - radius);
      path.lineTo(x, y + radius);
    } else {
      path.moveTo(x + radius, y);
      path.arc(x, y, letter === "r" ? radius : radius * 0.55, 0, 2 * Math.PI);
    }
  });
  return paths;
}

/** How many pieces of each letter a vessel has. */
export const shares = (pieces) => LETTERS.map((l) => [l, [...pieces].filter((p) => p === l).length]);

export function drawVessel(ink, vessel, scale, colours, chosen) {
  const { wide, deep } = vessel.at;
  ink.fillStyle = colours.chalk;
  ink.fillRect(0, 0, wide, deep);
  ink.lineWidth = (chosen ? 3 : 1) / scale;
  ink.strokeStyle = chosen ? colours.slate : colours.loam;
  ink.setLineDash(vessel.placed ? [] : [4 / scale, 3 / scale]);
  ink.strokeRect(0, 0, wide, deep);
  ink.setLineDash([]);
  if (cells(vessel).radius * 2 * scale < LEAST_CELL) {
    drawShares(ink, vessel, colours);
    return;
  }
  vessel.paths ??= pathsOf(vessel);
  const line = Math.max(1 / scale, cells(vessel).radius * 0.3);
  ink.lineWidth = line;
  ink.strokeStyle = colours.loam;
  ink.globalAlpha = 0.55;
  ink.stroke(vessel.paths.n);
  ink.globalAlpha = 1;
  ink.strokeStyle = colours.root;
  ink.stroke(vessel.paths.f);
  ink.fillStyle = colours.moss;
  ink.fill(vessel.paths.r);
  ink.strokeStyle = colours.terracotta;
  ink.stroke(vessel.paths.l);
}

/** Seen from far away: how much of it is ready, and how much is lost. */
function drawShares(ink, vessel, colours) {
  const { wide, deep } = vessel.at;
  const all = Math.max(1, vessel.pieces.length);
  const count = Object.fromEntries(shares(vessel.pieces));
  ink.fillStyle = colours.moss;
  ink.fillRect(0, deep * (1 - count.r / all), wide, (deep * count.r) / all);
  ink.fillStyle = colours.terracotta;
  ink.fillRect(0, 0, wide, (deep * count.l) / all);
}

/** What stands out has a shape of its own, of one size at every scale. */
export function drawMark(ink, mark, size, colours) {
  ink.lineWidth = 2;
  ink.lineJoin = "round";
  ink.beginPath();
  if (mark === "behind") {
    // A drooping shoot: bent over to the ground.
    ink.moveTo(0, size);
    ink.quadraticCurveTo(0, 0, size * 0.6, 0);
    ink.quadraticCurveTo(size, 0, size, size * 0.6);
    ink.moveTo(size * 0.72, size * 0.4);
    ink.lineTo(size, size * 0.75);
    ink.lineTo(size * 1.28, size * 0.4);
    ink.strokeStyle = colours.terracotta;
    ink.stroke();
  } else if (mark === "long") {
    // Roots that go round and round.
    for (let turn = 0; turn < 3; turn += 1) {
      ink.moveTo(size / 2 + size * (0.5 - turn * 0.16), size / 2);
      ink.arc(size / 2, size / 2, size * (0.5 - turn * 0.16), 0, 1.8 * Math.PI);
    }
    ink.strokeStyle = colours.terracotta;
    ink.stroke();
  } else if (mark === "ready") {
    // A pair of leaves.
    ink.moveTo(size / 2, size);
    ink.lineTo(size / 2, size * 0.5);
    ink.moveTo(size / 2, size * 0.6);
    ink.quadraticCurveTo(-size * 0.1, size * 0.6, 0, size * 0.05);
    ink.quadraticCurveTo(size * 0.5, size * 0.05, size / 2, size * 0.6);
    ink.quadraticCurveTo(size * 0.5, size * 0.05, size, size * 0.05);
    ink.quadraticCurveTo(size * 1.1, size * 0.6, size / 2, size * 0.6);
    ink.fillStyle = colours.moss;
    ink.strokeStyle = colours.moss;
    ink.fill();
    ink.stroke();
  }
}

/** The place's air does not suit it: a frame with a stroke and a dot. */
export function drawMisfit(ink, size, colours) {
  ink.lineWidth = 2;
  ink.strokeStyle = colours.straw;
  ink.beginPath();
  ink.rect(size * 0.15, size * 0.15, size * 0.7, size * 0.7);
  ink.moveTo(size * 0.5, size * 0.3);
  ink.lineTo(size * 0.5, size * 0.55);
  ink.moveTo(size * 0.5, size * 0.65);
  ink.lineTo(size * 0.5, size * 0.72);
  ink.stroke();
}
