// A phone at the bench without its screen: types checks and takes photographs, keeps them by the real outbox and store of bench mode, and sends
// them by those until it is told to end. Prints at the end what it had, what it was told is kept, and what it still holds.
// node client.js ROOT NAME PASSWORD TRAY,TRAY… ; VIVARIUM_JS says where the built scripts stand. Ends when its input ends.
import "../../../node_modules/fake-indexeddb/auto/index.mjs";
import { webcrypto } from "node:crypto";
import path from "node:path";
import { pathToFileURL } from "node:url";

globalThis.crypto ??= webcrypto;
const [root, name, password, codes] = process.argv.slice(2);
const trays = codes.split(",");
const cookies = new Map();
const realFetch = globalThis.fetch;
const PHOTO_EVERY = 7;
const PIECES = 24;

/** As a browser has it: an address of its own, and cookies. */
globalThis.fetch = async (address, options = {}) => {
  const headers = { ...options.headers, Cookie: [...cookies].map(([k, v]) => `${k}=${v}`).join("; ") };
  const answer = await realFetch(root + address, { ...options, headers, redirect: "manual", signal: AbortSignal.timeout(20_000) });
  for (const line of answer.headers.getSetCookie?.() ?? []) {
    const [pair] = line.split(";");
    const at = pair.indexOf("=");
    cookies.set(pair.slice(0, at), pair.slice(at + 1));
  }
  return answer;
};

const load = (script) => import(pathToFileURL(path.resolve(process.env.VIVARIUM_JS, "js", script)).href);
const rest = (ms) => new Promise((done) => { setTimeout(done, ms); });
const { put, refusedOf, send, token, waiting } = await load("bench/outbox.js");
const { sendPhotos } = await load("bench/photos.js");
const { photosOf, putPhoto } = await load("bench/store.js");

async function signIn() {
  const page = await (await fetch("/sign-in")).text();
  const form = new URLSearchParams({ _csrf: /name="_csrf" value="([^"]+)"/.exec(page)[1], signIn: name, password });
  const answer = await fetch("/sign-in", {
    method: "POST", body: form.toString(), headers: { "Content-Type": "application/x-www-form-urlencoded" },
  });
  if (answer.status !== 302 || /wrong|wait|many/.test(answer.headers.get("Location"))) {
    throw new Error(`not signed in: ${answer.status} ${answer.headers.get("Location")}`);
  }
  return (await token()).owner;
}

const owner = await signIn();
const picture = await new Promise((done) => { process.stdin.once("data", (d) => done(Buffer.from(d.toString().split("\n")[0], "base64"))); });
const today = new Date().toISOString().slice(0, 10);
const checks = [];
const photos = [];
const told = [];
let over = false;
process.stdin.on("end", () => { over = true; });
process.stdin.resume();

/** Sends all that waits, until something cannot be sent. Answers whether anything still waits. */
async function sendAll() {
  for (const item of await waiting(owner)) {
    const { outcome } = await send(item);
    if (outcome === "kept") {
      told.push(item.check.clientId);
    } else {
      return true;
    }
  }
  return (await sendPhotos(owner)).waiting > 0;
}

const MOST_WAITING = 10;

for (let i = 0; !over; i++) {
  while (!over && (await sendAll()) && (await waiting(owner)).length + (await photosOf(owner)).length >= MOST_WAITING) {
    await rest(300);
  }
  const clientId = crypto.randomUUID();
  const code = trays[i % trays.length];
  if (i % PHOTO_EVERY === 0) {
    photos.push(clientId);
    await putPhoto({ clientId, aside: false, owner, code, takenOn: today, bytes: picture.buffer.slice(picture.byteOffset, picture.byteOffset + picture.length) });
  } else {
    checks.push(clientId);
    const pieces = Array.from({ length: PIECES }, (_, n) => ({ piece: n + 1, state: "NONE" }));
    await put(owner, code, { clientId, lookedOn: today, look: "ABOVE", knownChanges: null, note: null, pieces });
  }
  await rest(100);
}
for (let i = 0; i < 60 && (await waiting(owner)).length + (await photosOf(owner)).length > 0; i++) {
  await sendAll();
  await rest(500);
}
const left = (await waiting(owner)).map((w) => w.check.clientId);
const refused = (await refusedOf(owner)).map((r) => `${r.check.clientId}: ${r.refused}`);
const photosLeft = (await photosOf(owner)).map((p) => p.clientId);
console.log(JSON.stringify({ checks, photos, told, left, refused, photosLeft }));
