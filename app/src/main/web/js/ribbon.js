// The ribbon: a batch's life on a soil line. What happens to roots is drawn below it, what happens to shoots above it.
// Pale bands are what is expected, ink is what was seen, a hairline is today, hatching what was lost.
import { days } from "./days.js";
import { create, scaleLinear, area, curveStepAfter, line } from "./vendor/d3.js";
import { message } from "./messages.js";

const SIZES = {
  small: { width: 240, height: 34, depth: 15, labels: false },
  middle: { width: 560, height: 92, depth: 24, labels: true },
  large: { width: 860, height: 136, depth: 40, labels: true },
};
let hatches = 0;

const dayName = days();

export function start(holder) {
  const ribbon = JSON.parse(holder.dataset.ribbon);
  const size = SIZES[holder.dataset.size] ?? SIZES.middle;
  holder.replaceChildren(draw(ribbon, size));
}

function draw(r, size) {
  const soil = size.labels ? size.height / 2 - 6 : size.height / 2;
  const x = scaleLinear([0, r.scale.days], [4, size.width - 4]);
  const svg = create("svg")
    .attr("class", "ribbon")
    .attr("viewBox", `0 0 ${size.width} ${size.height}`)
    .attr("role", "img")
    .attr("aria-label", r.words);
  const hatch = `hatch-${++hatches}`;
  svg.append("defs").append("pattern").attr("id", hatch).attr("class", "hatch").attr("width", 5).attr("height", 5)
    .attr("patternUnits", "userSpaceOnUse").append("path").attr("d", "M0 5 5 0");

  const band = (days, kind, below, part = 1) => {
    // What lies beyond the days drawn is cut off at the edge.
    if (!days || days[0] > r.scale.days) {
      return;
    }
    svg.append("rect").attr("class", kind)
      .attr("x", x(days[0])).attr("width", Math.max(2, x(Math.min(days[1], r.scale.days)) - x(days[0])))
      .attr("y", below ? soil : soil - size.depth * part).attr("height", size.depth * part);
  };
  band(r.expected.callus, "band-callus", false, 0.5);
  band(r.expected.firstSign, "band-root", r.below.firstSign);
  band(r.expected.ready, "band-ready", r.below.ready);
  band(r.expected.settled, "band-ready", false, 0.6);

  if (r.seen.pieces > 0) {
    seen(svg, r, size, soil, x, `url(#${hatch})`);
  }
  svg.append("line").attr("class", "soil").attr("x1", 0).attr("x2", size.width).attr("y1", soil).attr("y2", soil);
  svg.append("path").attr("class", "stuck-mark").attr("d", `M${x(r.stuck) - 4} ${soil - 7}h8l-4 7z`);
  if (r.taken !== r.stuck) {
    svg.append("line").attr("class", "look-mark").attr("x1", x(r.taken)).attr("x2", x(r.taken)).attr("y1", soil - 7).attr("y2", soil + 7);
  }
  r.seen.looks.forEach((d) => svg.append("line").attr("class", "look-mark").attr("x1", x(d)).attr("x2", x(d)).attr("y1", soil - 3).attr("y2", soil + 3));
  if (r.scale.today !== null) {
    svg.append("line").attr("class", "today").attr("x1", x(r.scale.today)).attr("x2", x(r.scale.today)).attr("y1", 0).attr("y2", size.height - (size.labels ? 14 : 0));
  }
  if (r.due !== null) {
    svg.append("line").attr("class", "due").attr("x1", x(r.due)).attr("x2", x(r.due)).attr("y1", soil - size.depth - 4).attr("y2", soil + size.depth + 4);
  }
  if (size.labels) {
    labels(svg, r, size, soil, x);
  }
  return svg.node();
}

function seen(svg, r, size, soil, x, hatch) {
  const last = r.scale.today ?? r.scale.days;
  const share = (n) => (n / r.seen.pieces) * size.depth;
  const steps = (list) => [[r.stuck, 0], ...list, [Math.max(last, list.at(-1)?.[0] ?? 0), list.at(-1)?.[1] ?? 0]];
  const side = r.below.ready ? 1 : -1;
  if (r.seen.ready.length > 0) {
    svg.append("path").attr("class", "seen-ready").attr("d", area().curve(curveStepAfter)
      .x((s) => x(s[0])).y0(soil).y1((s) => soil + side * share(s[1]))(steps(r.seen.ready)));
  }
  if (r.seen.lost.length > 0) {
    const edge = soil + side * size.depth;
    svg.append("path").attr("fill", hatch).attr("d", area().curve(curveStepAfter)
      .x((s) => x(s[0])).y0(edge).y1((s) => edge - side * share(s[1]))(steps(r.seen.lost)));
  }
  if (r.seen.settled.length > 0) {
    svg.append("path").attr("class", "seen-ready").attr("d", area().curve(curveStepAfter)
      .x((s) => x(s[0])).y0(soil).y1((s) => soil - 0.6 * share(s[1]))([...r.seen.settled, [Math.max(last, r.seen.settled.at(-1)[0]), r.seen.settled.at(-1)[1]]]));
  }
  r.seen.moved.forEach(([day]) => {
    const pot = size.labels ? 7 : 4;
    svg.append("path").attr("class", "p-pot pot-mark").attr("d", `M${x(day) - pot} ${soil - 2 * pot}h${2 * pot}l${-pot / 2} ${2 * pot}h${-pot}z`);
  });
  if (r.seen.firstSign.length > 0) {
    const way = r.below.firstSign ? 1 : -1;
    svg.append("path").attr("class", "seen-first").attr("d", line().curve(curveStepAfter)
      .x((s) => x(s[0])).y((s) => soil + way * share(s[1]))(steps(r.seen.firstSign)));
  }
}

function labels(svg, r, size, soil, x) {
  const startDay = Date.parse(r.scale.start + "T00:00:00Z");
  const day = (d) => dayName(startDay + d * 86400000);
  const above = [];
  const below = [];
  const add = (d, text, under) => (under ? below : above).push([Math.min(size.width - 4, Math.max(4, x(d))), text]);
  const stuck = `${r.said.stuck} ${day(r.stuck)}`;
  add(r.stuck, r.taken === r.stuck ? stuck : `${r.said.taken} ${day(r.taken)}, ${stuck}`, false);
  if (r.expected.firstSign && r.expected.firstSign[0] <= r.scale.days) {
    add((r.expected.firstSign[0] + r.expected.firstSign[1]) / 2, `${r.said.firstSign} ${day(r.expected.firstSign[0])}–${day(r.expected.firstSign[1])}`, r.below.firstSign);
  }
  add((r.expected.ready[0] + r.expected.ready[1]) / 2, `${r.said.ready} ${day(r.expected.ready[0])}–${day(r.expected.ready[1])}`, r.below.ready);
  if (r.due !== null) {
    add(r.due, message("due", { day: day(r.due) }), false);
  }
  if (r.scale.today !== null && Math.abs(r.scale.today - r.stuck) > r.scale.days * 0.12) {
    add(r.scale.today, "today", false);
  }
  const place = (list, y, step) => {
    let end = -1e9;
    let level = 0;
    list.sort((a, b) => a[0] - b[0]).forEach(([at, text]) => {
      const half = text.length * 3;
      const middle = Math.min(size.width - half, Math.max(half, at));
      level = middle - half < end ? level + 1 : 0;
      end = Math.max(end, middle + half + 6);
      svg.append("text").attr("x", middle).attr("text-anchor", "middle").attr("y", y + step * level).text(text);
    });
  };
  place(above, soil - size.depth - 6, -12);
  place(below, Math.min(size.height - 2, soil + size.depth + 13), 12);
}
