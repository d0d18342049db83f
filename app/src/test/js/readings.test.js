import assert from "node:assert/strict";
import { test } from "node:test";
import { bench, load } from "./here.js";

const { canKnow, objection, sentinels, stateOfRoot, unchanged, words } = await load("bench/readings.js");

const byShoot = { firstSign: { byRoots: false, mm: 1 }, ready: { byRoots: false, mm: 20 } };

test("a look from above knows nothing of roots, and all of shoots", () => {
  const byShoots = { ...bench(), ...byShoot };
  assert.equal(canKnow(bench(), "ABOVE", "READY"), false);
  assert.equal(canKnow(bench(), "TUG", "READY"), true);
  assert.equal(canKnow(bench(), "ABOVE", "LOST"), true);
  assert.equal(canKnow(byShoots, "ABOVE", "READY"), true);
});

test("a piece does not go back, and one that is gone stays gone", () => {
  const ready = { piece: 3, state: "READY" };
  assert.match(objection(bench(), ready, "LIFTED", "FIRST_SIGN"), /Piece 3 was ready before/);
  assert.match(objection(bench(), { piece: 4, state: "LOST" }, "LIFTED", "NONE"), /Piece 4 is lost/);
  assert.equal(objection(bench(), ready, "LIFTED", "LOST"), null);
  assert.equal(objection(bench(), ready, "ABOVE", "NONE"), null, "from above nobody can say that the roots are gone");
  assert.match(objection({ ...bench(), firstSign: null }, { piece: 1, state: "NONE" }, "LIFTED", "FIRST_SIGN"), /no first sign/);
});

test("a root is told by its length, at the protocol's own limits", () => {
  assert.equal(stateOfRoot(bench(), 20), "READY");
  assert.equal(stateOfRoot(bench(), 19), "FIRST_SIGN");
  assert.equal(stateOfRoot(bench(), 1), "FIRST_SIGN");
  assert.equal(stateOfRoot(bench(), 0), "NONE");
  assert.equal(stateOfRoot({ ...bench(), ...byShoot }, 50), "NONE");
});

test("unchanged says what a look can know and nothing of what is gone", () => {
  assert.deepEqual(unchanged(bench(), { piece: 1, state: "READY" }, "LIFTED"), { state: "READY", unchanged: true });
  assert.deepEqual(unchanged(bench(), { piece: 1, state: "READY" }, "ABOVE"), { state: "NONE", unchanged: true });
  assert.equal(unchanged(bench(), { piece: 1, state: "SENT" }, "LIFTED"), null);
});

test("sentinels are different pieces that still run", () => {
  const cells = bench().cells.map((c) => (c.piece <= 4 ? { ...c, state: "READY" } : c));
  const drawn = sentinels(cells, 5);
  assert.equal(new Set(drawn).size, 5);
  assert.ok(drawn.every((piece) => piece > 4));
  assert.equal(sentinels(cells, 50).length, 8);
});

test("a reading in words", () => {
  assert.equal(words(undefined, bench()), "not looked at");
  assert.equal(
    words({ state: "LOST", cause: "ROT", rootMm: 0, firmness: "SOFT" }, bench()),
    "lost, rot, root 0 mm, soft",
  );
  const inches = { ...bench(), lengths: { step: 2.54, unit: "in", each: 25.4, decimals: 1, asks: "" } };
  assert.equal(words({ state: "READY", rootMm: 25 }, inches), "ready, root 1.0 in");
});
