import assert from "node:assert/strict";
import { afterEach, beforeEach, test } from "node:test";
import { bench, load } from "./here.js";

const { Draft, settle, takeUp } = await load("bench/draft.js");
const { put, refusedOf, send, waiting } = await load("bench/outbox.js");
const { sendPhotos } = await load("bench/photos.js");
const store = await load("bench/store.js");

const WREN = "cold-slipway/wren";
const TERN = "gull-yard/tern";
const realFetch = globalThis.fetch;
let sent;

/** A server that answers so, with this person signed in. */
function server(owner, status, body = {}, named = true) {
  sent = [];
  globalThis.fetch = async (address, options) => {
    if (address === "/session/token") {
      return Response.json({ header: "X-CSRF-TOKEN", token: "t", owner });
    }
    const photo = options.body instanceof FormData;
    const sentBody = photo ? Object.fromEntries(options.body) : JSON.parse(options.body);
    sent.push({ address, owner: options.headers["Vivarium-Owner"], body: sentBody });
    if (typeof body === "string") {
      return new Response(body, { status });
    }
    return Response.json(named ? { id: sentBody.clientId, kept: status === 200, ...body } : body, { status });
  };
}

async function typed(owner, pieces = 1) {
  const draft = await Draft.open(bench(), owner);
  await draft.change(Array.from({ length: pieces }, (_, i) => [i + 1, { state: "READY" }]));
  return draft;
}

async function saved(owner) {
  const draft = await typed(owner);
  await put(owner, "26w47-B", draft.body());
  return (await waiting(owner))[0];
}

beforeEach(async () => {
  await store.close();
  await new Promise((done, fail) => {
    const gone = indexedDB.deleteDatabase("vivarium");
    gone.onsuccess = done;
    gone.onerror = fail;
  });
});

afterEach(() => {
  globalThis.fetch = realFetch;
});

test("a draft is taken up by whoever typed it, and by nobody else", async () => {
  const draft = await typed(WREN, 2);
  const again = await Draft.open(bench(), WREN);
  assert.equal(again.takenUp, true);
  assert.equal(again.values.clientId, draft.values.clientId);
  assert.equal(again.size, 2);
  const other = await Draft.open(bench(), TERN);
  assert.equal(other.takenUp, false);
  assert.equal(other.size, 0);
});

test("one step is taken back at a time", async () => {
  const draft = await Draft.open(bench(), WREN);
  await draft.change([[1, { state: "READY" }], [2, { state: "READY" }]]);
  await draft.change([[1, { state: "LOST", cause: "ROT" }]]);
  assert.deepEqual(draft.undo(), [1]);
  assert.equal(draft.entry(1).state, "READY");
  assert.deepEqual(draft.undo(), [1, 2]);
  assert.equal(draft.size, 0);
  assert.equal(draft.undo(), null);
});

test("a kept check waits no longer and its draft is forgotten", async () => {
  const item = await saved(WREN);
  server(WREN, 200, { changes: 4 });
  assert.equal((await send(item)).outcome, "kept");
  assert.deepEqual(sent.map((s) => s.owner), [WREN]);
  assert.equal((await waiting(WREN)).length, 0);
  assert.equal(await settle(WREN, item.check, 4), false);
  assert.equal((await Draft.open(bench(), WREN)).takenUp, false);
});

test("what was typed since goes on as a check of its own", async () => {
  const item = await saved(WREN);
  const draft = await Draft.open(bench(), WREN);
  await draft.change([[5, { state: "FIRST_SIGN" }]]);
  assert.equal(await settle(WREN, item.check, 4), true);
  const next = await Draft.open(bench(), WREN);
  assert.notEqual(next.values.clientId, item.check.clientId);
  assert.equal(next.values.knownChanges, 4);
  assert.equal(next.size, 2);
});

test("on a shared tablet nobody sends or sees what is another's", async () => {
  const item = await saved(WREN);
  server(TERN, 200);
  assert.deepEqual(await waiting(TERN), []);
  assert.equal(await store.countOfOthers(TERN), 1);
  const answer = await send(item);
  assert.equal(answer.outcome, "unsent");
  assert.match(answer.message, /Somebody else is signed in/);
  assert.equal(sent.length, 0);
  assert.equal(await settle(TERN, item.check, 4), false, "nor is the draft another's to forget");
  assert.equal((await waiting(WREN)).length, 1);
});

test("what the server refuses by name is put aside with its words, to be mended; what it may take later waits on", async () => {
  for (const [status, outcome, stays] of [[422, "refused", 0], [404, "refused", 0], [400, "refused", 0], [409, "clash", 1], [500, "unsent", 1], [403, "unsent", 1], [507, "unsent", 1]]) {
    await store.close();
    const item = await saved(`${WREN}/${status}`);
    server(item.owner, status, { message: "said" });
    assert.equal((await send(item)).outcome, outcome, String(status));
    assert.equal((await waiting(item.owner)).length, stays, String(status));
    assert.equal((await store.checksOf(item.owner)).length, 1, "nothing is thrown away but by its person");
    assert.deepEqual((await refusedOf(item.owner)).map((r) => r.refused), stays === 0 ? ["said"] : []);
  }
});

test("an answer that does not name the check settles nothing, whatever its status", async () => {
  const others = [
    [200, ""], [200, "<html>Sign in</html>"], [200, { kept: true, changes: 4 }], [200, { id: "another", kept: true, changes: 4 }],
    [422, { message: "said" }], [404, "no such page"], [400, { id: "another", message: "said" }], [409, { changes: 9 }],
  ];
  for (const [status, body] of others) {
    await store.close();
    const item = await saved(`${WREN}/${status}/${JSON.stringify(body).length}`);
    server(item.owner, status, body, false);
    assert.equal((await send(item)).outcome, "unsent", `${status} ${JSON.stringify(body)}`);
    assert.equal((await waiting(item.owner)).length, 1);
  }
  const item = await saved(`${WREN}/notyet`);
  server(item.owner, 200, { kept: false });
  assert.equal((await send(item)).outcome, "unsent", "named, and not said to be kept");
});

test("a refused check is taken up again as it was typed", async () => {
  const item = await saved(WREN);
  const { clientId } = item.check;
  await store.removeDraft(clientId);
  await takeUp(item);
  const again = await Draft.open(bench(), WREN);
  assert.equal(again.takenUp, true);
  assert.equal(again.values.clientId, clientId);
  assert.deepEqual(again.body(), item.check);
});

test("photographs are let go only by name too, and refused ones are put aside", async () => {
  const photo = { clientId: "p1", owner: WREN, code: "26w47-B", takenOn: "2026-06-15", bytes: new ArrayBuffer(3) };
  await store.putPhoto(photo);
  server(WREN, 200, "");
  assert.deepEqual(await sendPhotos(WREN), { waiting: 1, refused: null });
  server(WREN, 404, "no such page");
  assert.deepEqual(await sendPhotos(WREN), { waiting: 1, refused: null });
  server(WREN, 422, { message: "too large" });
  assert.match((await sendPhotos(WREN)).refused, /too large/);
  assert.deepEqual((await store.photosOf(WREN)).map((p) => [p.clientId, p.aside, p.refused]), [["p1", true, "too large"]]);
  await store.putPhoto({ ...photo, clientId: "p2" });
  server(WREN, 200);
  assert.deepEqual(await sendPhotos(WREN), { waiting: 0, refused: null });
  assert.deepEqual((await store.photosOf(WREN)).map((p) => p.clientId), ["p1"]);
});

test("without a connection it is kept", async () => {
  const item = await saved(WREN);
  globalThis.fetch = () => Promise.reject(new TypeError("offline"));
  assert.equal((await send(item)).outcome, "unsent");
  assert.equal((await waiting(WREN)).length, 1);
});

test("what an earlier version kept is put aside for whoever is here to decide", async () => {
  const items = new Map([
    ["vivarium.outbox", JSON.stringify([{ code: "26w01-A", check: { clientId: "c1", pieces: [] } }])],
    ["vivarium.check.26w47-B", JSON.stringify({ clientId: "d1", entries: { 1: { state: "READY" } }, at: 0 })],
  ]);
  const old = { getItem: (k) => items.get(k) ?? null, removeItem: (k) => items.delete(k) };
  // As a browser's storage has it, its keys are its own.
  const storage = new Proxy(old, { ownKeys: () => [...items.keys()], getOwnPropertyDescriptor: () => ({ enumerable: true, configurable: true }) });
  await store.adoptOld(WREN, storage);
  assert.equal((await waiting(WREN)).length, 0);
  assert.equal((await store.checksOf(WREN))[0].aside, true);
  assert.equal((await Draft.open(bench(), WREN)).values.clientId, "d1");
  assert.equal(items.size, 0);
});

test("where the browser never opens its store a check is typed and sent all the same", async () => {
  await store.close();
  const real = indexedDB.open;
  indexedDB.open = () => {
    throw new Error("not allowed here");
  };
  try {
    const item = await saved(WREN);
    assert.equal(await store.isKept(), false);
    server(WREN, 200, { changes: 4 });
    assert.equal((await send(item)).outcome, "kept");
    assert.equal(sent.length, 1);
    assert.deepEqual(await waiting(WREN), []);
  } finally {
    indexedDB.open = real;
    await store.close();
  }
});
