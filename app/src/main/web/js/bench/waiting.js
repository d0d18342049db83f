// Sends what waits for a person from any page, and says how much still waits.
import { isClaimed } from "./locks.js";
import { send, waiting } from "./outbox.js";
import { sendPhotos } from "./photos.js";
import { settle } from "./draft.js";
import { adoptOld } from "./store.js";

/** Sends all that waits for the owner, but for batches that another tab is looking at: that tab sends its own. */
export async function sendAll(owner) {
  if (localStorage.getItem("vivarium.outbox") !== null) {
    await adoptOld(owner, localStorage);
  }
  for (const item of await waiting(owner)) {
    if (!(await isClaimed(item.check.clientId))) {
      const answer = await send(item);
      if (answer.outcome === "kept") {
        await settle(owner, item.check, answer.changes);
      }
    }
  }
  const photos = await sendPhotos(owner);
  tell((await waiting(owner)).length, photos.waiting);
}

const counted = (count, one, many) => (count === 0 ? [] : [count === 1 ? `1 ${one}` : `${count} ${many}`]);

/** The head of the page says what waits. */
function tell(checks, photos) {
  const line = document.querySelector("[data-waits]");
  if (line) {
    line.hidden = checks + photos === 0;
    const what = [...counted(checks, "look", "looks"), ...counted(photos, "photograph", "photographs")].join(" and ");
    line.textContent = `${what} ${checks + photos === 1 ? "waits" : "wait"} to be sent`;
  }
}
