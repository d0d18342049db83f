// Checks that the server does not have yet. They stay in the browser until it answers; each carries an id made here, so that
// sending twice counts once.

const KEY = "vivarium.outbox";

const read = () => JSON.parse(localStorage.getItem(KEY) ?? "[]");
const write = (waiting) => localStorage.setItem(KEY, JSON.stringify(waiting));

export const waiting = () => read();

export function put(code, check) {
  write([...read().filter((w) => w.check.clientId !== check.clientId), { code, check }]);
}

export function remove(clientId) {
  write(read().filter((w) => w.check.clientId !== clientId));
}

async function token() {
  const answer = await fetch("/session/token", { headers: { Accept: "application/json" }, redirect: "manual" });
  return answer.ok ? answer.json() : null;
}

async function post(item, csrf) {
  return fetch(`/batches/${encodeURIComponent(item.code)}/checks`, {
    method: "POST",
    headers: { "Content-Type": "application/json", Accept: "application/json", [csrf.header]: csrf.token },
    body: JSON.stringify(item.check),
    redirect: "manual",
  });
}

/**
 * Sends one check. Answers what became of it: "kept", "unsent" (no connection or no session), "refused" or "clash", the
 * latter two with the server's words.
 */
export async function send(item) {
  try {
    const csrf = await token();
    if (csrf === null) {
      return { outcome: "unsent", message: "Sign in again in another tab; it is kept here until then." };
    }
    const answer = await post(item, csrf);
    if (answer.ok) {
      remove(item.check.clientId);
      return { outcome: "kept", ...(await answer.json()) };
    }
    const said = await answer.json().catch(() => ({ message: "The server could not take it." }));
    if (answer.status === 409) {
      return { outcome: "clash", ...said };
    }
    if (answer.status === 422 || answer.status === 400) {
      remove(item.check.clientId);
      return { outcome: "refused", ...said };
    }
    if (answer.status === 404) {
      // Of another nursery, or of an installation that began anew: nobody here can ever take it.
      remove(item.check.clientId);
      return { outcome: "refused", message: `There is no batch ${item.code} here.` };
    }
    return { outcome: "unsent", message: "The server is not well; it is kept here and sent again." };
  } catch {
    return { outcome: "unsent", message: "No connection; it is kept here and sent when there is one." };
  }
}
