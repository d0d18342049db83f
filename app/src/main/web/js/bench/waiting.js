// Sends what waits for a person from any page, and says how much still waits.
import { isClaimed } from "./locks.js";
import { send, waiting } from "./outbox.js";
import { sendPhotos } from "./photos.js";
import { settle } from "./draft.js";
import { adoptOld } from "./store.js";

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
  tell(checks, photos.waiting);
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
