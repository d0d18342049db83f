// Start or take: days to start run along the line, the least number to take grows above it. The stock's limit lies across;
// where the two cross is the latest safe start. The mark is the plan: dragged, or moved by arrows, it says its chance at once.
import { days } from "./days.js";
import { create, scaleLinear, scaleUtc, axisBottom, axisLeft, line, select, pointer } from "./vendor/d3.js";
import { message } from "./messages.js";

const WIDTH = 860;
const HEIGHT = 250;
const EDGE = { top: 18, right: 16, bottom: 30, left: 44 };
const DAY = 86400000;
const WAIT = 60;

export function start(holder) {
  new StartOrTake(holder, JSON.parse(holder.dataset.startOrTake));
}

const time = (day) => Date.parse(`${day}T00:00:00Z`);
const iso = (ms) => new Date(ms).toISOString().slice(0, 10);
const said = days({ weekday: "short" });
const short = days();

class StartOrTake {
  constructor(holder, plan) {
    this.plan = plan;
    const known = plan.days.filter((d) => d.pieces !== null).map((d) => d.pieces);
    const most = Math.max(plan.limit ?? 0, plan.planned.take ?? 0, Math.min(...known, 60));
    this.top = Math.min(Math.max(10, Math.ceil(1.5 * most)), 2000);
    this.x = scaleUtc([time(plan.days[0].day), time(plan.aim.due)], [EDGE.left, WIDTH - EDGE.right]);
    this.y = scaleLinear([0, this.top], [HEIGHT - EDGE.bottom, EDGE.top]).clamp(true);
    this.at = { day: time(plan.planned.start), pieces: Math.min(this.top, plan.planned.take ?? plan.limit ?? most) };
    this.asked = null;
    this.line = document.createElement("p");
    this.line.className = "state-line m-0";
    this.line.setAttribute("role", "status");
    holder.replaceChildren(this.draw(), this.line);
    this.place();
    this.line.textContent = plan.planned.take === null
      ? message("start.none")
      : message("start.planned", { day: said(this.at.day), take: plan.planned.take });
  }

  draw() {
    const { plan, x, y } = this;
    const svg = create("svg").attr("class", "start-or-take").attr("viewBox", `0 0 ${WIDTH} ${HEIGHT}`);
    const seasons = plan.days.map((d, i) => [time(d.day), plan.days[i + 1] ? time(plan.days[i + 1].day) : time(plan.aim.due), d.inSeason]);
    seasons.filter((s) => !s[2] && s[1] > s[0]).forEach((s) => {
      svg.append("rect").attr("class", "off-season").attr("x", x(s[0])).attr("width", x(s[1]) - x(s[0]))
        .attr("y", EDGE.top).attr("height", HEIGHT - EDGE.bottom - EDGE.top);
    });
    const bottom = svg.append("g").attr("transform", `translate(0,${HEIGHT - EDGE.bottom})`).call(axisBottom(x).ticks(8).tickFormat(short).tickSizeOuter(0));
    bottom.select(".domain").attr("class", "domain soil");
    svg.append("g").attr("transform", `translate(${EDGE.left},0)`).call(axisLeft(y).ticks(5).tickSizeOuter(0));
    svg.append("text").attr("x", EDGE.left + 6).attr("y", 12).text(message("start.least"));
    if (plan.limit !== null && plan.limit <= this.top) {
      svg.append("line").attr("class", "limit").attr("x1", EDGE.left).attr("x2", WIDTH - EDGE.right).attr("y1", y(plan.limit)).attr("y2", y(plan.limit));
      svg.append("text").attr("x", WIDTH - EDGE.right).attr("y", y(plan.limit) - 5).attr("text-anchor", "end").text(message("start.bears", { limit: plan.limit }));
    }
    const shown = plan.days.filter((d) => d.pieces !== null && d.pieces <= this.top);
    svg.append("path").attr("class", "least").attr("d", line().x((d) => x(time(d.day))).y((d) => y(d.pieces))(shown));
    if (plan.planned.lastSafe !== null) {
      const last = x(time(plan.planned.lastSafe));
      svg.append("line").attr("class", "due").attr("x1", last).attr("x2", last).attr("y1", EDGE.top).attr("y2", HEIGHT - EDGE.bottom);
      const left = last > 0.7 * WIDTH;
      svg.append("text").attr("x", left ? last - 5 : last + 5).attr("text-anchor", left ? "end" : "start").attr("y", HEIGHT - EDGE.bottom - 6).text(message("start.last-safe", { day: said(time(plan.planned.lastSafe)) }));
    }
    const today = x(time(plan.today));
    if (today >= EDGE.left && today <= WIDTH - EDGE.right) {
      svg.append("line").attr("class", "today").attr("x1", today).attr("x2", today).attr("y1", EDGE.top).attr("y2", HEIGHT - EDGE.bottom);
    }
    this.mark = svg.append("g").attr("class", "mark").attr("tabindex", 0).attr("role", "slider")
      .attr("aria-label", message("start.drawn")).attr("aria-valuemin", 1).attr("aria-valuemax", this.top);
    this.mark.append("circle").attr("r", 22).attr("class", "family-press");
    this.mark.append("circle").attr("r", 8);
    this.mark.on("keydown", (event) => this.keydown(event));
    svg.on("pointerdown", (event) => this.pick(event, svg)).on("pointermove", (event) => this.drag(event, svg))
      .on("pointerup pointercancel", () => { this.dragging = false; });
    svg.selectAll(".tick text").each(function plain() {
      select(this).attr("fill", null).attr("font-family", null).attr("font-size", null);
    });
    return svg.node();
  }

  pick(event, svg) {
    this.dragging = true;
    svg.node().setPointerCapture(event.pointerId);
    this.drag(event, svg);
  }

  drag(event, svg) {
    if (!this.dragging) {
      return;
    }
    event.preventDefault();
    const [px, py] = pointer(event, svg.node());
    this.move(Math.round((this.x.invert(px).getTime() - time(this.plan.days[0].day)) / DAY) * DAY + time(this.plan.days[0].day), Math.round(this.y.invert(py)));
  }

  keydown(event) {
    const step = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, 1], ArrowDown: [0, -1] }[event.key];
    if (step) {
      event.preventDefault();
      this.move(this.at.day + step[0] * DAY, this.at.pieces + step[1]);
    }
  }

  move(day, pieces) {
    const first = time(this.plan.days[0].day);
    this.at = {
      day: Math.min(time(this.plan.aim.due) - DAY, Math.max(first, day)),
      pieces: Math.min(this.top, Math.max(1, pieces)),
    };
    this.place();
    this.line.textContent = message("start.asked", { day: said(this.at.day), take: this.at.pieces });
    clearTimeout(this.timer);
    this.timer = setTimeout(() => this.ask(), WAIT);
    // What the mark says is what Commit commits.
    document.querySelectorAll("[data-planned-start]").forEach((f) => { f.value = iso(this.at.day); });
    const take = document.getElementById("take");
    if (take) {
      take.value = this.at.pieces;
    }
  }

  place() {
    this.mark.attr("transform", `translate(${this.x(this.at.day)},${this.y(this.at.pieces)})`)
      .attr("aria-valuenow", this.at.pieces).attr("aria-valuetext", message("start.at", { day: said(this.at.day), n: this.at.pieces }));
  }

  async ask() {
    this.asked?.abort();
    this.asked = new AbortController();
    const { day, pieces } = this.at;
    const { stock, way, aim: { wanted, perPot, due, sure } } = this.plan;
    const query = new URLSearchParams({ stock, way, wanted, perPot, due, sure, start: iso(day), take: pieces });
    try {
      const answer = await (await fetch(`/plan/chance?${query}`, { signal: this.asked.signal, headers: { Accept: "application/json" } })).json();
      const enough = answer.chance !== null && answer.chance >= sure / 100;
      this.line.textContent = message(answer.chance === null ? "start.said" : "start.in-time", { day: said(day), take: pieces, words: answer.words, wanted });
      this.line.classList.toggle("behind", !enough);
    } catch (failed) {
      if (failed.name !== "AbortError") {
        this.line.textContent = message("start.no-answer");
      }
    }
  }
}
