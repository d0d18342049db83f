// The air of a place: warmth by the hour with its lowest and highest, what batches there want, nights darker; humidity beneath.
import { days } from "./days.js";
import { create, scaleLinear, scaleUtc, axisBottom, axisLeft, line, area, select } from "./vendor/d3.js";
import { message } from "./messages.js";

const WIDTH = 860;
const HIGH = 250;
const LOW = 90;
const EDGE = { top: 18, right: 16, bottom: 26, left: 44, between: 26 };
const HOUR = 3600000;
const said = days({});

export function start(holder) {
  const air = JSON.parse(holder.dataset.air);
  const first = Date.parse(air.from);
  const at = (hours) => first + hours * HOUR;
  const x = scaleUtc([first, Date.parse(air.to)], [EDGE.left, WIDTH - EDGE.right]);
  const coldest = Math.min(...air.hours.map((h) => h.low), ...air.bands.map((b) => b.from));
  const warmest = Math.max(...air.hours.map((h) => h.high), ...air.bands.map((b) => b.to));
  const y = scaleLinear([coldest - 1, warmest + 1], [HIGH - EDGE.bottom, EDGE.top]).nice();
  const height = HIGH + EDGE.between + LOW;
  const humid = scaleLinear([0, 100], [height - EDGE.bottom, HIGH + EDGE.between]);
  const svg = create("svg").attr("viewBox", `0 0 ${WIDTH} ${height}`).attr("role", "img")
    .attr("aria-label", message("air.drawn", { from: coldest.toFixed(0), to: warmest.toFixed(0), unit: air.unit }));
  const within = (h) => Math.max(EDGE.left, Math.min(WIDTH - EDGE.right, x(at(h))));
  for (const [from, to] of air.nights) {
    if (within(to) > within(from)) {
      svg.append("rect").attr("class", "air-night").attr("x", within(from)).attr("width", within(to) - within(from)).attr("y", EDGE.top).attr("height", height - EDGE.bottom - EDGE.top);
    }
  }
  air.bands.forEach((b, i) => {
    svg.append("rect").attr("class", "air-band").attr("x", EDGE.left).attr("width", WIDTH - EDGE.right - EDGE.left).attr("y", y(b.to)).attr("height", Math.max(1, y(b.from) - y(b.to)));
    const words = b.codes.length > 30 ? `${b.codes.slice(0, 28)}…` : b.codes;
    svg.append("text").attr("class", "air-label").attr("x", EDGE.left + 5 + (i % 3) * 250).attr("y", y(b.to) + 13).text(message("air.want", { words, from: b.from, to: b.to, unit: air.unit }));
  });
  // A gap in the readings is a gap in the line.
  const pieces = [[]];
  air.hours.forEach((h, i) => {
    if (i > 0 && h.at - air.hours[i - 1].at > 2 * air.step) {
      pieces.push([]);
    }
    pieces.at(-1).push(h);
  });
  for (const piece of pieces) {
    svg.append("path").attr("class", "air-spread").attr("d", area().x((h) => x(at(h.at + 0.5))).y0((h) => y(h.low)).y1((h) => y(h.high))(piece));
    svg.append("path").attr("class", "air-mean").attr("d", line().x((h) => x(at(h.at + 0.5))).y((h) => y(h.mean))(piece));
    const damp = piece.filter((h) => h.humid !== null);
    const lit = piece.filter((h) => h.light !== null);
    svg.append("path").attr("class", "air-light").attr("d", area().x((h) => x(at(h.at + 0.5))).y0(humid(0)).y1((h) => humid(100 * h.light))(lit));
    svg.append("path").attr("class", "air-humid").attr("d", line().x((h) => x(at(h.at + 0.5))).y((h) => humid(h.humid))(damp));
  }
  svg.append("g").attr("transform", `translate(${EDGE.left},0)`).call(axisLeft(y).ticks(6).tickSizeOuter(0));
  svg.append("g").attr("transform", `translate(${EDGE.left},0)`).call(axisLeft(humid).ticks(3).tickSizeOuter(0));
  svg.append("g").attr("transform", `translate(0,${height - EDGE.bottom})`).call(axisBottom(x).ticks(7).tickFormat(said).tickSizeOuter(0));
  svg.append("text").attr("class", "air-label").attr("x", 4).attr("y", 12).text(air.unit);
  svg.append("text").attr("class", "air-label").attr("x", 4).attr("y", HIGH + EDGE.between - 8).text(message("air.below"));
  svg.selectAll(".tick text").each(function plain() {
    select(this).attr("fill", null).attr("font-family", null).attr("font-size", null);
  });
  holder.replaceChildren(svg.node());
}
