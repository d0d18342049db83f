// Which cell of a tray is being read, and which are chosen together. It knows nothing of how they are drawn.

export class Selection {
  constructor(size, at = 0) {
    this.size = size;
    this.at = at < size ? at : 0;
    this.chosen = new Set();
    this.several = false;
  }

  /** The cells that the next key reads: those chosen or, where none is, the one that is read. */
  targets() {
    return this.chosen.size > 0 ? [...this.chosen] : [this.at];
  }

  has(i) {
    return this.chosen.size > 0 ? this.chosen.has(i) : i === this.at;
  }

  /** Goes to a cell; extending keeps those chosen and adds it. Answers the cells that are chosen no longer. */
  go(i, extend = false) {
    let left = [];
    if (extend) {
      this.chosen.add(this.at).add(i);
    } else {
      left = [...this.chosen];
      this.chosen.clear();
    }
    this.at = i;
    return left;
  }

  /** Chooses these together; the first of them is read. Answers the cells that are chosen no longer. */
  choose(cells) {
    const left = [...this.chosen, this.at];
    this.chosen = new Set(cells);
    this.at = cells[0] ?? this.at;
    return left;
  }

  /** The cell so many on, or null where the tray ends before. */
  next(by) {
    const next = this.at + by;
    return next >= 0 && next < this.size ? next : null;
  }

  /** For fingers: while this is on, each cell touched joins those chosen. */
  chooseSeveral(on) {
    this.several = on;
    if (on) {
      this.chosen.add(this.at);
    }
  }
}
