// Sends what waits for a person from any page, and says how much still waits.
import { isClaimed } from "./locks.js";
import { send, waiting } from "./outbox.js";
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
  tell((await waiting(owner)).length);
}

/** The head of the page says what waits. */
function tell(count) {
  const line = document.querySelector("[data-waits]");
  if (line) {
    line.hidden = count === 0;
    line.textContent = count === 1 ? "1 check waits to be sent" : `${count} checks wait to be sent`;
  }
}
