import assert from "node:assert/strict";
import { test } from "node:test";
import { load } from "./here.js";

const { cells, shares } = await load("benchmap/drawing.js");
const { nearest } = await load("benchmap/map.js");

test("a tray has its own columns, a loose vessel nearly a square", () => {
  assert.deepEqual(cells({ pieces: "n".repeat(72), columns: 12, at: { wide: 54, deep: 28 } }).rows, 6);
  assert.equal(cells({ pieces: "n".repeat(9), columns: 0, at: { wide: 12, deep: 12 } }).columns, 3);
  assert.equal(cells({ pieces: "", columns: 0, at: { wide: 12, deep: 12 } }).rows, 1);
});

test("shares count each letter, and leave out what has gone", () => {
  assert.deepEqual(shares("nnfrrlm"), [["n", 2], ["f", 1], ["r", 2], ["l", 1]]);
});

test("an arrow leads to the nearest that way, rather than to one far aside", () => {
  const at = (x, y) => ({ middle: { x, y } });
  const [here, beside, below, far] = [at(0, 0), at(60, 4), at(3, 50), at(40, 90)];
  const all = [here, beside, below, far];
  assert.equal(nearest(here, all, [1, 0]), beside);
  assert.equal(nearest(here, all, [0, 1]), below);
  assert.equal(nearest(here, all, [-1, 0]), null);
});
