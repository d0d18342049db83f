// Sends what waits for a person from any page, and says how much still waits.
import { isClaimed } from "./locks.js";
import { refusedOf, send, waiting } from "./outbox.js";
import { sendPhotos } from "./photos.js";
import { settle } from "./draft.js";
import { adoptOld, photosOf } from "./store.js";
import { message } from "../messages.js";

/** Sends all that waits for the owner, but for batches that another tab is looking at: that tab sends its own. Answers how much still waits. */
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
  const checks = (await waiting(owner)).length;
  tell(checks, photos.waiting, (await refusedOf(owner)).length + (await photosOf(owner)).filter((p) => p.aside).length);
  return checks + photos.waiting;
}

const SOON_MS = 3000;
const SELDOM_MS = 300000;

/** The same until nothing waits: soon again, then more and more seldom, and at once when the connection is back. */
export async function keepSending(owner) {
  let wait = SOON_MS;
  let timer = null;
  const send = async () => {
    clearTimeout(timer);
    if ((await sendAll(owner)) > 0) {
      timer = setTimeout(send, wait);
      wait = Math.min(SELDOM_MS, 2 * wait);
    }
  };
  window.addEventListener("online", () => {
    wait = SOON_MS;
    send();
  });
  await send();
}

const counted = (key, n, figures = {}) => (n === 0 ? [] : [message(key, { n, ...figures })]);

/** The head of the page says what waits, and what was refused. */
function tell(checks, photos, refused) {
  const line = document.querySelector("[data-waits]");
  if (line) {
    line.hidden = checks + photos + refused === 0;
    const what = [...counted("waits.looks", checks), ...counted("waits.photographs", photos)].join(message("waits.and"));
    const waits = counted("waits.sent", checks + photos, { what });
    const back = counted("waits.refused", refused);
    line.textContent = [...waits, ...back].join("; ");
  }
}
