// Building up: young plants grow upward from the soil line as days run along it. The band is one run in ten to nine in ten,
// the ink half of them; dotted, the same with no new stock plants.
import { days } from "./days.js";
import { create, scaleLinear, scaleUtc, axisBottom, axisLeft, line, area, select } from "./vendor/d3.js";
import { message } from "./messages.js";

const WIDTH = 860;
const HEIGHT = 280;
const EDGE = { top: 20, right: 44, bottom: 30, left: 52 };
const DAY = 86400000;
const said = days({ year: "numeric" });

export function start(holder) {
  const plan = JSON.parse(holder.dataset.buildUp);
  const first = Date.parse(`${plan.start}T00:00:00Z`);
  const due = Date.parse(`${plan.due}T00:00:00Z`);
  const day = (p) => first + p.day * DAY;
  // Where all runs have what is wanted nothing more is worth drawing.
  const done = plan.best.findIndex((p) => p.tenth >= plan.wanted);
  const until = Math.max(due + 30 * DAY, done < 0 ? day(plan.best[plan.best.length - 1]) : day(plan.best[done]) + 30 * DAY);
  const shown = (points) => points.filter((p) => day(p) <= until);
  const x = scaleUtc([first, until], [EDGE.left, WIDTH - EDGE.right]);
  const y = scaleLinear([0, 1.25 * plan.wanted], [HEIGHT - EDGE.bottom, EDGE.top]).clamp(true);
  const svg = create("svg").attr("class", "start-or-take").attr("viewBox", `0 0 ${WIDTH} ${HEIGHT}`).attr("role", "img")
    .attr("aria-label", message("build-up.drawn", { wanted: plan.wanted }));
  const bottom = svg.append("g").attr("transform", `translate(0,${HEIGHT - EDGE.bottom})`).call(axisBottom(x).ticks(8).tickFormat(said).tickSizeOuter(0));
  bottom.select(".domain").attr("class", "domain soil");
  svg.append("g").attr("transform", `translate(${EDGE.left},0)`).call(axisLeft(y).ticks(5).tickSizeOuter(0));
  svg.append("text").attr("x", EDGE.left + 6).attr("y", 13).text(message("build-up.young"));
  svg.append("path").attr("class", "build-band").attr("d", area().x((p) => x(day(p))).y0((p) => y(p.tenth)).y1((p) => y(p.ninetieth))(shown(plan.best)));
  svg.append("path").attr("class", "build-without").attr("d", line().x((p) => x(day(p))).y((p) => y(p.middle))(shown(plan.without)));
  svg.append("path").attr("class", "least").attr("d", line().x((p) => x(day(p))).y((p) => y(p.middle))(shown(plan.best)));
  svg.append("line").attr("class", "limit").attr("x1", EDGE.left).attr("x2", WIDTH - EDGE.right).attr("y1", y(plan.wanted)).attr("y2", y(plan.wanted));
  svg.append("text").attr("x", EDGE.left + 6).attr("y", y(plan.wanted) - 5).text(message("build-up.wanted", { wanted: plan.wanted }));
  svg.append("line").attr("class", "due").attr("x1", x(due)).attr("x2", x(due)).attr("y1", EDGE.top).attr("y2", HEIGHT - EDGE.bottom);
  const left = x(due) > 0.7 * WIDTH;
  svg.append("text").attr("x", left ? x(due) - 5 : x(due) + 5).attr("y", HEIGHT - EDGE.bottom - 6).attr("text-anchor", left ? "end" : "start").text(message("due", { day: said(due) }));
  svg.selectAll(".tick text").each(function plain() {
    select(this).attr("fill", null).attr("font-family", null).attr("font-size", null);
  });
  holder.replaceChildren(svg.node());
}
