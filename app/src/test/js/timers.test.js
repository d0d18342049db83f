import assert from "node:assert/strict";
import { test } from "node:test";
import { load } from "./here.js";

const { Timers, clock, left } = await load("timers.js");

function storage() {
  const held = new Map();
  return { getItem: (k) => held.get(k) ?? null, setItem: (k, v) => held.set(k, v) };
}

test("time left is said in minutes and seconds, and never below nothing", () => {
  assert.equal(clock(245000), "4:05");
  assert.equal(clock(1), "0:01");
  assert.equal(clock(3720000), "1:02:00");
  assert.equal(left({ ends: 5000 }, 9000), 0);
});

test("several count at once, the next first, and each belongs to its owner", () => {
  const kept = storage();
  const wren = new Timers("cold-slipway/wren", kept);
  wren.add("26w47-B soak", 20, 0);
  wren.add("26w47-C drain", 5, 0);
  assert.deepEqual(wren.all.map((t) => [t.name, t.ends]), [["26w47-C drain", 300000], ["26w47-B soak", 1200000]]);
  assert.deepEqual(new Timers("gull-yard/tern", kept).all, []);
  wren.remove(wren.all[0].id);
  assert.deepEqual(wren.all.map((t) => t.name), ["26w47-B soak"]);
  kept.setItem(wren.key, "torn");
  assert.deepEqual(wren.all, []);
});
