import assert from "node:assert/strict";
import { test } from "node:test";
import { load } from "./here.js";

const { days } = await load("days.js");

test("days are written as the pages write them", () => {
  const day = Date.parse("2026-09-08T00:00:00Z");
  assert.equal(days()(day), "8 Sep");
  assert.equal(days({ weekday: "short" })(new Date(day)), "Tue 8 Sep");
  assert.equal(days({ year: "numeric" })(day), "8 Sep 2026");
});
