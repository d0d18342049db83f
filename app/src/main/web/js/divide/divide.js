// The plant is drawn by touch or by keys; what is drawn goes into the form. Small pictures show each division with its cuts.
import { nearest } from "../benchmap/map.js";
import { drawPlant, node, says } from "./drawing.js";
import { add, find, mark, MARKS, move, read, remove, SHEET, spotBeside, tie, write } from "./plant.js";
import { message } from "../messages.js";

const ARROWS = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] };

export function start(root) {
  if (root.dataset.dividePicture !== undefined) {
    showPicture(root);
  } else {
    new Sheet(root);
  }
}

/** A division that was judged or done. */
function showPicture(root) {
  const plant = read(root.dataset.dividePicture);
  const cuts = (root.dataset.cuts ?? "").split(",").filter(Boolean).map((c) => c.split("-").map(Number));
  const letters = {};
  root.dataset.pieces?.split(";").filter(Boolean).forEach((p) => {
    const [letter, growths] = p.split(":");
    growths.split(" ").forEach((g) => { letters[g] = letter; });
  });
  root.replaceChildren(picture(plant, { cuts, letters, form: root.dataset.form }, root.dataset.says));
}

/** As near as the plant fills it. */
function picture(plant, how, words) {
  const xs = plant.growths.map((g) => g.x);
  const ys = plant.growths.map((g) => g.y);
  const box = [Math.min(...xs) - 48, Math.min(...ys) - 52, Math.max(...xs) - Math.min(...xs) + 96, Math.max(...ys) - Math.min(...ys) + 100];
  const svg = node("svg", { viewBox: box.join(" "), role: "img", "aria-label": words ?? message("divide.drawn"), class: "divide-small" });
  svg.append(drawPlant(plant, how));
  return svg;
}

class Sheet {
  constructor(root) {
    this.root = root;
    this.svg = root.querySelector("svg");
    this.field = document.getElementById("drawn");
    this.said = root.querySelector("[data-divide-said]");
    this.form = document.getElementById("form");
    this.form.addEventListener("change", () => this.show());
    this.plant = read(this.field.value);
    this.chosen = this.plant.growths.at(-1)?.number ?? null;
    this.tying = null;
    this.past = [];
    this.listen();
    this.show();
  }

  listen() {
    this.svg.addEventListener("keydown", (event) => this.key(event));
    this.svg.addEventListener("pointerdown", (event) => this.press(event));
    this.svg.addEventListener("pointermove", (event) => this.drag(event));
    this.svg.addEventListener("pointerup", () => this.release());
    this.root.querySelectorAll("[data-divide-do]").forEach((button) =>
      button.addEventListener("click", () => {
        this.act(button.dataset.divideDo);
        this.svg.focus({ preventScroll: true });
      }),
    );
    document.getElementById("beneath")?.addEventListener("change", (event) => this.layBeneath(event.target.value));
  }

  layBeneath(address) {
    this.svg.querySelector("image")?.remove();
    if (address !== "") {
      this.svg.prepend(node("image", { href: address, width: SHEET.wide, height: SHEET.high, opacity: 0.55, preserveAspectRatio: "xMidYMid meet" }));
    }
  }

  change(plant, chosen = this.chosen) {
    this.past.push({ plant: this.plant, chosen: this.chosen });
    this.plant = plant;
    this.chosen = chosen;
    this.show();
  }

  show() {
    this.field.value = write(this.plant);
    this.svg.querySelector("g.divide-plant")?.remove();
    const drawn = drawPlant(this.plant, { chosen: this.chosen, form: this.form.value });
    drawn.setAttribute("class", "divide-plant");
    this.svg.append(drawn);
    const chosen = find(this.plant, this.chosen);
    this.root.querySelectorAll("[data-divide-do]").forEach((button) => {
      const letter = button.dataset.divideDo;
      if (MARKS[letter]) {
        button.setAttribute("aria-pressed", String(chosen?.marks.has(letter) ?? false));
      }
      if (letter === "t") {
        button.setAttribute("aria-pressed", String(this.tying !== null));
      }
    });
    this.said.textContent =
      chosen === null
        ? message("divide.begin")
        : this.tying === null
          ? message("divide.chosen", { drawn: this.plant.growths.length, chosen: says(chosen) })
          : message("divide.tie", { from: this.tying });
  }

  act(what) {
    const chosen = find(this.plant, this.chosen);
    if (what === "n" || what === "b") {
      const next = add(this.plant, chosen, spotBeside(this.plant, chosen, what === "b"));
      this.change(next, next.growths.at(-1).number);
    } else if (what === "u") {
      const before = this.past.pop();
      if (before) {
        this.plant = before.plant;
        this.chosen = before.chosen;
        this.show();
      }
    } else if (chosen === null) {
      this.show();
    } else if (MARKS[what]) {
      this.change(mark(this.plant, chosen.number, what));
    } else if (what === "t") {
      this.tieChosen(chosen);
    } else if (what === "x") {
      const without = remove(this.plant, chosen.number);
      this.change(without, without.growths.at(-1)?.number ?? null);
    }
  }

  tieChosen(chosen) {
    if (this.tying === null) {
      this.tying = chosen.number;
      this.show();
      return;
    }
    const other = this.tying;
    this.tying = null;
    this.change(tie(this.plant, other, chosen.number));
  }

  key(event) {
    if (event.ctrlKey || event.metaKey || event.altKey) {
      return;
    }
    const step = ARROWS[event.key];
    if (step) {
      event.preventDefault();
      this.choose(step);
      return;
    }
    const what = { Delete: "x", Backspace: "x" }[event.key] ?? event.key;
    if ("nbrlfdtxu".includes(what) && what.length === 1) {
      event.preventDefault();
      event.stopPropagation();
      this.act(what);
    }
  }

  choose(step) {
    const chosen = find(this.plant, this.chosen);
    if (chosen !== null) {
      const all = this.plant.growths.map((g) => ({ middle: g, number: g.number }));
      const next = nearest(all.find((g) => g.number === chosen.number), all, step);
      this.chosen = next?.number ?? this.chosen;
      this.show();
    }
  }

  at(event) {
    const box = this.svg.getBoundingClientRect();
    return { x: ((event.clientX - box.left) / box.width) * SHEET.wide, y: ((event.clientY - box.top) / box.height) * SHEET.high };
  }

  press(event) {
    const at = this.at(event);
    const hit = this.plant.growths.find((g) => Math.hypot(g.x - at.x, g.y - at.y) < 24);
    if (hit) {
      this.held = { number: hit.number, from: at, moved: false };
      this.chosen = hit.number;
      if (this.tying !== null && this.tying !== hit.number) {
        this.tieChosen(hit);
      }
      this.show();
      return;
    }
    const next = add(this.plant, find(this.plant, this.chosen), at);
    this.change(next, next.growths.at(-1).number);
  }

  drag(event) {
    if (!this.held) {
      return;
    }
    const at = this.at(event);
    if (!this.held.moved && Math.hypot(at.x - this.held.from.x, at.y - this.held.from.y) < 8) {
      return;
    }
    if (!this.held.moved) {
      this.past.push({ plant: this.plant, chosen: this.chosen });
      this.held.moved = true;
    }
    this.plant = move(this.plant, this.held.number, at.x, at.y);
    this.show();
  }

  release() {
    this.held = null;
  }
}
