// Sends checks that the server does not have yet. Each carries an id made here, so that sending twice counts once, and goes under
// the name of the person who typed it or not at all.
import { checksOf, putAside, putCheck, removeCheck } from "./store.js";
import { message } from "../messages.js";

const REFUSALS = [400, 404, 422];
const NO_ROOM = message("outbox.no-room");
const NOT_WELL = message("outbox.not-well");

/** Checks of an owner that wait to be sent; those put aside wait for a press. */
export const waiting = async (owner) => (await checksOf(owner)).filter((c) => !c.aside);

export const put = (owner, code, check) => putCheck({ owner, code, check });
export const remove = removeCheck;

/** Checks of an owner that the server refused: to be mended or thrown away. */
export const refusedOf = async (owner) => (await checksOf(owner)).filter((c) => c.refused);

/** The session that sends, or null where nobody is signed in. */
export async function token() {
  const answer = await fetch("/session/token", { headers: { Accept: "application/json" }, redirect: "manual" });
  return answer.ok ? answer.json() : null;
}

async function post(item, session) {
  return fetch(`/batches/${encodeURIComponent(item.code)}/checks`, {
    method: "POST",
    headers: {
      "Content-Type": "application/json",
      Accept: "application/json",
      "Vivarium-Owner": item.owner,
      [session.header]: session.token,
    },
    body: JSON.stringify(item.check),
    redirect: "manual",
  });
}

/**
 * Sends one check. Answers what became of it: "kept", "unsent" (no connection, no session, or somebody else's), "refused" or
 * "clash", the latter two with the server's words.
 */
export async function send(item) {
  try {
    const session = await token();
    if (session === null) {
      return { outcome: "unsent", message: message("outbox.sign-in") };
    }
    if (session.owner !== item.owner) {
      return { outcome: "unsent", message: message("outbox.somebody-else") };
    }
    return await read(await post(item, session), item);
  } catch {
    return { outcome: "unsent", message: message("outbox.no-connection") };
  }
}

/**
 * What became of it. Only an answer that names this very check settles it: one that says it is kept, or one that refuses it. All else, an
 * empty answer or somebody else's page, says nothing of it, and it stays and is sent again.
 */
async function read(answer, item) {
  const id = item.check.clientId;
  const said = (await answer.json().catch(() => null)) ?? {};
  if (said.id === id && answer.ok && said.kept === true) {
    await remove(id);
    return { outcome: "kept", changes: said.changes };
  }
  if (said.id === id && answer.status === 409) {
    return { outcome: "clash", message: said.message, changes: said.changes };
  }
  if (said.id === id && REFUSALS.includes(answer.status)) {
    await putAside(item, said.message);
    return { outcome: "refused", message: said.message };
  }
  return { outcome: "unsent", message: answer.status === 507 ? NO_ROOM : NOT_WELL };
}
