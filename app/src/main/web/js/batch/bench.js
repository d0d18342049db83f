// Bench mode: a tray map, one key a reading, everything typed kept in the browser until the server has it.
import { put, remove, send, waiting } from "./outbox.js";
import { FEELS, LOOKS, canKnow, objection, sentinels, stateOfRoot, unchanged, words } from "./readings.js";

const SVG = "http://www.w3.org/2000/svg";
const DRAWING = { NONE: "none", FIRST_SIGN: "first_sign", READY: "ready", LOST: "lost", SENT: "sent" };
const RETRY_MS = 8000;

export function start(root) {
  new Bench(root).begin();
}

class Bench {
  constructor(root) {
    this.root = root;
    this.bench = JSON.parse(root.dataset.bench);
    this.key = `vivarium.check.${this.bench.code}`;
    this.tray = root.querySelector("[data-tray]");
    this.line = root.querySelector("[data-line]");
    this.nowText = root.querySelector("[data-now]");
    this.nowDrawing = root.querySelector("[data-now-drawing]");
    this.lookInput = root.querySelector("[data-look]");
    this.dayInput = root.querySelector("[data-day]");
    this.undoStack = [];
    this.selected = new Set();
    this.sentinels = new Set();
    this.mode = "read";
    this.digits = "";
    this.last = null;
  }

  begin() {
    this.load();
    this.cells = this.bench.cells.map((cell) => this.makeCell(cell));
    this.tray.replaceChildren(...this.cells);
    this.tray.classList.add(this.bench.columns <= 13 ? `cols-${this.bench.columns}` : "cols-many");
    this.root.querySelectorAll("[data-press]").forEach((b) => b.addEventListener("click", () => this.press(b.dataset.press)));
    this.root.querySelector("[data-causes]").replaceChildren(...this.bench.causes.map((c) => this.causeButton(c)));
    this.root.querySelector("[data-digits]").replaceChildren(
      ...[..."1234567890"].map((d) => this.keyButton(d, d)), this.keyButton("mm, done", "."));
    this.lookInput.addEventListener("change", () => this.changeLook());
    this.dayInput.addEventListener("change", () => this.keep());
    document.addEventListener("keydown", (e) => this.keydown(e));
    this.paintByDrag();
    window.addEventListener("online", () => this.retry());
    this.cells.forEach((_, i) => this.draw(i));
    this.go(this.draft.at);
    if (waiting().some((w) => w.code === this.bench.code)) {
      this.say("A check of this batch waits to be sent.", false);
      this.retry();
    }
  }

  /** The draft as it was left, if the batch has not changed since; otherwise with what was typed, and the new state. */
  load() {
    const kept = JSON.parse(localStorage.getItem(this.key) ?? "null");
    this.draft = kept ?? {
      clientId: crypto.randomUUID(),
      lookedOn: this.bench.today,
      look: this.bench.usualLook,
      knownChanges: this.bench.changes,
      entries: {},
      at: 0,
    };
    this.lookInput.value = this.draft.look;
    this.dayInput.value = this.draft.lookedOn;
    if (kept && Object.keys(kept.entries).length > 0) {
      this.say("Taken up where you left it.", false);
    }
  }

  keep() {
    this.draft.lookedOn = this.dayInput.value;
    localStorage.setItem(this.key, JSON.stringify(this.draft));
  }

  makeCell(cell) {
    const button = document.createElement("button");
    button.type = "button";
    button.className = "cell";
    button.tabIndex = -1;
    button.dataset.piece = cell.piece;
    const number = document.createElement("span");
    number.className = "no";
    number.textContent = cell.piece;
    const mm = document.createElement("span");
    mm.className = "mm";
    button.append(number, drawing("none", false), mm);
    return button;
  }

  causeButton(cause) {
    const button = document.createElement("button");
    button.type = "button";
    button.textContent = `${cause.word} (${cause.key})`;
    button.addEventListener("click", () => this.chooseCause(cause.key));
    return button;
  }

  keyButton(text, key) {
    const button = document.createElement("button");
    button.type = "button";
    button.textContent = text;
    button.addEventListener("click", () => this.press(key));
    return button;
  }

  entry(i) {
    return this.draft.entries[this.bench.cells[i].piece];
  }

  look(i) {
    return this.entry(i)?.look ?? this.draft.look;
  }

  draw(i) {
    const cell = this.bench.cells[i];
    const entry = this.entry(i);
    const button = this.cells[i];
    const state = entry && !entry.unchanged ? entry.state : cell.state;
    const shown = entry && entry.state === "NONE" && cell.state !== "NONE" ? cell.state : state;
    const name = cell.potted && shown === "READY" ? "potted" : DRAWING[shown];
    const leafy = shown !== "LOST" && shown !== "SENT" && (entry?.topGrowth ?? cell.leafy);
    button.querySelector("svg").replaceWith(drawing(name, leafy));
    button.querySelector(".mm").textContent = entry?.rootMm === undefined ? "" : String(entry.rootMm);
    button.classList.toggle("read", entry !== undefined && !entry.unchanged);
    button.classList.toggle("unchanged", entry?.unchanged === true);
    button.classList.toggle("at", this.selected.size > 0 ? this.selected.has(i) : i === this.draft.at);
    button.classList.toggle("sentinel", this.sentinels.has(cell.piece));
    button.setAttribute("aria-label", `piece ${cell.piece}: ${words(entry, this.bench.causes)}`);
  }

  go(i, extend = false) {
    const before = this.draft.at;
    if (extend) {
      this.selected.add(before).add(i);
    } else if (this.selected.size > 0) {
      const old = [...this.selected];
      this.selected.clear();
      old.forEach((s) => this.draw(s));
    }
    this.draft.at = i;
    this.cells[before].tabIndex = -1;
    this.cells[i].tabIndex = 0;
    this.cells[i].focus({ preventScroll: true });
    this.cells[i].scrollIntoView({ block: "nearest" });
    this.draw(before);
    this.draw(i);
    this.tellNow();
  }

  tellNow() {
    const i = this.draft.at;
    const cell = this.bench.cells[i];
    const entry = this.entry(i);
    this.nowText.textContent = this.selected.size > 1
      ? `${this.selected.size} pieces chosen`
      : `Piece ${cell.piece}: ${words(entry, this.bench.causes)}`;
    const shown = this.cells[i].querySelector("svg").cloneNode(true);
    this.nowDrawing.replaceChildren(shown);
    const read = Object.keys(this.draft.entries).length;
    this.root.querySelector("[data-count]").textContent = `${read} of ${this.bench.cells.length} looked at`;
    this.root.querySelectorAll("[data-needs]").forEach((b) => {
      b.disabled = !canKnow(this.bench, this.look(i), b.dataset.needs) || (b.dataset.needs === "FIRST_SIGN" && !this.bench.hasFirstSign);
    });
  }

  say(text, wrong) {
    this.line.textContent = text;
    this.line.classList.toggle("behind", wrong);
  }

  targets() {
    return this.selected.size > 0 ? [...this.selected] : [this.draft.at];
  }

  /** Changes readings of some cells, as one step that u takes back. */
  change(targets, how) {
    const before = targets.map((i) => [i, this.entry(i)]);
    for (const i of targets) {
      const cell = this.bench.cells[i];
      const next = how(this.entry(i), cell, i);
      if (typeof next === "string") {
        this.say(next, true);
      } else if (next === null) {
        delete this.draft.entries[cell.piece];
      } else if (next !== undefined) {
        this.draft.entries[cell.piece] = next;
      }
      this.draw(i);
    }
    this.undoStack.push(before);
    this.keep();
    this.tellNow();
  }

  setState(state, cause) {
    this.say("", false);
    this.severalDone();
    this.change(this.targets(), (entry, cell, i) => {
      const wrong = objection(this.bench, cell, this.look(i), state);
      if (wrong) {
        return wrong;
      }
      const next = { ...entry, state, cause };
      delete next.unchanged;
      if (state === "LOST") {
        delete next.topGrowth;
      }
      this.last = next;
      return next;
    });
  }

  /** What was chosen by fingers is read once. */
  severalDone() {
    if (this.several) {
      this.several = false;
      this.root.querySelector("[data-press=m]").setAttribute("aria-pressed", "false");
    }
  }

  note(what) {
    this.say("", false);
    this.change(this.targets(), (entry, cell, i) => {
      const state = entry?.state ?? unchanged(this.bench, cell, this.look(i))?.state;
      if (state === undefined || state === "LOST" || state === "SENT") {
        return `Piece ${cell.piece} is gone; nothing more can be noted of it.`;
      }
      const next = what({ ...entry, state });
      delete next.unchanged;
      this.last = next;
      return next;
    });
  }

  setRoot(mm) {
    const state = stateOfRoot(this.bench, mm);
    this.change(this.targets(), (entry, cell, i) => {
      if (!canKnow(this.bench, this.look(i), "READY") && this.bench.readyByRoots) {
        return "A look from above cannot measure roots; press k to tug or lift this one.";
      }
      const wrong = objection(this.bench, cell, this.look(i), state);
      if (wrong) {
        return wrong;
      }
      const next = { ...entry, state, rootMm: mm };
      delete next.unchanged;
      this.last = next;
      return next;
    });
  }

  keydown(event) {
    if (event.target.closest("input, select, textarea, form, summary") || event.ctrlKey || event.metaKey || event.altKey) {
      return;
    }
    const step = { ArrowRight: 1, ArrowLeft: -1, ArrowDown: this.bench.columns, ArrowUp: -this.bench.columns }[event.key];
    if (step !== undefined) {
      event.preventDefault();
      this.finishDigits();
      this.move(step, event.shiftKey);
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

  move(step, extend) {
    const next = this.draft.at + step;
    if (next >= 0 && next < this.cells.length) {
      this.go(next, extend);
    }
  }

  /** Does what a key stands for; buttons of the pad press keys too. */
  press(key) {
    if (this.mode === "cause") {
      return this.chooseCause(key);
    }
    if (this.mode === "root") {
      if (/^\d$/.test(key)) {
        this.digits = (this.digits + key).slice(0, 4);
        this.say(`Longest root ${this.digits} mm`, false);
        return true;
      }
      this.finishDigits();
      if (key === "." || key === "Escape") {
        return true;
      }
    }
    switch (key) {
      case "0": this.setState("NONE"); return true;
      case "1": this.setState("FIRST_SIGN"); return true;
      case "2": this.setState("READY"); return true;
      case "x": this.askCause(); return true;
      case "t": this.note((e) => ({ ...e, topGrowth: !e.topGrowth })); return true;
      case "b": this.note((e) => ({ ...e, sideRoots: !e.sideRoots })); return true;
      case "f": this.note((e) => ({ ...e, firmness: FEELS[(FEELS.indexOf(e.firmness ?? null) + 1) % FEELS.length] })); return true;
      case "k": this.note((e) => ({ ...e, look: LOOKS[(LOOKS.indexOf(e.look ?? this.draft.look) + 1) % LOOKS.length] })); this.sayLook(); return true;
      case ".": this.askRoot(); return true;
      case " ": this.repeat(); return true;
      case "=": this.restUnchanged(); return true;
      case "r": this.askSentinels(); return true;
      case "m": this.chooseSeveral(); return true;
      case "u": this.undo(); return true;
      case "Delete": case "Backspace": this.change(this.targets(), () => null); return true;
      case "Enter": this.save(); return true;
      case "Escape": this.go(this.draft.at); return true;
      default: return false;
    }
  }

  askRoot() {
    this.mode = "root";
    this.digits = "";
    this.root.querySelector("[data-digits]").hidden = false;
    this.say("Longest root in mm: digits, then any key", false);
  }

  finishDigits() {
    if (this.mode !== "root") {
      return;
    }
    this.mode = "read";
    this.root.querySelector("[data-digits]").hidden = true;
    this.say("", false);
    if (this.digits !== "") {
      this.setRoot(Number(this.digits));
    }
    this.digits = "";
  }

  askCause() {
    this.mode = "cause";
    this.root.querySelector("[data-causes]").hidden = false;
    this.say("Lost: to what? " + this.bench.causes.map((c) => `${c.key} ${c.word}`).join(" · "), false);
  }

  chooseCause(key) {
    const cause = this.bench.causes.find((c) => c.key === key);
    if (!cause && key !== "Escape") {
      return false;
    }
    this.mode = "read";
    this.root.querySelector("[data-causes]").hidden = true;
    if (cause) {
      this.setState("LOST", cause.code);
    } else {
      this.say("", false);
    }
    return true;
  }

  sayLook() {
    const kind = this.look(this.draft.at);
    this.say(`This piece: ${this.lookInput.querySelector(`[value=${kind}]`).textContent}`, false);
  }

  changeLook() {
    this.draft.look = this.lookInput.value;
    this.keep();
    this.tellNow();
    if (!canKnow(this.bench, this.draft.look, "READY")) {
      this.say("From above: top growth, firmness and losses only; roots stay unknown.", false);
    }
    this.cells[this.draft.at].focus();
  }

  repeat() {
    if (this.last) {
      const { state, cause, topGrowth, firmness, sideRoots } = this.last;
      this.change(this.targets(), (entry, cell, i) => {
        const wrong = objection(this.bench, cell, this.look(i), state);
        return wrong ? (cell.state === "LOST" || cell.state === "SENT" ? undefined : wrong) : { ...entry, state, cause, topGrowth, firmness, sideRoots, unchanged: undefined };
      });
    }
    this.move(1, false);
  }

  restUnchanged() {
    const rest = this.cells.map((_, i) => i).filter((i) => this.entry(i) === undefined);
    this.change(rest, (_, cell) => unchanged(this.bench, cell, this.draft.look) ?? undefined);
    this.say("The rest: looked at, unchanged.", false);
  }

  askSentinels() {
    const running = this.bench.cells.filter((c) => c.state === "NONE" || c.state === "FIRST_SIGN").length;
    this.sentinels = new Set(sentinels(this.bench.cells, Math.min(5, Math.max(2, Math.round(running / 12)))));
    this.cells.forEach((_, i) => this.draw(i));
    this.say(`Tug or lift only these: ${[...this.sentinels].sort((a, b) => a - b).join(", ")}. They stand for the tray.`, false);
    const first = this.bench.cells.findIndex((c) => this.sentinels.has(c.piece));
    if (first >= 0) {
      this.go(first);
    }
  }

  undo() {
    const step = this.undoStack.pop();
    if (!step) {
      this.say("Nothing left to undo.", false);
      return;
    }
    step.forEach(([i, entry]) => {
      const piece = this.bench.cells[i].piece;
      if (entry === undefined) {
        delete this.draft.entries[piece];
      } else {
        this.draft.entries[piece] = entry;
      }
      this.draw(i);
    });
    this.keep();
    this.say("Undone.", false);
    this.go(step[0]?.[0] ?? this.draft.at);
  }

  /** For fingers: while this is on, each cell touched joins those chosen. */
  chooseSeveral() {
    this.several = !this.several;
    this.root.querySelector("[data-press=m]").setAttribute("aria-pressed", String(this.several));
    if (this.several) {
      this.selected.add(this.draft.at);
      this.say("Touch all that are alike, then say what they are.", false);
    } else {
      this.go(this.draft.at);
    }
  }

  /** A drag over cells chooses them; the next key then reads them all. */
  paintByDrag() {
    let from = null;
    const cellAt = (event) => document.elementFromPoint(event.clientX, event.clientY)?.closest(".cell");
    // A finger's drag scrolls the tray; its touch is a click.
    this.tray.addEventListener("click", (event) => {
      const cell = event.target.closest(".cell");
      if (cell && this.byFinger) {
        this.finishDigits();
        this.go(this.cells.indexOf(cell), this.several);
      }
    });
    this.tray.addEventListener("pointerdown", (event) => {
      const cell = cellAt(event);
      this.byFinger = event.pointerType === "touch";
      if (cell && !this.byFinger) {
        event.preventDefault();
        this.finishDigits();
        from = this.cells.indexOf(cell);
        this.go(from);
      }
    });
    this.tray.addEventListener("pointermove", (event) => {
      const cell = from === null ? null : cellAt(event);
      const i = cell ? this.cells.indexOf(cell) : -1;
      if (i >= 0 && i !== this.draft.at) {
        this.go(i, true);
      }
    });
    window.addEventListener("pointerup", () => {
      from = null;
    });
  }

  body() {
    const pieces = Object.entries(this.draft.entries).map(([piece, e]) => ({
      piece: Number(piece),
      look: e.look ?? null,
      state: e.state,
      cause: e.cause ?? null,
      rootMm: e.rootMm ?? null,
      sideRoots: e.sideRoots ?? null,
      topGrowth: e.topGrowth ?? null,
      firmness: e.firmness ?? null,
      note: null,
    }));
    return {
      clientId: this.draft.clientId,
      lookedOn: this.draft.lookedOn,
      look: this.draft.look,
      knownChanges: this.draft.knownChanges,
      note: this.root.querySelector("[data-note]").value.trim() || null,
      pieces,
    };
  }

  async save() {
    this.finishDigits();
    if (this.saving) {
      return;
    }
    if (Object.keys(this.draft.entries).length === 0) {
      this.say("No piece has a reading yet. Press 0, 1, 2 or x on one, or = for all unchanged.", true);
      return;
    }
    if (!this.dayInput.value || this.dayInput.value > this.bench.today || this.dayInput.value < this.bench.stuckOn) {
      this.say(`Give a day from ${this.bench.stuckOn} to today.`, true);
      return;
    }
    put(this.bench.code, this.body());
    await this.retry();
  }

  async retry() {
    const item = waiting().find((w) => w.code === this.bench.code);
    if (!item || this.saving) {
      return;
    }
    this.saving = true;
    this.say("Sending…", false);
    const answer = await send(item);
    this.saving = false;
    if (answer.outcome === "kept") {
      localStorage.removeItem(this.key);
      window.location.assign(`/batches/${encodeURIComponent(this.bench.code)}`);
    } else if (answer.outcome === "refused") {
      this.say(`${answer.message} Nothing you typed is lost.`, true);
    } else if (answer.outcome === "clash") {
      await this.showBothSides(item, answer);
    } else {
      this.say(answer.message, true);
      setTimeout(() => this.retry(), RETRY_MS);
    }
  }

  /** Somebody else logged this batch meanwhile: shows where the two differ, and asks which way to go on. */
  async showBothSides(item, answer) {
    const page = new DOMParser().parseFromString(await (await fetch(window.location.href)).text(), "text/html");
    const theirs = JSON.parse(page.querySelector("[data-bench]").dataset.bench);
    const differing = item.check.pieces
      .map((p) => ({ mine: p, theirs: theirs.cells.find((c) => c.piece === p.piece) }))
      .filter((d) => d.theirs.state !== d.mine.state);
    const box = this.root.querySelector("[data-clash]");
    const list = box.querySelector("ul");
    list.replaceChildren(...differing.map((d) => {
      const line = document.createElement("li");
      line.textContent = `Piece ${d.mine.piece}: held as ${words(d.theirs, this.bench.causes)}, yours ${words(d.mine, this.bench.causes)}`;
      return line;
    }));
    box.querySelector("[data-clash-text]").textContent = differing.length === 0
      ? `${answer.message} Both say the same of your pieces.`
      : `${answer.message} These differ:`;
    box.hidden = false;
    box.querySelector("[data-both]").onclick = () => {
      box.hidden = true;
      this.draft.knownChanges = answer.changes;
      this.keep();
      put(this.bench.code, { ...item.check, knownChanges: answer.changes });
      this.retry();
    };
    box.querySelector("[data-theirs]").onclick = () => {
      remove(item.check.clientId);
      localStorage.removeItem(this.key);
      window.location.reload();
    };
    box.querySelector("[data-both]").focus();
  }
}

function drawing(name, leafy) {
  const svg = document.createElementNS(SVG, "svg");
  svg.setAttribute("viewBox", "0 0 40 50");
  svg.setAttribute("aria-hidden", "true");
  for (const part of leafy ? [name, "leaf"] : [name]) {
    const use = document.createElementNS(SVG, "use");
    use.setAttribute("href", `#piece-${part}`);
    svg.append(use);
  }
  return svg;
}
