// The tray map: one cell a piece; which one is being read, and which are chosen together.
import { drawing, drawingOf } from "./piece.js";
import { words } from "./readings.js";
import { Selection } from "./selection.js";
import { message } from "../messages.js";

/** More cells side by side than this are smaller than a thumb on a phone. */
const WIDEST = 7;

export class Tray {
  /**
   * @param frame the element that holds the cells
   * @param bench what is known of the batch
   * @param draft the check being typed
   * @param hear what is called when a cell is left by touch or mouse, and when another is being read
   */
  constructor(frame, bench, draft, hear) {
    this.frame = frame;
    this.bench = bench;
    this.draft = draft;
    this.hear = hear;
    this.selection = new Selection(bench.cells.length, draft.values.at);
    this.sentinels = new Set();
    this.buttons = bench.cells.map(makeCell);
    frame.replaceChildren(...this.buttons);
    frame.classList.add(bench.columns <= 13 ? `cols-${bench.columns}` : "cols-many");
    this.turn();
    this.drawAll();
    this.chooseByPointer();
  }

  /** A wide tray is turned to stand on a phone, so that its cells stay as large as a thumb. */
  turn() {
    const narrow = window.matchMedia("(max-width: 860px)");
    const rows = Math.ceil(this.bench.cells.length / this.bench.columns);
    const turns = () => {
      this.turned = narrow.matches && this.bench.columns > WIDEST && rows < this.bench.columns;
      this.frame.classList.toggle("turned", this.turned);
      this.frame.classList.toggle(`rows-${this.bench.columns}`, this.turned);
    };
    narrow.addEventListener("change", turns);
    turns();
  }

  get at() {
    return this.selection.at;
  }

  get chosen() {
    return this.selection.chosen;
  }

  get several() {
    return this.selection.several;
  }

  get cell() {
    return this.bench.cells[this.at];
  }

  /** The cells that the next key reads. */
  targets() {
    return this.selection.targets().map((i) => this.bench.cells[i]);
  }

  drawAll() {
    this.buttons.forEach((_, i) => this.draw(i));
  }

  draw(i) {
    const cell = this.bench.cells[i];
    const entry = this.draft.entry(cell.piece);
    const button = this.buttons[i];
    button.querySelector("svg").replaceWith(drawingOf(cell, entry));
    button.querySelector(".mm").textContent = entry?.rootMm === undefined ? "" : (entry.rootMm / this.bench.lengths.each).toFixed(this.bench.lengths.decimals);
    button.classList.toggle("read", entry !== undefined && !entry.unchanged);
    button.classList.toggle("unchanged", entry?.unchanged === true);
    button.classList.toggle("at", this.selection.has(i));
    button.classList.toggle("sentinel", this.sentinels.has(cell.piece));
    button.setAttribute("aria-label", message("tray.piece", { piece: cell.piece, words: words(entry, this.bench) }));
  }

  /** Goes to a cell; extending keeps those chosen and adds it. */
  go(i, extend = false) {
    const before = this.at;
    this.selection.go(i, extend).forEach((left) => this.draw(left));
    this.draft.values.at = i;
    this.buttons[before].tabIndex = -1;
    this.buttons[i].tabIndex = 0;
    this.buttons[i].focus({ preventScroll: true });
    this.buttons[i].scrollIntoView({ block: "nearest", inline: "nearest" });
    this.draw(before);
    this.draw(i);
    this.hear.moved();
  }

  /** Chooses all, or the row or the column of the cell that is read. */
  chooseAlike(which) {
    const { columns } = this.bench;
    const row = Math.floor(this.at / columns);
    const alike = {
      all: () => true,
      row: (i) => Math.floor(i / columns) === row,
      column: (i) => i % columns === this.at % columns,
    }[which];
    const at = this.at;
    this.selection.choose(this.buttons.map((_, i) => i).filter(alike));
    this.selection.at = at;
    this.drawAll();
    this.hear.moved();
  }

  goTo(piece) {
    this.go(this.bench.cells.findIndex((c) => c.piece === piece));
  }

  step(by, extend) {
    const next = this.selection.next(by);
    if (next !== null) {
      this.go(next, extend);
    }
  }

  /** For fingers: while this is on, each cell touched joins those chosen. */
  chooseSeveral(on) {
    this.selection.chooseSeveral(on);
  }

  /** A drag with the mouse chooses; a finger's drag scrolls a wide tray, and its touch goes to a cell. */
  chooseByPointer() {
    let from = null;
    let byFinger = false;
    const cellAt = (event) => this.buttons.indexOf(document.elementFromPoint(event.clientX, event.clientY)?.closest(".cell"));
    this.frame.addEventListener("click", (event) => {
      const i = this.buttons.indexOf(event.target.closest(".cell"));
      if (i >= 0 && byFinger) {
        this.hear.leaving();
        this.go(i, this.several);
      }
    });
    this.frame.addEventListener("pointerdown", (event) => {
      const i = cellAt(event);
      byFinger = event.pointerType === "touch";
      if (i >= 0 && !byFinger) {
        event.preventDefault();
        from = i;
        this.hear.leaving();
        this.go(i);
      }
    });
    this.frame.addEventListener("pointermove", (event) => {
      const i = from === null ? -1 : cellAt(event);
      if (i >= 0 && i !== this.at) {
        this.go(i, true);
      }
    });
    window.addEventListener("pointerup", () => {
      from = null;
    });
  }
}

function makeCell(cell) {
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
