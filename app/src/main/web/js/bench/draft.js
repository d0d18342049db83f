// A check being typed: kept in the browser at every key until the server has it.
import { claim } from "./locks.js";
import { draft as stored, draftsOf, putDraft, removeDraft } from "./store.js";

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

/** Takes a check that was put aside up again as one that is typed, unless what was typed is still there. */
export async function takeUp(item) {
  const { clientId, lookedOn, look, knownChanges, note, pieces } = item.check;
  if ((await stored(clientId)) === undefined) {
    const entries = Object.fromEntries(pieces.map(({ piece, ...seen }) => [piece, seen]));
    await putDraft(item.owner, item.code, { clientId, lookedOn, look, knownChanges, note: note ?? "", entries, at: 0 });
  }
}

/**
 * The server has a check. Its draft is forgotten, unless more was typed since it was saved: that goes on as a check of its
 * own, neither lost nor sent unasked. Answers whether something goes on.
 */
export async function settle(owner, check, changes) {
  const kept = await stored(check.clientId);
  if (kept === undefined || kept.owner !== owner) {
    return false;
  }
  await removeDraft(check.clientId);
  if (JSON.stringify(bodyOf(kept.values)) === JSON.stringify(check)) {
    return false;
  }
  await putDraft(owner, kept.code, { ...kept.values, clientId: crypto.randomUUID(), knownChanges: changes });
  return true;
}

/** The check of one batch by one person. Readings are by piece; each change of them can be taken back. */
export class Draft {
  /** Takes up the last draft that no other tab works on, or begins one. */
  static async open(bench, owner) {
    for (const { values } of await draftsOf(owner, bench.code)) {
      if (Object.keys(values.entries).length > 0 && (await claim(values.clientId))) {
        return new Draft(bench, owner, values, true);
      }
    }
    const values = fresh(bench);
    await claim(values.clientId);
    return new Draft(bench, owner, values, false);
  }

  constructor(bench, owner, values, takenUp) {
    this.bench = bench;
    this.owner = owner;
    this.values = values;
    this.takenUp = takenUp;
    this.steps = [];
  }

  keep() {
    return putDraft(this.owner, this.bench.code, this.values);
  }

  set(name, value) {
    this.values[name] = value;
    return this.keep();
  }

  forget() {
    return removeDraft(this.values.clientId);
  }

  /** Forgets all that was typed. */
  drop() {
    this.values.entries = {};
    this.steps = [];
    this.takenUp = false;
    return this.keep();
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
    return this.write(readings);
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
    return this.keep();
  }

  body() {
    return bodyOf(this.values);
  }
}

function fresh(bench) {
  return {
    clientId: crypto.randomUUID(),
    lookedOn: bench.today,
    look: bench.usualLook,
    knownChanges: bench.changes,
    note: "",
    entries: {},
    at: 0,
  };
}
