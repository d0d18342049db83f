// Bench mode: a tray map and one key a reading. What may be read stands in readings.js, what was typed in draft.js.
import { days } from "../days.js";
import { Draft } from "./draft.js";
import { keepPhoto, sendPhotos } from "./photos.js";
import { FEELS, LOOKS, canKnow, objection, sentinels, stateOfRoot, told, unchanged, words } from "./readings.js";
import { Sending } from "./sending.js";
import { isKept } from "./store.js";
import { Tray } from "./tray.js";
import { message } from "../messages.js";

export async function start(root) {
  const bench = JSON.parse(root.dataset.bench);
  const opened = new Bench(root, bench, await Draft.open(bench, document.body.dataset.owner));
  if (!(await isKept())) {
    opened.say(message("bench.keeps-nothing"), true);
  }
}

const written = days({ weekday: "short" });
const next = (list, now) => list[(list.indexOf(now) + 1) % list.length];

class Bench {
  constructor(root, bench, draft) {
    this.root = root;
    this.bench = bench;
    this.draft = draft;
    this.asks = null;
    this.digits = "";
    this.last = null;
    this.tray = new Tray(this.find("tray"), this.bench, this.draft, {
      leaving: () => this.finishDigits(),
      moved: () => this.tellNow(),
    });
    this.fillPad();
    this.fillHead();
    document.addEventListener("keydown", (e) => this.keydown(e));
    this.tray.go(this.tray.at);
    this.warned = false;
    if (this.draft.takenUp) {
      this.say(message("bench.from-before", { n: this.draft.size }), false);
      this.find("dropped").hidden = false;
    }
    this.find("dropped").addEventListener("click", () => this.dropDraft());
    this.sending = new Sending(root, this.bench, this.draft, (text, wrong) => this.say(text, wrong));
  }

  find(name) {
    return this.root.querySelector(`[data-${name}]`);
  }

  fillPad() {
    this.root.querySelectorAll("[data-press]").forEach((b) => b.addEventListener("click", () => this.press(b.dataset.press)));
    this.find("causes").replaceChildren(...this.bench.causes.map((c) => this.keyButton(`${c.word} (${c.key})`, c.key)));
    this.find("digits").replaceChildren(...[..."1234567890"].map((d) => this.keyButton(d, d)), this.keyButton("mm, done", "."));
  }

  fillHead() {
    const { look, lookedOn, note } = this.draft.values;
    this.find("look").value = look;
    this.find("day").value = lookedOn;
    this.find("note").value = note ?? "";
    this.find("look").addEventListener("change", () => this.changeLook());
    this.find("day").addEventListener("change", () => this.draft.set("lookedOn", this.find("day").value));
    this.find("photo").addEventListener("change", () => this.takePhoto());
    window.addEventListener("online", () => this.sendPhotos());
    this.sendPhotos();
    this.find("note").addEventListener("input", () => this.draft.set("note", this.find("note").value));
  }

  /** A photograph is kept at once, and sent when there is a connection: now, or from whatever page is open then. */
  async takePhoto() {
    const [file] = this.find("photo").files;
    if (!file) {
      return;
    }
    const kept = await keepPhoto(this.draft.owner, this.bench.code, this.find("day").value, file);
    this.find("photo").value = "";
    if (kept) {
      this.find("photo").dataset.taken = "yes";
      await this.sendPhotos();
    } else {
      this.find("photos").textContent = message("bench.no-photograph");
    }
  }

  async sendPhotos() {
    const { waiting, refused } = await sendPhotos(this.draft.owner);
    const wait = message("bench.photographs-wait", { n: waiting });
    this.find("photos").textContent = refused ?? (waiting > 0 ? wait : this.find("photo").dataset.taken ? message("bench.photograph-kept") : "");
  }

  keyButton(text, key) {
    const button = document.createElement("button");
    button.type = "button";
    button.textContent = text;
    button.addEventListener("click", () => this.press(key));
    return button;
  }

  look(cell) {
    return this.draft.entry(cell.piece)?.look ?? this.draft.values.look;
  }

  tellNow() {
    const cell = this.tray.cell;
    this.find("now").textContent = this.tray.chosen.size > 1
      ? message("bench.chosen", { n: this.tray.chosen.size })
      : message("bench.piece", { piece: cell.piece, words: words(this.draft.entry(cell.piece), this.bench) });
    this.find("now-drawing").replaceChildren(this.tray.buttons[this.tray.at].querySelector("svg").cloneNode(true));
    this.find("count").textContent = message("bench.looked-at", { read: this.draft.size, all: this.bench.cells.length });
    this.root.querySelectorAll("[data-needs]").forEach((b) => {
      b.disabled = !canKnow(this.bench, this.look(cell), b.dataset.needs) || (b.dataset.needs === "FIRST_SIGN" && this.bench.firstSign === null);
    });
  }

  say(text, wrong) {
    this.find("line").textContent = text;
    this.find("line").classList.toggle("behind", wrong);
  }

  /** Reads cells: {@code how} answers a reading, words against it, or undefined to leave the cell. */
  read(cells, how) {
    const readings = [];
    for (const cell of cells) {
      const answer = how(this.draft.entry(cell.piece), cell);
      if (typeof answer === "string") {
        this.say(answer, true);
      } else if (answer !== undefined) {
        const entry = answer === null ? undefined : answer;
        readings.push([cell.piece, entry]);
        this.last = entry && !entry.unchanged ? entry : this.last;
      }
    }
    if (readings.length > 0) {
      this.draft.change(readings);
    }
    this.tray.drawAll();
    this.tellNow();
  }

  setState(state, more = {}) {
    this.say("", false);
    this.showSeveral(false);
    this.read(this.tray.targets(), (entry, cell) => {
      const { unchanged: _, ...before } = entry ?? {};
      return objection(this.bench, cell, this.look(cell), state)
        ?? { ...before, cause: undefined, topGrowth: state === "LOST" || state === "SENT" ? undefined : before.topGrowth, ...more, state };
    });
  }

  note(what) {
    this.say("", false);
    this.read(this.tray.targets(), (entry, cell) => {
      const state = entry?.state ?? unchanged(this.bench, cell, this.look(cell))?.state;
      if (state === undefined || state === "LOST" || state === "SENT") {
        return `Piece ${cell.piece} is gone; nothing more can be noted of it.`;
      }
      const { unchanged: _, ...before } = entry ?? {};
      return { ...before, state, ...what(before) };
    });
  }

  setRoot(mm) {
    if (this.bench.ready.byRoots && this.tray.targets().some((c) => !canKnow(this.bench, this.look(c), "READY"))) {
      this.say(message("bench.no-roots"), true);
      return;
    }
    this.setState(stateOfRoot(this.bench, mm), { rootMm: mm });
  }

  keydown(event) {
    if (event.target.closest("input, select, textarea, form, summary") || event.ctrlKey || event.metaKey || event.altKey) {
      return;
    }
    const { columns } = this.bench;
    const step = (this.tray.turned
      ? { ArrowDown: 1, ArrowUp: -1, ArrowRight: columns, ArrowLeft: -columns }
      : { ArrowRight: 1, ArrowLeft: -1, ArrowDown: columns, ArrowUp: -columns })[event.key];
    if (step !== undefined) {
      event.preventDefault();
      this.finishDigits();
      this.tray.step(step, event.shiftKey);
      return;
    }
    // A button of the pad that has the focus answers Enter and space itself.
    if ((event.key === "Enter" || event.key === " ") && event.target.closest("button:not(.cell), a")) {
      return;
    }
    if (this.press(event.key)) {
      event.preventDefault();
    }
  }

  /** Does what a key stands for, and answers whether it stands for anything; buttons of the pad press keys too. */
  press(key) {
    if (this.asks === "causes") {
      return this.answerCause(key);
    }
    if (this.asks === "digits") {
      if (/^\d$/.test(key)) {
        this.digits = (this.digits + key).slice(0, 4);
        this.say(message("bench.longest-root", { length: told(this.digits * this.bench.lengths.step, this.bench.lengths) }), false);
        return true;
      }
      this.finishDigits();
      if (key === "." || key === "Escape") {
        return true;
      }
    }
    const action = this.actions[key];
    action?.();
    return action !== undefined;
  }

  actions = {
    0: () => this.setState("NONE"),
    1: () => this.setState("FIRST_SIGN"),
    2: () => this.setState("READY"),
    x: () => this.ask("causes", "Lost: to what? " + this.bench.causes.map((c) => `${c.key} ${c.word}`).join(" · ")),
    s: () => this.setState("SENT"),
    ".": () => this.ask("digits", this.bench.lengths.asks),
    t: () => this.note((e) => ({ topGrowth: !e.topGrowth })),
    b: () => this.note((e) => ({ sideRoots: !e.sideRoots })),
    f: () => this.note((e) => ({ firmness: next(FEELS, e.firmness ?? null) })),
    k: () => this.nextLook(),
    " ": () => this.repeat(),
    "=": () => this.restUnchanged(),
    r: () => this.askSentinels(),
    a: () => this.tray.chooseAlike("all"),
    w: () => this.tray.chooseAlike("row"),
    c: () => this.tray.chooseAlike("column"),
    m: () => this.showSeveral(!this.tray.several),
    u: () => this.undo(),
    Delete: () => this.read(this.tray.targets(), () => null),
    Backspace: () => this.read(this.tray.targets(), () => null),
    Enter: () => this.save(),
    Escape: () => this.tray.go(this.tray.at),
  };

  /** Asks for a cause or for digits; the next keys answer. */
  ask(what, text) {
    this.asks = what;
    this.digits = "";
    this.find(what).hidden = false;
    this.say(text, false);
  }

  asked() {
    this.find(this.asks).hidden = true;
    this.asks = null;
    this.say("", false);
  }

  answerCause(key) {
    const cause = this.bench.causes.find((c) => c.key === key);
    if (!cause && key !== "Escape") {
      return false;
    }
    this.asked();
    if (cause) {
      this.setState("LOST", { cause: cause.code });
    }
    return true;
  }

  finishDigits() {
    if (this.asks !== "digits") {
      return;
    }
    this.asked();
    if (this.digits !== "") {
      this.setRoot(Math.round(this.digits * this.bench.lengths.step));
    }
  }

  nextLook() {
    this.note((e) => ({ look: next(LOOKS, e.look ?? this.draft.values.look) }));
    const words = this.find("look").querySelector(`[value=${this.look(this.tray.cell)}]`).textContent;
    this.say(message("bench.this-piece", { words }), false);
  }

  changeLook() {
    this.draft.set("look", this.find("look").value);
    this.tellNow();
    if (!canKnow(this.bench, this.draft.values.look, "READY")) {
      this.say(message("bench.from-above"), false);
    }
    this.tray.buttons[this.tray.at].focus();
  }

  /** Reads the cell as the last one was, and moves on; a lost piece is only passed by. */
  repeat() {
    const last = this.last;
    if (last && this.tray.targets().some((c) => c.state !== "LOST" && c.state !== "SENT")) {
      const { state, cause, topGrowth, firmness, sideRoots } = last;
      this.setState(state, { cause, topGrowth, firmness, sideRoots });
    }
    this.tray.step(1, false);
  }

  restUnchanged() {
    const rest = this.bench.cells.filter((c) => this.draft.entry(c.piece) === undefined);
    this.read(rest, (_, cell) => unchanged(this.bench, cell, this.draft.values.look) ?? undefined);
    this.say(message("bench.the-rest"), false);
  }

  askSentinels() {
    const running = this.bench.cells.filter((c) => c.state === "NONE" || c.state === "FIRST_SIGN").length;
    const drawn = sentinels(this.bench.cells, Math.min(5, Math.max(2, Math.round(running / 12)))).sort((a, b) => a - b);
    this.tray.sentinels = new Set(drawn);
    this.tray.drawAll();
    this.say(message("bench.sentinels", { pieces: drawn.join(", ") }), false);
    if (drawn.length > 0) {
      this.tray.goTo(drawn[0]);
    }
  }

  showSeveral(on) {
    if (on === this.tray.several) {
      return;
    }
    this.tray.chooseSeveral(on);
    this.root.querySelector("[data-press=m]").setAttribute("aria-pressed", String(on));
    if (on) {
      this.say(message("bench.touch-alike"), false);
    }
  }

  undo() {
    const pieces = this.draft.undo();
    this.tray.drawAll();
    if (pieces === null) {
      this.say(message("bench.nothing-to-undo"), false);
      return;
    }
    this.tray.goTo(pieces[0]);
    this.say(message("bench.undone"), false);
  }

  save() {
    this.finishDigits();
    const { lookedOn } = this.draft.values;
    if (this.draft.size === 0) {
      this.say(message("bench.no-reading"), true);
    } else if (!lookedOn || lookedOn > this.bench.today || lookedOn < this.bench.stuckOn) {
      this.say(message("bench.day", { from: written(new Date(this.bench.stuckOn)) }), true);
    } else if (this.unread > 0 && !this.warned) {
      this.warned = true;
      this.say(message("bench.unread", { n: this.unread }), true);
    } else {
      this.sending.save();
    }
  }

  /** Cells that still run and have no reading; where a few were drawn to stand for the tray, the others are meant to have none. */
  get unread() {
    return this.tray.sentinels.size > 0
      ? 0
      : this.bench.cells.filter((c) => this.draft.entry(c.piece) === undefined && unchanged(this.bench, c, this.draft.values.look)).length;
  }

  dropDraft() {
    this.draft.drop();
    this.find("dropped").hidden = true;
    this.tray.drawAll();
    this.tellNow();
    this.say(message("bench.dropped"), false);
  }
}
