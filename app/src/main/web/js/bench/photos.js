// Photographs of bench mode: kept in the browser until the server has them, each sent under an id made here, once.
import { shrunk } from "../shrink.js";
import { token } from "./outbox.js";
import { photosOf, putPhoto, removePhoto } from "./store.js";

/** Keeps a photograph that was just taken; answers whether it could be read. */
export async function keepPhoto(owner, code, takenOn, file) {
  const picture = await shrunk(file);
  if (picture === null) {
    return false;
  }
  await putPhoto({ clientId: crypto.randomUUID(), owner, code, takenOn, bytes: await picture.arrayBuffer() });
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

/**
 * Sends the photographs of an owner that wait, one after the other. Answers how many still wait and, where the server refused
 * one for good, its words.
 */
export async function sendPhotos(owner) {
  let refused = null;
  try {
    const waiting = await photosOf(owner);
    const session = waiting.length > 0 ? await token() : null;
    if (session !== null && session.owner === owner) {
      for (const item of waiting) {
        const answer = await post(item, session);
        if (answer.ok) {
          await removePhoto(item.clientId);
        } else if (answer.status === 422 || answer.status === 404) {
          await removePhoto(item.clientId);
          refused = (await answer.json().catch(() => null))?.message ?? `The photograph of ${item.code} could not be kept.`;
        }
      }
    }
  } catch {
    // No connection: they stay.
  }
  return { waiting: (await photosOf(owner)).length, refused };
}
