// Where the built scripts stand, and a browser's database in memory.
import "fake-indexeddb/auto";
import { webcrypto } from "node:crypto";
import { readFileSync } from "node:fs";
import { pathToFileURL } from "node:url";
import path from "node:path";

// Older Nodes have it only as a module.
globalThis.crypto ??= webcrypto;

export const load = (name) => import(pathToFileURL(path.resolve(process.env.VIVARIUM_JS, "js", name)).href);

// What the server gives to a page, from the file that it is made of.
const file = readFileSync(path.resolve("src/main/resources/messages/en/scripts.properties"), "utf8");
const { useMessages } = await load("messages.js");
useMessages(
  Object.fromEntries(
    [...file.matchAll(/^script\.([^=]+)=(.*)$/gm)].map(([, key, text]) => [key, text.replace(/\\ /g, " ")]),
  ),
);

/** A bench of so many cells, with what the protocol of a plug tray tells by roots. */
export const bench = (cells = 12) => ({
  code: "26w47-B",
  columns: 4,
  today: "2026-06-15",
  stuckOn: "2026-05-01",
  usualLook: "LIFTED",
  changes: 3,
  firstSign: { byRoots: true, mm: 1 },
  ready: { byRoots: true, mm: 20 },
  causes: [{ key: "r", code: "ROT", word: "rot" }],
  lengths: { step: 1, unit: "mm", each: 1, decimals: 0, asks: "Longest root in mm: digits, then any key" },
  cells: Array.from({ length: cells }, (_, i) => ({ piece: i + 1, state: "NONE", leafy: false, potted: false })),
});
