// What waits in this browser: checks being typed, checks and photographs that the server does not have yet. Each belongs to one person of one
// nursery. On a tablet that several share nobody sends, sees or overwrites what is another's.
import { openDB } from "../vendor/idb.js";

const NAME = "vivarium";
const PATIENCE_MS = 4000;
let opened;
let stays = true;

/**
 * One page at a time opens the database. A page that is left while it makes it would otherwise be laid aside by the browser with the
 * work half done, and the next page would wait for it for ever; one that holds a lock is ended instead.
 */
const alone = (work) => (globalThis.navigator?.locks ? navigator.locks.request("vivarium-store", work) : work());

const open = () =>
  openDB(NAME, 2, {
    upgrade(database, before) {
      if (before < 1) {
        database.createObjectStore("drafts", { keyPath: "clientId" }).createIndex("of", ["owner", "code"]);
        database.createObjectStore("checks", { keyPath: "clientId" }).createIndex("owner", "owner");
      }
      database.createObjectStore("photos", { keyPath: "clientId" }).createIndex("owner", "owner");
    },
    // A page of a later version is not kept waiting by this one.
    blocking: (before, now, event) => event.target.close(),
  });

const after = (ms) => new Promise((done) => setTimeout(done, ms));

/** The same for as long as the page is open, where the browser keeps nothing: what is typed can at least be sent. */
function memory() {
  stays = false;
  const held = { drafts: new Map(), checks: new Map(), photos: new Map() };
  const all = (name) => [...held[name].values()];
  return {
    get: async (name, id) => held[name].get(id),
    getAll: async (name) => all(name),
    getAllFromIndex: async (name, index, key) =>
      all(name).filter((i) => (index === "of" ? i.owner === key[0] && i.code === key[1] : i.owner === key)),
    put: async (name, item) => held[name].set(item.clientId, structuredClone(item)),
    delete: async (name, id) => held[name].delete(id),
    close() {},
  };
}

async function openOrRemember() {
  const found = await Promise.race([Promise.resolve().then(() => alone(open)).catch(() => null), after(PATIENCE_MS)]);
  return found ?? memory();
}

const db = () => (opened ??= openOrRemember());

/** Whether what is typed stays in this browser when the page goes. */
export async function isKept() {
  await db();
  return stays;
}

/** Drafts of an owner for a batch, the last written first. */
export async function draftsOf(owner, code) {
  const found = await (await db()).getAllFromIndex("drafts", "of", [owner, code]);
  return found.sort((a, b) => b.at - a.at);
}

export const draft = async (clientId) => (await db()).get("drafts", clientId);

/** Keeps a draft: what was typed by whom for which batch, and when. */
export async function putDraft(owner, code, values) {
  await (await db()).put("drafts", { clientId: values.clientId, owner, code, at: Date.now(), values });
}

export async function removeDraft(clientId) {
  await (await db()).delete("drafts", clientId);
}

/** Checks of an owner that wait, the first saved first. */
export async function checksOf(owner) {
  const found = await (await db()).getAllFromIndex("checks", "owner", owner);
  return found.sort((a, b) => a.since - b.since);
}

/** How many checks of others wait here; of whom is not told. */
export async function countOfOthers(owner) {
  return (await (await db()).getAll("checks")).filter((c) => c.owner !== owner).length;
}

/** Keeps a check until the server has it. */
export async function putCheck(item) {
  await (await db()).put("checks", { clientId: item.check.clientId, since: Date.now(), aside: false, ...item });
}

export async function removeCheck(clientId) {
  await (await db()).delete("checks", clientId);
}

/** The server will not have it as it is: it waits with the server's words for its person to mend it or throw it away. */
export async function putAside(item, refused) {
  const store = await db();
  // Another tab may have had an answer meanwhile.
  if ((await store.get("checks", item.check.clientId)) !== undefined) {
    await store.put("checks", { ...item, aside: true, refused: refused || "It could not be taken as it is." });
  }
}

/** Photographs of an owner that wait, the first taken first. */
export async function photosOf(owner) {
  const found = await (await db()).getAllFromIndex("photos", "owner", owner);
  return found.sort((a, b) => a.since - b.since);
}

/** Keeps a photograph until the server has it: of which batch, of which day, and the picture. */
export async function putPhoto(item) {
  await (await db()).put("photos", { since: Date.now(), ...item });
}

export async function removePhoto(clientId) {
  await (await db()).delete("photos", clientId);
}

/** What an earlier version kept, of which nobody knows whose it was: put aside, for the person who is here to decide. */
export async function adoptOld(owner, storage) {
  const old = JSON.parse(storage.getItem("vivarium.outbox") ?? "[]");
  for (const { code, check } of old) {
    await putCheck({ owner, code, check, aside: true, fromBefore: true });
  }
  storage.removeItem("vivarium.outbox");
  for (const key of Object.keys(storage).filter((k) => k.startsWith("vivarium.check."))) {
    const values = JSON.parse(storage.getItem(key));
    await putDraft(owner, key.slice("vivarium.check.".length), values);
    storage.removeItem(key);
  }
}

/** Forgets that the database was opened; for tests alone. */
export async function close() {
  if (opened) {
    (await opened).close();
    opened = undefined;
    stays = true;
  }
}
