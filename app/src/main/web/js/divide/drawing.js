// How a plant that is to be divided is drawn: growths with their roots below and leaf above, ties between, cuts across the ties.
const NS = "http://www.w3.org/2000/svg";

export function node(name, attributes = {}, ...children) {
  const element = document.createElementNS(NS, name);
  Object.entries(attributes).forEach(([key, value]) => element.setAttribute(key, value));
  element.append(...children);
  return element;
}

const words = (growth) =>
  growth.marks.has("d")
    ? "dead"
    : [
        growth.marks.has("r") ? "roots" : "no roots",
        growth.marks.has("l") ? "a lead" : null,
        growth.marks.has("f") ? null : "leafless",
      ]
        .filter(Boolean)
        .join(", ");

export const says = (growth) => `${growth.number}: ${words(growth)}`;

/** One growth, round its middle. */
export function drawGrowth(growth, letter, chosen) {
  const parts = [];
  const dead = growth.marks.has("d");
  if (chosen) {
    parts.push(node("circle", { r: 25, class: "divide-chosen" }));
  }
  if (growth.marks.has("r") && !dead) {
    parts.push(node("path", { class: "p-root", d: "M-6 13c-4 8-8 10-11 17M0 15c0 8-1 12 0 19M6 13c4 8 8 10 11 17" }));
  }
  if (growth.marks.has("f") && !dead) {
    parts.push(node("path", { class: "p-leaf", d: "M0 -14c-14 -6 -16 -18 -12 -28c10 4 14 16 12 28zM0 -14c12 -4 15 -12 13 -22c-9 3 -13 12 -13 22z" }));
  }
  if (growth.marks.has("l") && !dead) {
    parts.push(node("path", { class: "divide-lead", d: "M14 -6l10 -9l1 12z" }));
  }
  parts.push(node("circle", { r: 15, class: dead ? "divide-dead" : "divide-growth" }));
  if (dead) {
    parts.push(node("path", { class: "p-gone", d: "M-10 -10l20 20M10 -10l-20 20" }));
  }
  parts.push(node("text", { class: "divide-number", y: 5, "text-anchor": "middle" }, document.createTextNode(String(growth.number))));
  if (letter) {
    parts.push(node("text", { class: "divide-letter", x: -24, y: -12, "text-anchor": "middle" }, document.createTextNode(letter)));
  }
  return node("g", { transform: `translate(${growth.x},${growth.y})` }, ...parts);
}

/** A tie; where it is cut, the cut goes across it with its wedge. */
export function drawTie(a, b, cut) {
  const middle = { x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 };
  const turn = (Math.atan2(b.y - a.y, b.x - a.x) * 180) / Math.PI;
  const parts = [node("line", { class: "divide-tie", x1: a.x, y1: a.y, x2: b.x, y2: b.y })];
  if (cut) {
    parts.push(
      node(
        "g",
        { transform: `translate(${middle.x},${middle.y}) rotate(${turn})` },
        node("path", { class: "d-cut", d: "M0 -24V24" }),
        node("path", { class: "d-wedge", d: "M-5 -32l5 9 5-9z" }),
      ),
    );
  }
  return node("g", {}, ...parts);
}

/** The whole plant: cuts by pair, letters by growth. */
export function drawPlant(plant, { cuts = [], letters = {}, chosen = null } = {}) {
  const at = Object.fromEntries(plant.growths.map((g) => [g.number, g]));
  const isCut = (t) => cuts.some((c) => Math.min(...c) === Math.min(...t) && Math.max(...c) === Math.max(...t));
  return node(
    "g",
    {},
    ...plant.ties.filter(([a, b]) => at[a] && at[b]).map((t) => drawTie(at[t[0]], at[t[1]], isCut(t))),
    ...plant.growths.map((g) => drawGrowth(g, letters[g.number], g.number === chosen)),
  );
}
