// Photographs of bench mode: kept in the browser until the server has them, each sent under an id made here, once.
import { shrunk } from "../shrink.js";
import { token } from "./outbox.js";
import { photosOf, putPhoto, removePhoto } from "./store.js";
import { message as told } from "../messages.js";

/** Keeps a photograph that was just taken; answers whether it could be read. */
export async function keepPhoto(owner, code, takenOn, file) {
  const picture = await shrunk(file);
  if (picture === null) {
    return false;
  }
  await putPhoto({ aside: false, clientId: crypto.randomUUID(), owner, code, takenOn, bytes: await picture.arrayBuffer() });
  return true;
}

async function post(item, session) {
  const form = new FormData();
  form.set("file", new Blob([item.bytes], { type: "image/jpeg" }), "photograph.jpg");
  form.set("clientId", item.clientId);
  form.set("takenOn", item.takenOn);
  return fetch(`/batches/${encodeURIComponent(item.code)}/photos/send`, {
    method: "POST",
    headers: { Accept: "application/json", "Vivarium-Owner": item.owner, [session.header]: session.token },
    body: form,
    redirect: "manual",
  });
}

const REFUSALS = [400, 404, 413, 422];

/** Photographs of an owner that wait to be sent. */
export const waitingPhotos = async (owner) => (await photosOf(owner)).filter((p) => !p.aside);

/**
 * Sends one. Answers "kept", "refused" with the server's words, or "unsent". Only an answer that names this very photograph settles
 * it; what the server refuses is put aside.
 */
async function sendOne(item, session) {
  const answer = await post(item, session);
  const said = (await answer.json().catch(() => null)) ?? {};
  if (said.id === item.clientId && answer.ok && said.kept === true) {
    await removePhoto(item.clientId);
    return { outcome: "kept" };
  }
  if (said.id === item.clientId && REFUSALS.includes(answer.status)) {
    await putPhoto({ ...item, aside: true, refused: said.message });
    return { outcome: "refused", message: said.message };
  }
  return { outcome: "unsent" };
}

/** Sends one photograph by itself, one that was put aside too. */
export async function sendPhoto(item) {
  try {
    const session = await token();
    return session?.owner === item.owner ? await sendOne(item, session) : { outcome: "unsent" };
  } catch {
    return { outcome: "unsent" };
  }
}

/**
 * Sends the photographs of an owner that wait, one after the other. Answers how many still wait and, where the server refused
 * one, its words.
 */
export async function sendPhotos(owner) {
  let refused = null;
  try {
    const waiting = await waitingPhotos(owner);
    const session = waiting.length > 0 ? await token() : null;
    if (session !== null && session.owner === owner) {
      for (const item of waiting) {
        const { outcome, message } = await sendOne(item, session);
        if (outcome === "refused") {
          refused = told("photos.aside", { answer: message });
        }
      }
    }
  } catch {
    // No connection: they stay.
  }
  return { waiting: (await waitingPhotos(owner)).length, refused };
}
