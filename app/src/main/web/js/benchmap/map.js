// The bench map: looked over with wheel, drag and keys; vessels carried and benches arranged by dragging or by keys.
import { token } from "../bench/outbox.js";
import { drawMark, drawMisfit, drawVessel, palette } from "./drawing.js";
import { message } from "../messages.js";

const STEP_CM = 5;
const MARK = 13;
const ARROWS = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] };

export function start(root) {
  return new BenchMap(root, JSON.parse(root.dataset.benchMap));
}

/** The nearest of some in a direction from where one is; each has a middle. */
export function nearest(from, all, [right, down]) {
  let best = null;
  for (const other of all) {
    const dx = other.middle.x - from.middle.x;
    const dy = other.middle.y - from.middle.y;
    const ahead = dx * right + dy * down;
    const aside = Math.abs(dx * down) + Math.abs(dy * right);
    if (other !== from && ahead > 0 && (best === null || ahead + 2 * aside < best.far)) {
      best = { far: ahead + 2 * aside, other };
    }
  }
  return best?.other ?? null;
}

class BenchMap {
  constructor(root, map) {
    this.root = root;
    this.canvas = root.querySelector("canvas");
    this.ink = this.canvas.getContext("2d");
    this.said = root.querySelector("[data-map-said]");
    this.houses = map.houses;
    this.benches = map.houses.flatMap((house) => house.benches.map((bench) => ({ ...bench, house })));
    this.vessels = map.vessels;
    this.chosen = null;
    this.held = null;
    this.arranging = false;
    this.listen();
    this.size();
    this.fit();
    new ResizeObserver(() => this.size()).observe(this.canvas.parentElement);
    matchMedia("(prefers-color-scheme: dark)").addEventListener("change", () => this.size());
  }

  size() {
    const box = this.canvas.parentElement.getBoundingClientRect();
    const dots = window.devicePixelRatio || 1;
    this.canvas.width = Math.round(box.width * dots);
    this.canvas.height = Math.round(box.height * dots);
    this.dots = dots;
    this.wide = box.width;
    this.high = box.height;
    this.colours = palette();
    this.draw();
  }

  /** All that there is, in the middle. */
  fit() {
    const right = Math.max(100, ...this.houses.map((h) => h.x + h.wide));
    const bottom = Math.max(100, ...this.houses.map((h) => h.y + h.deep));
    const left = Math.min(0, ...this.houses.map((h) => h.x));
    const top = Math.min(0, ...this.houses.map((h) => h.y));
    this.scale = Math.min(this.wide / (right - left + 40), this.high / (bottom - top + 80));
    this.dx = -left * this.scale + 12;
    this.dy = -top * this.scale + 26;
    this.draw();
  }

  bench(id) {
    return this.benches.find((b) => b.id === id);
  }

  /** A vessel's left back corner on the site. */
  corner(vessel) {
    const bench = this.bench(vessel.place);
    return { x: bench.house.x + bench.x + vessel.at.x, y: bench.house.y + bench.y + vessel.at.y };
  }

  draw() {
    if (this.waits) {
      return;
    }
    this.waits = true;
    requestAnimationFrame(() => {
      this.waits = false;
      this.paint();
    });
  }

  paint() {
    const { ink, colours } = this;
    this.canvas.dataset.view = `${this.scale} ${this.dx} ${this.dy}`;
    if (!this.scale) {
      return;
    }
    ink.setTransform(this.dots, 0, 0, this.dots, 0, 0);
    ink.clearRect(0, 0, this.wide, this.high);
    const site = () => ink.setTransform(this.dots * this.scale, 0, 0, this.dots * this.scale, this.dots * this.dx, this.dots * this.dy);
    site();
    for (const house of this.houses) {
      ink.lineWidth = 2 / this.scale;
      ink.strokeStyle = colours.loam;
      ink.strokeRect(house.x, house.y, house.wide, house.deep);
    }
    for (const bench of this.benches) {
      ink.fillStyle = colours.straw;
      ink.globalAlpha = 0.18;
      ink.fillRect(bench.house.x + bench.x, bench.house.y + bench.y, bench.wide, bench.deep);
      ink.globalAlpha = 1;
      ink.lineWidth = (bench === this.overBench ? 3 : 1) / this.scale;
      ink.strokeStyle = bench === this.overBench ? colours.slate : colours.loam;
      ink.strokeRect(bench.house.x + bench.x, bench.house.y + bench.y, bench.wide, bench.deep);
    }
    for (const vessel of this.vessels) {
      const at = this.corner(vessel);
      if (this.isSeen(at, vessel.at)) {
        site();
        ink.translate(at.x, at.y);
        drawVessel(ink, vessel, this.scale, colours, vessel === this.chosen);
      }
    }
    this.paintWords();
  }

  isSeen(at, size) {
    const x = at.x * this.scale + this.dx;
    const y = at.y * this.scale + this.dy;
    return x < this.wide && y < this.high && x + size.wide * this.scale > 0 && y + size.deep * this.scale > 0;
  }

  /** Names and marks keep their size at every scale. */
  paintWords() {
    const { ink, colours } = this;
    ink.setTransform(this.dots, 0, 0, this.dots, 0, 0);
    const font = getComputedStyle(document.body).fontFamily;
    const at = (x, y) => [x * this.scale + this.dx, y * this.scale + this.dy];
    ink.textBaseline = "bottom";
    for (const house of this.houses) {
      ink.font = `600 15px ${font}`;
      ink.fillStyle = colours.loam;
      const [x, y] = at(house.x, house.y);
      ink.fillText(house.name, x, y - 3);
    }
    ink.font = `13px ${font}`;
    for (const bench of this.benches) {
      const [x, y] = at(bench.house.x + bench.x, bench.house.y + bench.y);
      const full = bench.taken > bench.trays;
      ink.fillStyle = full ? colours.terracotta : colours.loam;
      const name = bench.name.startsWith(`${bench.house.name}, `) ? bench.name.slice(bench.house.name.length + 2) : bench.name;
      const room = bench.wide * this.scale + 24;
      const long = message(full ? "map.room-full" : "map.room", { name, taken: bench.taken, trays: bench.trays });
      const short = message(full ? "map.short-full" : "map.short", { taken: bench.taken, trays: bench.trays });
      const words = [long, bench.house.benches.length > 1 ? name : short, short].find((w) => ink.measureText(w).width <= room);
      if (words) {
        ink.fillText(words, x, y - 2);
      }
    }
    for (const vessel of this.vessels) {
      const corner = this.corner(vessel);
      if (!this.isSeen(corner, vessel.at)) {
        continue;
      }
      const [x, y] = at(corner.x + vessel.at.wide, corner.y);
      if (vessel.at.wide * this.scale > 54) {
        ink.fillStyle = colours.chalk;
        const [left, top] = at(corner.x, corner.y);
        ink.font = `600 12px ${font}`;
        const wide = ink.measureText(vessel.code).width + 6;
        ink.fillRect(left + 1, top + 1, wide, 15);
        ink.fillStyle = colours.loam;
        ink.fillText(vessel.code, left + 4, top + 16);
      }
      const mark = Math.max(8, Math.min(MARK, vessel.at.wide * this.scale * 0.45));
      ink.save();
      ink.translate(x - mark - 3, y + 3);
      if (vessel.mark) {
        this.paper(ink, mark);
        drawMark(ink, vessel.mark, mark, colours);
        ink.translate(-mark - 5, 0);
      }
      if (vessel.misfits.length > 0) {
        this.paper(ink, mark);
        drawMisfit(ink, mark, colours);
      }
      ink.restore();
    }
  }

  paper(ink, mark) {
    ink.fillStyle = this.colours.chalk;
    ink.globalAlpha = 0.85;
    ink.fillRect(-2, -2, mark + 4, mark + 4);
    ink.globalAlpha = 1;
  }

  // --- What is pointed at ------------------------------------------------------------------------------------------------

  point(event) {
    const box = this.canvas.getBoundingClientRect();
    const x = event.clientX - box.left;
    const y = event.clientY - box.top;
    return { x, y, cm: { x: (x - this.dx) / this.scale, y: (y - this.dy) / this.scale } };
  }

  vesselAt(cm) {
    return this.vessels.findLast((v) => {
      const at = this.corner(v);
      return cm.x >= at.x && cm.x <= at.x + v.at.wide && cm.y >= at.y && cm.y <= at.y + v.at.deep;
    });
  }

  benchAt(cm) {
    return this.benches.find((b) => {
      const x = cm.x - b.house.x - b.x;
      const y = cm.y - b.house.y - b.y;
      return x >= 0 && x <= b.wide && y >= 0 && y <= b.deep;
    });
  }

  houseAt(cm) {
    const name = 22 / this.scale;
    return this.houses.find((h) => cm.x >= h.x && cm.x <= h.x + h.wide && cm.y >= h.y - name && cm.y <= h.y + h.deep);
  }

  listen() {
    const { canvas } = this;
    canvas.addEventListener("wheel", (e) => this.wheel(e), { passive: false });
    canvas.addEventListener("pointerdown", (e) => this.down(e));
    canvas.addEventListener("pointermove", (e) => this.move(e));
    canvas.addEventListener("pointerup", (e) => this.up(e));
    canvas.addEventListener("pointercancel", () => this.drop());
    canvas.addEventListener("dblclick", () => this.open());
    canvas.addEventListener("keydown", (e) => this.key(e));
    this.root.querySelector("[data-map-fit]").addEventListener("click", () => this.fit());
    this.root.querySelector("[data-map-in]").addEventListener("click", () => this.zoomMiddle(1.4));
    this.root.querySelector("[data-map-out]").addEventListener("click", () => this.zoomMiddle(1 / 1.4));
    const arrange = this.root.querySelector("[data-map-arrange]");
    arrange?.addEventListener("click", () => {
      this.arranging = !this.arranging;
      arrange.setAttribute("aria-pressed", String(this.arranging));
      this.say(this.arranging ? message("map.drag") : "");
    });
  }

  wheel(event) {
    event.preventDefault();
    const { x, y } = this.point(event);
    this.zoom(Math.exp(-event.deltaY / 400), x, y);
  }

  /** Nearer to what is chosen, or else to the middle of what there is. */
  zoomMiddle(factor) {
    const all = this.middles();
    const chosen = all.find((m) => m.vessel === this.chosen)?.middle;
    if (chosen) {
      this.zoom(factor, chosen.x * this.scale + this.dx, chosen.y * this.scale + this.dy);
      this.show(this.chosen);
    } else {
      this.zoom(factor, this.wide / 2, this.high / 3);
    }
  }

  /** Brings a vessel into view. */
  show(vessel) {
    const at = this.corner(vessel);
    const x = at.x * this.scale + this.dx;
    const y = at.y * this.scale + this.dy;
    const wide = vessel.at.wide * this.scale;
    const high = vessel.at.deep * this.scale;
    const edge = 40;
    if (x < edge || x + wide > this.wide - edge) {
      this.dx += this.wide / 2 - x - wide / 2;
    }
    if (y < edge || y + high > this.high - edge) {
      this.dy += this.high / 2 - y - high / 2;
    }
    this.draw();
  }

  zoom(factor, x, y) {
    const scale = Math.min(12, Math.max(0.05, this.scale * factor));
    this.dx = x - ((x - this.dx) * scale) / this.scale;
    this.dy = y - ((y - this.dy) * scale) / this.scale;
    this.scale = scale;
    this.draw();
  }

  down(event) {
    this.canvas.setPointerCapture(event.pointerId);
    const at = this.point(event);
    const vessel = this.arranging ? null : this.vesselAt(at.cm);
    const bench = this.arranging ? this.benchAt(at.cm) : null;
    const house = this.arranging && !bench ? this.houseAt(at.cm) : null;
    this.choose(vessel ?? null);
    this.drag = { from: at, last: at, vessel, bench, house, moved: false };
    if (vessel) {
      const corner = this.corner(vessel);
      this.drag.grip = { x: at.cm.x - corner.x, y: at.cm.y - corner.y };
      this.drag.was = { place: vessel.place, at: { ...vessel.at } };
    }
  }

  move(event) {
    const { drag } = this;
    if (!drag) {
      return;
    }
    const at = this.point(event);
    drag.moved ||= Math.hypot(at.x - drag.from.x, at.y - drag.from.y) > 5;
    if (!drag.moved) {
      return;
    }
    const by = { x: at.cm.x - drag.last.cm.x, y: at.cm.y - drag.last.cm.y };
    if (drag.vessel && this.mayMove()) {
      const target = this.benchAt(at.cm);
      this.overBench = target ?? null;
      const bench = target ?? this.bench(drag.vessel.place);
      drag.vessel.place = bench.id;
      drag.vessel.at.x = at.cm.x - drag.grip.x - bench.house.x - bench.x;
      drag.vessel.at.y = at.cm.y - drag.grip.y - bench.house.y - bench.y;
    } else if (drag.bench) {
      drag.bench.x += by.x;
      drag.bench.y += by.y;
    } else if (drag.house) {
      drag.house.x += by.x;
      drag.house.y += by.y;
    } else {
      this.dx += at.x - drag.last.x;
      this.dy += at.y - drag.last.y;
      drag.last = at;
      this.draw();
      return;
    }
    drag.last = at;
    this.draw();
  }

  async up() {
    const { drag } = this;
    this.drag = null;
    if (!drag?.moved) {
      return;
    }
    if (drag.vessel && this.mayMove()) {
      if (this.overBench) {
        await this.put(drag.vessel, drag.was);
      } else {
        this.putBack(drag.vessel, drag.was);
        this.say(message("map.no-bench"));
      }
    } else if (drag.bench) {
      await this.send({ what: "bench", of: drag.bench.id, x: drag.bench.x, y: drag.bench.y }, message("map.put", { name: drag.bench.name }));
    } else if (drag.house) {
      await this.send({ what: "house", of: drag.house.name, x: drag.house.x, y: drag.house.y }, message("map.put", { name: drag.house.name }));
    }
    this.overBench = null;
    this.draw();
  }

  drop() {
    if (this.drag?.vessel && this.drag.was) {
      this.putBack(this.drag.vessel, this.drag.was);
    }
    this.drag = null;
  }

  mayMove() {
    return document.body.dataset.may !== "read";
  }

  putBack(vessel, was) {
    vessel.place = was.place;
    vessel.at = was.at;
    this.draw();
  }

  /** Keeps within its bench what was put on it, and tells the server. */
  async put(vessel, was) {
    const bench = this.bench(vessel.place);
    vessel.at.x = Math.max(0, Math.min(vessel.at.x, bench.wide - vessel.at.wide));
    vessel.at.y = Math.max(0, Math.min(vessel.at.y, bench.deep - vessel.at.deep));
    vessel.placed = true;
    this.draw();
    const carried = bench.id !== was.place;
    const kept = await this.send(
      { what: "vessel", of: vessel.code, place: bench.id, x: vessel.at.x, y: vessel.at.y },
      carried ? message("map.carried", { code: vessel.code, bench: bench.name }) : message("map.stands", { code: vessel.code }),
    );
    if (!kept) {
      this.putBack(vessel, was);
    } else if (carried) {
      const trays = (vessel.at.wide * vessel.at.deep) / (54 * 28);
      this.bench(was.place).taken = Math.round((this.bench(was.place).taken - trays) * 10) / 10;
      bench.taken = Math.round((bench.taken + trays) * 10) / 10;
      vessel.misfits = [];
      this.draw();
    }
  }

  async send(moved, done) {
    try {
      const session = await token();
      const answer = session === null ? null : await fetch("/benches/map/move", {
        method: "POST",
        headers: { "Content-Type": "application/json", Accept: "application/json", [session.header]: session.token },
        body: JSON.stringify(moved),
        redirect: "manual",
      });
      if (answer?.ok) {
        this.say(done);
        return true;
      }
      this.say((await answer?.json().catch(() => null))?.message ?? message("map.not-kept"));
    } catch {
      this.say(message("map.no-connection"));
    }
    return false;
  }

  // --- Keys --------------------------------------------------------------------------------------------------------------

  middles() {
    return this.vessels.map((v) => {
      const corner = this.corner(v);
      return { vessel: v, middle: { x: corner.x + v.at.wide / 2, y: corner.y + v.at.deep / 2 } };
    });
  }

  key(event) {
    const arrow = ARROWS[event.key];
    if (arrow) {
      event.preventDefault();
      event.stopPropagation();
      if (this.held) {
        this.nudge(arrow);
      } else {
        this.step(arrow);
      }
    } else if (event.key === "m" && this.chosen && !this.held && this.mayMove()) {
      this.held = { place: this.chosen.place, at: { ...this.chosen.at } };
      this.say(message("map.picked-up", { code: this.chosen.code }));
    } else if (event.key === "b" && this.held) {
      const next = (this.benches.findIndex((b) => b.id === this.chosen.place) + 1) % this.benches.length;
      this.chosen.place = this.benches[next].id;
      this.chosen.at.x = 0;
      this.chosen.at.y = 0;
      this.say(this.benches[next].name);
    } else if (event.key === "Enter" && this.held) {
      event.preventDefault();
      const was = this.held;
      this.held = null;
      this.put(this.chosen, was);
    } else if (event.key === "Enter" && this.chosen) {
      this.open();
    } else if (event.key === "Escape" && this.held) {
      this.putBack(this.chosen, this.held);
      this.held = null;
      this.say(message("map.stays"));
    } else {
      return;
    }
    event.stopPropagation();
    this.draw();
  }

  step(arrow) {
    const all = this.middles();
    const from = all.find((m) => m.vessel === this.chosen);
    const to = from ? nearest(from, all, arrow) : all[0];
    if (to) {
      this.choose(to.vessel);
      this.show(to.vessel);
    }
  }

  nudge([right, down]) {
    this.chosen.at.x += right * STEP_CM;
    this.chosen.at.y += down * STEP_CM;
  }

  choose(vessel) {
    this.chosen = vessel;
    if (vessel) {
      this.say(`${vessel.code} ${vessel.plant}: ${[vessel.says, ...vessel.misfits].filter((w) => w).join("; ")}`);
    }
    const link = this.root.querySelector("[data-map-open]");
    link.hidden = !vessel;
    link.href = vessel ? `/batches/${encodeURIComponent(vessel.code)}` : "#";
    link.textContent = vessel ? message("map.to", { code: vessel.code }) : "";
    this.draw();
  }

  open() {
    if (this.chosen) {
      window.location.assign(`/batches/${encodeURIComponent(this.chosen.code)}`);
    }
  }

  say(words) {
    this.said.textContent = words;
  }
}
