// The page that shows what waits in this browser: of which batch, since when, what the server said, and what may be done with it.
import { settle, takeUp } from "./draft.js";
import { send } from "./outbox.js";
import { sendPhoto } from "./photos.js";
import { checksOf, countOfOthers, photosOf, putCheck, putPhoto, removeCheck, removePhoto } from "./store.js";
import { languageOfDays } from "../days.js";
import { message } from "../messages.js";

const since = (item) =>
  item.fromBefore
    ? message("waiting.from-before")
    : message("waiting.since", { time: new Date(item.since).toLocaleString(languageOfDays(), { dateStyle: "medium", timeStyle: "short" }) });

const pageOf = (code) => `/batches/${encodeURIComponent(code)}`;

/** How a check is told, sent, put aside, mended and dropped. */
const ofCheck = (owner) => (item) => ({
  verb: message("waiting.check"),
  what: message("waiting.pieces", { n: item.check.pieces.length, day: item.check.lookedOn }),
  kept: message("waiting.check-kept", { code: item.code }),
  send: async () => {
    const answer = await send(item);
    if (answer.outcome === "kept") {
      await settle(owner, item.check, answer.changes);
    }
    return answer;
  },
  putAside: () => putCheck({ ...item, aside: true }),
  mend: async () => {
    await takeUp(item);
    window.location.assign(`${pageOf(item.code)}/check`);
  },
  drop: () => removeCheck(item.check.clientId),
});

/** The same of a photograph, which cannot be mended. */
const ofPhoto = (item) => ({
  verb: message("waiting.photograph"),
  what: message("waiting.taken", { day: item.takenOn }),
  kept: message("waiting.photograph-kept", { code: item.code }),
  send: async () => ({ message: message("waiting.stays"), ...(await sendPhoto(item)) }),
  putAside: () => putPhoto({ ...item, aside: true }),
  mend: null,
  drop: () => removePhoto(item.clientId),
});

export async function start(root) {
  const owner = document.body.dataset.owner;
  const list = root.querySelector("ul");
  const row = root.querySelector("template").content;

  const show = async () => {
    const [checks, photos] = [await checksOf(owner), await photosOf(owner)];
    list.replaceChildren(...checks.map((c) => drawn(c, ofCheck(owner)(c))), ...photos.map((p) => drawn(p, ofPhoto(p))));
    root.querySelector("[data-none]").hidden = checks.length + photos.length > 0;
    const others = await countOfOthers(owner);
    root.querySelector("[data-others]").hidden = others === 0;
    root.querySelector("[data-others-count]").textContent = message("waiting.checks", { n: others });
  };

  const drawn = (item, does) => {
    const line = row.cloneNode(true).firstElementChild;
    const find = (name) => line.querySelector(`[data-${name}]`);
    const press = (name, shown, work) => {
      find(name).hidden = !shown;
      find(name).addEventListener("click", async () => {
        await work();
        await show();
      });
    };
    find("verb").textContent = does.verb;
    find("code").textContent = item.code;
    find("code").href = pageOf(item.code);
    find("what").textContent = does.what;
    find("since").textContent = since(item);
    find("refused").hidden = !item.refused;
    find("refused").textContent = item.refused ? message("waiting.refused", { why: item.refused }) : "";
    press("aside", !item.aside, does.putAside);
    press("mend", Boolean(item.refused && does.mend), () => does.mend());
    press("drop", item.aside, does.drop);
    press("send", true, async () => {
      const answer = await does.send();
      root.querySelector("[data-said]").textContent = answer.outcome === "kept" ? does.kept : `${item.code}: ${answer.message}`;
    });
    return line;
  };

  await show();
}
