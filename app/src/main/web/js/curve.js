// The curve: share ready grows downward from the soil line, as roots do; losses hang as hatching from the bottom. The line
// is what is certain; the lighter ramp lies where looks cannot tell; the palest band is doubt from batch to batch.
import { create, scaleLinear, axisTop, axisLeft, area, curveStepAfter, line, select } from "./vendor/d3.js";
import { message } from "./messages.js";

const WIDTH = 760;
const HEIGHT = 330;
const EDGE = { top: 34, right: 14, bottom: 10, left: 46 };

export function start(holder) {
  const curves = JSON.parse(holder.dataset.curves);
  if (curves.length > 0) {
    const svg = draw(curves, holder.dataset.label ?? message("curve.drawn"));
    holder.replaceChildren(svg);
    const link = document.querySelector("[data-curve-svg]");
    if (link) {
      link.hidden = false;
      link.addEventListener("click", () => save(svg, link));
    }
  }
}

/** The drawing as a file of its own: what the style sheet says goes into it. */
function save(svg, link) {
  const copy = svg.cloneNode(true);
  const shown = [...svg.querySelectorAll("*")];
  [...copy.querySelectorAll("*")].forEach((element, i) => {
    const style = getComputedStyle(shown[i]);
    for (const name of ["fill", "fill-opacity", "stroke", "stroke-width", "stroke-dasharray", "font-size", "font-family"]) {
      element.setAttribute(name, style.getPropertyValue(name));
    }
  });
  copy.setAttribute("xmlns", "http://www.w3.org/2000/svg");
  link.href = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(new XMLSerializer().serializeToString(copy))}`;
  link.download = "curves.svg";
}

/** From masses [after, by, share] to corners of the least and the most share by each day. */
function bounds(masses, lastDay) {
  const days = [...new Set([0, lastDay, ...masses.flatMap((m) => [m[0], m[1]])])].sort((a, b) => a - b);
  const sum = (keep) => masses.filter(keep).reduce((s, m) => s + m[2], 0);
  return days.map((d) => ({ day: d, least: sum((m) => m[1] <= d), most: sum((m) => m[0] < d) }));
}

function draw(curves, label) {
  const days = Math.max(7, ...curves.map((c) => c.lastDay));
  const x = scaleLinear([0, days], [EDGE.left, WIDTH - EDGE.right]);
  const y = scaleLinear([0, 1], [EDGE.top, HEIGHT - EDGE.bottom]);
  const svg = create("svg").attr("class", "curve").attr("viewBox", `0 0 ${WIDTH} ${HEIGHT}`).attr("role", "img").attr("aria-label", label);
  svg.append("defs").append("pattern").attr("id", "hatch-lost").attr("class", "hatch").attr("width", 6).attr("height", 6)
    .attr("patternUnits", "userSpaceOnUse").append("path").attr("d", "M0 6 6 0");
  svg.append("g").attr("class", "grid").selectAll("line").data([0.25, 0.5, 0.75, 1]).join("line")
    .attr("x1", EDGE.left).attr("x2", WIDTH - EDGE.right).attr("y1", (s) => y(s)).attr("y2", (s) => y(s));

  curves.forEach((c, i) => {
    const name = "abcd"[i];
    // What was expected, as a ghost: one at a time, since four would only be noise.
    if (curves.length === 1 && c.expected.length > 0) {
      svg.append("path").attr("class", "expected").attr("d", line().x((_, day) => x(day)).y((s) => y(s))(c.expected));
    }
    if (c.low.length > 0) {
      svg.append("path").attr("class", `rough-${name}`).attr("d", area().curve(curveStepAfter)
        .x((_, day) => x(day)).y0((d) => y(d[0])).y1((d) => y(d[1]))(c.low.map((l, day) => [l, c.high[day]])));
    }
    const points = bounds(c.reached, c.lastDay);
    // Between the ends of an interval the share is not known: a ramp from the least to the most.
    svg.append("path").attr("class", `ramp-${name}`).attr("d", area().curve(curveStepAfter)
      .x((p) => x(p.day)).y0((p) => y(p.least)).y1((p, k) => y(points[Math.min(points.length - 1, k + 1)].most))(points));
    svg.append("path").attr("class", `sure-${name}`).attr("d", line().curve(curveStepAfter).x((p) => x(p.day)).y((p) => y(p.least))(points));
    if (curves.length === 1 && c.lost.length > 0) {
      const gone = bounds(c.lost, c.lastDay);
      svg.append("path").attr("fill", "url(#hatch-lost)").attr("d", area().curve(curveStepAfter)
        .x((p) => x(p.day)).y0(y(1)).y1((p) => y(1 - p.least))(gone));
    }
  });

  const top = svg.append("g").attr("transform", `translate(0,${EDGE.top})`).call(axisTop(x).ticks(10).tickSizeOuter(0));
  top.select(".domain").attr("class", "domain soil");
  svg.append("g").attr("transform", `translate(${EDGE.left},0)`).call(axisLeft(y).tickValues([0, 0.25, 0.5, 0.75, 1]).tickFormat((s) => `${100 * s}%`).tickSizeOuter(0));
  svg.append("text").attr("x", WIDTH - EDGE.right).attr("y", 11).attr("text-anchor", "end").text(message("curve.days"));
  svg.append("text").attr("x", EDGE.left).attr("y", 11).text(message("curve.share"));
  svg.selectAll("text").each(function plain() {
    select(this).attr("fill", null).attr("font-family", null).attr("font-size", null);
  });
  return svg.node();
}
