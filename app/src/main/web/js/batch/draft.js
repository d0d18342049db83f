// A check being typed: kept in the browser at every key until the server has it.

const keyOf = (code) => `vivarium.check.${code}`;

/** What the server is sent of a draft's values. */
function bodyOf({ clientId, lookedOn, look, knownChanges, note, entries }) {
  const pieces = Object.entries(entries).map(([piece, e]) => ({
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
  return { clientId, lookedOn, look, knownChanges, note: (note ?? "").trim() || null, pieces };
}

/**
 * The server has a check. Its draft is forgotten, unless more was typed since it was saved: that goes on as a check of its
 * own, neither lost nor sent unasked. Answers whether something goes on.
 */
export function settle(code, check, changes) {
  const draft = JSON.parse(localStorage.getItem(keyOf(code)) ?? "null");
  if (draft?.clientId !== check.clientId) {
    return false;
  }
  if (JSON.stringify(bodyOf(draft)) === JSON.stringify(check)) {
    localStorage.removeItem(keyOf(code));
    return false;
  }
  localStorage.setItem(keyOf(code), JSON.stringify({ ...draft, clientId: crypto.randomUUID(), knownChanges: changes }));
  return true;
}

/** The check of one batch. Readings are by piece; each change of them can be taken back. */
export class Draft {
  constructor(bench) {
    this.bench = bench;
    this.key = keyOf(bench.code);
    this.steps = [];
    const kept = JSON.parse(localStorage.getItem(this.key) ?? "null");
    this.takenUp = kept !== null && Object.keys(kept.entries).length > 0;
    this.values = this.takenUp ? kept : this.fresh();
  }

  fresh() {
    return {
      clientId: crypto.randomUUID(),
      lookedOn: this.bench.today,
      look: this.bench.usualLook,
      knownChanges: this.bench.changes,
      note: "",
      entries: {},
      at: 0,
    };
  }

  keep() {
    localStorage.setItem(this.key, JSON.stringify(this.values));
  }

  set(name, value) {
    this.values[name] = value;
    this.keep();
  }

  forget() {
    localStorage.removeItem(this.key);
  }

  entry(piece) {
    return this.values.entries[piece];
  }

  get size() {
    return Object.keys(this.values.entries).length;
  }

  /** Changes some readings as one step; undefined forgets a reading. */
  change(readings) {
    this.steps.push(readings.map(([piece]) => [piece, this.entry(piece)]));
    this.write(readings);
  }

  /** Takes the last step back and answers its pieces; null when nothing is left. */
  undo() {
    const step = this.steps.pop();
    if (!step) {
      return null;
    }
    this.write(step);
    return step.map(([piece]) => piece);
  }

  write(readings) {
    for (const [piece, entry] of readings) {
      if (entry === undefined) {
        delete this.values.entries[piece];
      } else {
        this.values.entries[piece] = entry;
      }
    }
    this.keep();
  }

  body() {
    return bodyOf(this.values);
  }
}
