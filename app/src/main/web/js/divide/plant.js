// A plant as it is drawn: growths that lie somewhere on the sheet, and ties between them. In a line of text as the server reads it:
// "1,40,60,rf;2,80,60,rlf|1-2", each growth with its number, its place and letters for roots, lead, leaf, dead; then the ties.

export const MARKS = { r: "roots", l: "lead", f: "leaf", d: "dead" };
export const SHEET = { wide: 860, high: 400, step: 62 };

export function read(text) {
  const [growths = "", ties = ""] = (text ?? "").split("|");
  return {
    growths: growths
      .split(";")
      .filter(Boolean)
      .map((g) => {
        const [number, x, y, marks = ""] = g.split(",");
        return { number: Number(number), x: Number(x), y: Number(y), marks: new Set(marks) };
      }),
    ties: ties
      .split(",")
      .filter(Boolean)
      .map((t) => t.split("-").map(Number)),
  };
}

export function write(plant) {
  const growths = plant.growths.map(
    (g) => `${g.number},${Math.round(g.x)},${Math.round(g.y)},${Object.keys(MARKS).filter((m) => g.marks.has(m)).join("")}`,
  );
  return growths.length === 0 ? "" : `${growths.join(";")}|${plant.ties.map((t) => t.join("-")).join(",")}`;
}

export const find = (plant, number) => plant.growths.find((g) => g.number === number) ?? null;

const isFree = (plant, x, y) => plant.growths.every((g) => Math.hypot(g.x - x, g.y - y) > SHEET.step * 0.7);
const isOnSheet = (x, y) => x > 24 && x < SHEET.wide - 24 && y > 44 && y < SHEET.high - 44;

/** Where the next growth lies: ahead of the one it comes from, or to a side of it where a branch begins. */
export function spotBeside(plant, from, branch) {
  if (from === null) {
    return { x: 60, y: SHEET.high / 2 };
  }
  const before = plant.ties.flatMap(([a, b]) => (a === from.number ? [b] : b === from.number ? [a] : [])).map((n) => find(plant, n));
  const along = before.length > 0 ? Math.atan2(from.y - before[0].y, from.x - before[0].x) : 0;
  const turns = branch ? [-0.9, 0.9, -1.5, 1.5, -0.4, 0.4, 0] : [0, -0.4, 0.4, -0.9, 0.9, -1.5, 1.5, 2.4, -2.4, Math.PI];
  for (const far of [1, 1.6, 2.4]) {
    for (const turn of turns) {
      const x = from.x + far * SHEET.step * Math.cos(along + turn);
      const y = from.y + far * SHEET.step * Math.sin(along + turn);
      if (isOnSheet(x, y) && isFree(plant, x, y)) {
        return { x, y };
      }
    }
  }
  return { x: from.x + 20, y: from.y + 20 };
}

/** One growth more, tied to the one that it comes from. A new growth has roots and a leaf, and takes the lead from that. */
export function add(plant, from, at) {
  const number = Math.max(0, ...plant.growths.map((g) => g.number)) + 1;
  const growth = { number, x: at.x, y: at.y, marks: new Set(["r", "l", "f"]) };
  const isTip = from !== null && plant.ties.filter((t) => t.includes(from.number)).length <= 1;
  const growths = plant.growths.map((g) => (g === from && isTip ? { ...g, marks: new Set([...g.marks].filter((m) => m !== "l")) } : g));
  return {
    growths: [...growths, growth],
    ties: from === null ? plant.ties : [...plant.ties, [from.number, number]],
  };
}

export function mark(plant, number, letter) {
  return {
    ...plant,
    growths: plant.growths.map((g) => {
      if (g.number !== number) {
        return g;
      }
      const marks = new Set(g.marks);
      if (!marks.delete(letter)) {
        marks.add(letter);
      }
      return { ...g, marks };
    }),
  };
}

/** Ties two growths, or unties them where they are tied. */
export function tie(plant, a, b) {
  if (a === b) {
    return plant;
  }
  const pair = [Math.min(a, b), Math.max(a, b)];
  const is = (t) => Math.min(...t) === pair[0] && Math.max(...t) === pair[1];
  return { ...plant, ties: plant.ties.some(is) ? plant.ties.filter((t) => !is(t)) : [...plant.ties, pair] };
}

/** Without a growth; those that it held together are tied to one another. */
export function remove(plant, number) {
  const beside = plant.ties.flatMap(([a, b]) => (a === number ? [b] : b === number ? [a] : []));
  const ties = plant.ties.filter((t) => !t.includes(number));
  for (let i = 1; i < beside.length; i += 1) {
    ties.push([Math.min(beside[0], beside[i]), Math.max(beside[0], beside[i])]);
  }
  return { growths: plant.growths.filter((g) => g.number !== number), ties };
}

export function move(plant, number, x, y) {
  return {
    ...plant,
    growths: plant.growths.map((g) =>
      g.number === number ? { ...g, x: Math.max(20, Math.min(SHEET.wide - 20, x)), y: Math.max(40, Math.min(SHEET.high - 40, y)) } : g,
    ),
  };
}
