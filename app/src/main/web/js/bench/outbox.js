// Sends checks that the server does not have yet. Each carries an id made here, so that sending twice counts once, and goes under
// the name of the person who typed it or not at all.
import { checksOf, putCheck, removeCheck } from "./store.js";

/** Checks of an owner that wait to be sent; those put aside wait for a press. */
export const waiting = async (owner) => (await checksOf(owner)).filter((c) => !c.aside);

export const put = (owner, code, check) => putCheck({ owner, code, check });
export const remove = removeCheck;

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
      return { outcome: "unsent", message: "Sign in again in another tab; it is kept here until then." };
    }
    if (session.owner !== item.owner) {
      return { outcome: "unsent", message: "Somebody else is signed in now; it is kept here until you are." };
    }
    return await read(await post(item, session), item);
  } catch {
    return { outcome: "unsent", message: "No connection; it is kept here and sent when there is one." };
  }
}

async function read(answer, item) {
  if (answer.ok) {
    await remove(item.check.clientId);
    return { outcome: "kept", ...(await answer.json()) };
  }
  const said = await answer.json().catch(() => ({ message: "The server could not take it." }));
  if (answer.status === 409) {
    return { outcome: "clash", ...said };
  }
  if (answer.status === 422 || answer.status === 400) {
    await remove(item.check.clientId);
    return { outcome: "refused", ...said };
  }
  if (answer.status === 404) {
    // Of an installation that began anew: nobody here can ever take it.
    await remove(item.check.clientId);
    return { outcome: "refused", message: `There is no batch ${item.code} here.` };
  }
  if (answer.status === 507) {
    return { outcome: "unsent", message: "The server’s disk is full; it is kept here and sent again once there is room." };
  }
  return { outcome: "unsent", message: "The server is not well; it is kept here and sent again." };
}
