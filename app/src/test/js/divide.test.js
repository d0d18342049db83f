import assert from "node:assert/strict";
import { test } from "node:test";
import { load } from "./here.js";

const { add, find, mark, move, read, remove, spotBeside, tie, write, SHEET } = await load("divide/plant.js");

/** Twelve growths in a row, as n pressed twelve times draws them. */
function row(count) {
  let plant = { growths: [], ties: [] };
  for (let i = 0; i < count; i += 1) {
    const last = plant.growths.at(-1) ?? null;
    plant = add(plant, last, spotBeside(plant, last, false));
  }
  return plant;
}

test("what is drawn is read back as it was", () => {
  const text = "1,40,60,rf;2,80,60,rlf;3,90,99,d|1-2,2-3";
  assert.equal(write(read(text)), text);
  assert.equal(write(read("")), "");
});

test("the lead goes with the tip, and a branch leaves it where it is", () => {
  let plant = row(3);
  assert.deepEqual(plant.growths.map((g) => g.marks.has("l")), [false, false, true]);
  plant = add(plant, find(plant, 2), spotBeside(plant, find(plant, 2), true));
  assert.deepEqual(plant.growths.map((g) => g.marks.has("l")), [false, false, true, true]);
  assert.deepEqual(plant.ties, [[1, 2], [2, 3], [2, 4]]);
});

test("twelve and forty growths lie on the sheet, and none on another", () => {
  for (const count of [12, 40]) {
    const plant = row(count);
    for (const g of plant.growths) {
      assert.ok(g.x > 0 && g.x < SHEET.wide && g.y > 0 && g.y < SHEET.high);
      assert.ok(plant.growths.every((o) => o === g || Math.hypot(o.x - g.x, o.y - g.y) > 18));
    }
  }
});

test("marks, ties and places change, and what is taken away leaves the rest tied", () => {
  let plant = mark(row(4), 2, "r");
  assert.equal(find(plant, 2).marks.has("r"), false);
  plant = mark(plant, 2, "r");
  assert.equal(find(plant, 2).marks.has("r"), true);
  plant = tie(plant, 4, 1);
  assert.equal(plant.ties.length, 4);
  plant = tie(plant, 1, 4);
  assert.equal(plant.ties.length, 3);
  assert.equal(tie(plant, 1, 1), plant);
  plant = remove(plant, 2);
  assert.deepEqual(plant.ties, [[3, 4], [1, 3]]);
  assert.equal(find(move(plant, 3, 9999, -9), 3).x, SHEET.wide - 20);
});
