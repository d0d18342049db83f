import assert from "node:assert/strict";
import { test } from "node:test";
import { load } from "./here.js";

const { Selection } = await load("bench/selection.js");

test("painting with shift keeps what was passed, and a plain step lets go of it", () => {
  const tray = new Selection(12);
  tray.go(1, true);
  tray.go(2, true);
  assert.deepEqual(tray.targets(), [0, 1, 2]);
  assert.deepEqual(tray.go(6), [0, 1, 2], "these are drawn anew");
  assert.deepEqual(tray.targets(), [6]);
  assert.equal(tray.has(2), false);
});

test("nothing lies beyond the edges", () => {
  const tray = new Selection(12, 11);
  assert.equal(tray.next(1), null);
  assert.equal(tray.next(-4), 7);
  assert.equal(new Selection(12, 40).at, 0, "a draft of a larger tray");
});

test("fingers choose several by touching each", () => {
  const tray = new Selection(12, 3);
  tray.chooseSeveral(true);
  tray.go(5, tray.several);
  tray.go(9, tray.several);
  assert.deepEqual(tray.targets(), [3, 5, 9]);
  tray.chooseSeveral(false);
  tray.go(10, tray.several);
  assert.deepEqual(tray.targets(), [10]);
});
