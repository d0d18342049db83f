// The family picture: it grows as a root does, the eldest at the top, each generation further in. Every row shows the share
// of its whole branch that made it. Childless batches of one method are drawn as one row, so that hundreds stay readable.
import { create } from "./vendor/d3.js";
import { message } from "./messages.js";

const ROW = 27;
const STEP = 30;
const DEEPEST = 220;
const BAR = 130;
const WIDTH = 860;
const FEW = 3;

export function start(holder) {
  const lines = JSON.parse(holder.dataset.family).map((line, index) => ({ ...line, index, children: [] }));
  lines.forEach((line) => lines[line.parent]?.children.push(line));
  const family = { root: gather(lines[0]), open: new Set() };
  openPathTo(family.root, lines.find((l) => l.itself), family.open);
  openAllIfFew(family, lines.length);
  draw(holder, family);
}

/** A copy of the branch in which childless batches of one method are gathered into one member. */
function gather(line) {
  const children = [];
  const gathered = new Map();
  for (const child of line.children) {
    const method = child.detail.split(",")[0];
    const alone = child.kind === "batch" && child.children.length === 0;
    if (alone && line.children.filter((c) => c.kind === "batch" && c.children.length === 0 && c.detail.split(",")[0] === method).length >= FEW) {
      if (!gathered.has(method)) {
        gathered.set(method, { id: `${line.id} ${method}`, kind: "several", name: "", detail: method, stuck: 0, ready: 0, children: [] });
        children.push(gathered.get(method));
      }
      const several = gathered.get(method);
      several.children.push(gather(child));
      several.stuck += child.stuck;
      several.ready += child.ready;
      several.name = message("family.batches", { n: several.children.length });
    } else {
      children.push(gather(child));
    }
  }
  return { ...line, children };
}

function openPathTo(branch, wanted, open) {
  const holds = branch.index === wanted?.index || branch.children.map((c) => openPathTo(c, wanted, open)).some(Boolean);
  if (holds) {
    open.add(branch.id);
  }
  return holds;
}

/** A family that fits on a page stands open; of a large one only the way to the asked and what it stems from. */
function openAllIfFew(family, members) {
  const all = (branch) => {
    if (branch.kind !== "several") {
      family.open.add(branch.id);
    }
    branch.children.forEach(all);
  };
  if (members <= 60) {
    all(family.root);
  }
}

function rows(branch, open, depth, parent, out) {
  const row = { branch, depth, parent, at: out.length };
  out.push(row);
  if (open.has(branch.id)) {
    branch.children.forEach((c) => rows(c, open, depth + 1, row, out));
  }
  return out;
}

function draw(holder, family) {
  const shown = rows(family.root, family.open, 0, null, []);
  const deepest = Math.max(...shown.map((r) => r.depth));
  const step = Math.min(STEP, DEEPEST / Math.max(1, deepest));
  const text = 26 + deepest * step;
  const x = (row) => 14 + row.depth * step;
  const y = (row) => 16 + row.at * ROW;
  const svg = create("svg").attr("class", "family").attr("viewBox", `0 0 ${WIDTH} ${shown.length * ROW + 10}`)
    .attr("role", "group").attr("aria-label", message("family.drawn"));
  shown.filter((r) => r.branch.itself).forEach((r) => {
    svg.append("rect").attr("class", "family-self").attr("x", 0).attr("y", y(r) - ROW / 2).attr("width", WIDTH).attr("height", ROW);
  });
  shown.filter((r) => r.parent).forEach((r) => {
    svg.append("path").attr("class", "p-root family-link")
      .attr("d", `M${x(r.parent)} ${y(r.parent)}V${y(r) - 9}q0 9 9 9H${x(r) - 5}`);
  });
  shown.forEach((r) => row(svg, r, x(r), y(r), text, () => {
    family.open.has(r.branch.id) ? family.open.delete(r.branch.id) : family.open.add(r.branch.id);
    draw(holder, family);
    holder.querySelector(`[data-id="${CSS.escape(r.branch.id)}"]`)?.focus();
  }, family.open));
  holder.replaceChildren(svg.node());
}

function row(svg, { branch }, x, y, text, toggle, open) {
  const holds = branch.children.length > 0;
  const mark = svg.append("g").attr("class", `family-mark ${branch.kind}`).attr("data-id", branch.id);
  shape(mark, branch, x, y);
  if (holds) {
    const isOpen = open.has(branch.id);
    mark.attr("tabindex", 0).attr("role", "button").attr("aria-expanded", String(isOpen))
      .attr("aria-label", message(isOpen ? "family.fold" : "family.open", { name: branch.name }))
      .on("click", toggle)
      .on("keydown", (event) => {
        if (event.key === "Enter" || event.key === " ") {
          event.preventDefault();
          toggle();
        }
      });
    if (!isOpen) {
      mark.append("path").attr("class", "p-root").attr("d", `M${x - 4} ${y + 7}l-3 5M${x} ${y + 8}v6M${x + 4} ${y + 7}l3 5`);
    }
  }
  const name = branch.address ? svg.append("a").attr("href", branch.address) : svg;
  const words = name.append("text").attr("x", Math.max(text, x + 12)).attr("y", y + 5);
  words.append("tspan").attr("class", "family-name").text(branch.name);
  words.append("tspan").attr("class", "family-detail").attr("dx", 7).text(short(branch.detail, 62 - branch.name.length));
  if (branch.stuck > 0) {
    const from = WIDTH - BAR - 130;
    svg.append("rect").attr("class", "family-stuck").attr("x", from).attr("y", y - 5).attr("width", BAR).attr("height", 10);
    svg.append("rect").attr("class", "seen-ready").attr("x", from).attr("y", y - 5).attr("width", (BAR * branch.ready) / branch.stuck).attr("height", 10);
    svg.append("text").attr("class", "family-rate").attr("x", WIDTH - 4).attr("y", y + 5).attr("text-anchor", "end")
      .text(branch.running
        ? message("family.so-far", { ready: branch.ready, stuck: branch.stuck })
        : message("family.made-it", { share: Math.round((100 * branch.ready) / branch.stuck), ready: branch.ready, stuck: branch.stuck }));
  }
}

function shape(mark, branch, x, y) {
  mark.append("circle").attr("class", "family-press").attr("cx", x).attr("cy", y).attr("r", 12);
  if (branch.kind === "lot") {
    mark.append("rect").attr("x", x - 5).attr("y", y - 5).attr("width", 10).attr("height", 10);
  } else if (branch.kind === "several") {
    mark.append("circle").attr("cx", x + 3).attr("cy", y).attr("r", 5);
    mark.append("circle").attr("cx", x).attr("cy", y).attr("r", 5);
  } else {
    mark.append("circle").attr("cx", x).attr("cy", y).attr("r", branch.kind === "plant" ? 6 : 5);
  }
}

const short = (words, most) => (words.length > most ? `${words.slice(0, most - 1)}…` : words);
