// How a plant that is to be divided is drawn: growths with their roots below and leaf above, ties between, cuts across the ties.
import { message } from "../messages.js";
const NS = "http://www.w3.org/2000/svg";

export function node(name, attributes = {}, ...children) {
  const element = document.createElementNS(NS, name);
  Object.entries(attributes).forEach(([key, value]) => element.setAttribute(key, value));
  element.append(...children);
  return element;
}

const words = (growth) =>
  growth.marks.has("d")
    ? message("divide.dead")
    : [
        growth.marks.has("r") ? message("divide.roots") : message("divide.no-roots"),
        growth.marks.has("l") ? message("divide.lead") : null,
        growth.marks.has("f") ? null : message("divide.leafless"),
      ]
        .filter(Boolean)
        .join(", ");

export const says = (growth) => `${growth.number}: ${words(growth)}`;

/** What a growth looks like by what the plant is made of: its body, and its leaf. */
const LOOKS = {
  CREEPING: {
    body: "M0 -17c10 0 14 9 13 17c-1 10 -6 16 -13 16s-12 -6 -13 -16c-1 -8 3 -17 13 -17z",
    leaf: "M0 -16c-14 -6 -16 -18 -12 -28c10 4 14 16 12 28zM0 -16c12 -4 15 -12 13 -22c-9 3 -13 12 -13 22z",
  },
  RHIZOME_FANS: {
    body: "M-19 -5c8 -8 30 -9 38 0c3 5 2 11 -2 14c-9 6 -26 6 -34 0c-4 -4 -5 -10 -2 -14z",
    leaf: "M-2 -9c-9 -9 -13 -19 -14 -31c9 7 15 17 16 30zM-3 -9c-2 -13 -1 -25 3 -37c4 12 5 24 3 37zM2 -10c1 -13 7 -23 16 -30c-1 12 -6 22 -14 31z",
  },
  CROWNS: {
    body: "M-14 0a14 14 0 1 0 28 0a14 14 0 1 0 -28 0z",
    leaf: "M-3 -12c-16 2 -24 -6 -25 -16c13 -1 22 5 25 16zM0 -13c-9 -9 -9 -20 0 -29c9 9 9 20 0 29zM3 -12c3 -11 12 -17 25 -16c-1 10 -9 18 -25 16z",
  },
  FANS: {
    body: "M-12 0a12 13 0 1 0 24 0a12 13 0 1 0 -24 0z",
    leaf: "M-2 -11c-14 -5 -22 -14 -25 -27c12 4 22 12 25 27zM-2 -11c-3 -13 -1 -24 4 -35c3 12 2 24 -1 35zM2 -11c3 -15 13 -23 25 -27c-3 13 -11 22 -25 27z",
  },
  SHOOTS: {
    body: "M-11 0a11 11 0 1 0 22 0a11 11 0 1 0 -22 0z",
    leaf: "M-1 -10v-34h2v34zM0 -20c-8 1 -13 -2 -16 -9c8 -1 13 2 16 9zM0 -27c3 -7 8 -10 16 -9c-3 7 -8 10 -16 9zM0 -36c-6 -2 -8 -6 -8 -12c6 2 8 6 8 12z",
  },
  EYES: {
    body: "M-17 -2c-1 -9 8 -14 17 -13c10 1 18 6 17 14c-1 9 -9 15 -18 14c-9 0 -15 -6 -16 -15z",
    leaf: "M-2 -13c-2 -9 -7 -12 -12 -14c0 7 4 12 12 14zM1 -13c0 -11 3 -18 10 -23c3 10 -1 18 -10 23z",
  },
  BULBS: {
    body: "M0 -19c2 7 15 11 15 22c0 8 -7 12 -15 12s-15 -4 -15 -12c0 -11 13 -15 15 -22z",
    leaf: "M-1 -17c-8 -8 -13 -16 -13 -28c9 6 14 15 13 28zM1 -17c-1 -13 4 -22 13 -28c0 12 -5 20 -13 28z",
  },
};

/** One growth, round its middle. */
export function drawGrowth(growth, { letter = null, chosen = false, form = "CREEPING" } = {}) {
  const look = LOOKS[form] ?? LOOKS.CREEPING;
  const parts = [];
  const dead = growth.marks.has("d");
  if (chosen) {
    parts.push(node("circle", { r: 25, class: "divide-chosen" }));
  }
  if (growth.marks.has("r") && !dead) {
    parts.push(node("path", { class: "p-root", d: "M-6 13c-4 8-8 10-11 17M0 15c0 8-1 12 0 19M6 13c4 8 8 10 11 17" }));
  }
  if (growth.marks.has("f") && !dead) {
    parts.push(node("path", { class: "p-leaf", d: look.leaf }));
  }
  if (growth.marks.has("l") && !dead) {
    parts.push(node("path", { class: "divide-lead", d: "M14 -6l10 -9l1 12z" }));
  }
  parts.push(node("path", { d: look.body, class: dead ? "divide-dead" : "divide-growth" }));
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
export function drawPlant(plant, { cuts = [], letters = {}, chosen = null, form = "CREEPING" } = {}) {
  const at = Object.fromEntries(plant.growths.map((g) => [g.number, g]));
  const isCut = (t) => cuts.some((c) => Math.min(...c) === Math.min(...t) && Math.max(...c) === Math.max(...t));
  return node(
    "g",
    {},
    ...plant.ties.filter(([a, b]) => at[a] && at[b]).map((t) => drawTie(at[t[0]], at[t[1]], isCut(t))),
    ...plant.growths.map((g) => drawGrowth(g, { letter: letters[g.number], chosen: g.number === chosen, form })),
  );
}
