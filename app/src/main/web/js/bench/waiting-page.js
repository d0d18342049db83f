// The page that shows what waits in this browser: of which batch, since when, and what may be done with it.
import { settle } from "./draft.js";
import { send } from "./outbox.js";
import { checksOf, countOfOthers, putCheck, removeCheck } from "./store.js";

export async function start(root) {
  const owner = document.body.dataset.owner;
  const list = root.querySelector("ul");
  const row = root.querySelector("template").content;

  const show = async () => {
    const checks = await checksOf(owner);
    list.replaceChildren(...checks.map(drawn));
    root.querySelector("[data-none]").hidden = checks.length > 0;
    const others = await countOfOthers(owner);
    root.querySelector("[data-others]").hidden = others === 0;
    root.querySelector("[data-others-count]").textContent = others === 1 ? "1 check" : `${others} checks`;
  };

  const drawn = (item) => {
    const line = row.cloneNode(true).firstElementChild;
    const count = item.check.pieces.length;
    line.querySelector("[data-code]").textContent = item.code;
    line.querySelector("[data-code]").href = `/batches/${encodeURIComponent(item.code)}`;
    line.querySelector("[data-what]").textContent = `${count === 1 ? "1 piece" : `${count} pieces`}, looked at on ${item.check.lookedOn}`;
    line.querySelector("[data-since]").textContent = item.fromBefore
      ? "kept by an earlier version, nobody knows for whom"
      : `waits since ${new Date(item.since).toLocaleString("en-GB", { dateStyle: "medium", timeStyle: "short" })}`;
    line.querySelector("[data-aside]").hidden = item.aside;
    line.querySelector("[data-aside]").addEventListener("click", async () => {
      await putCheck({ ...item, aside: true });
      await show();
    });
    line.querySelector("[data-drop]").hidden = !item.aside;
    line.querySelector("[data-drop]").addEventListener("click", async () => {
      await removeCheck(item.clientId);
      await show();
    });
    line.querySelector("[data-send]").addEventListener("click", async () => {
      const answer = await send(item);
      if (answer.outcome === "kept") {
        await settle(owner, item.check, answer.changes);
      }
      await show();
      root.querySelector("[data-said]").textContent =
        answer.outcome === "kept" ? `The check of ${item.code} is written down.` : `${item.code}: ${answer.message}`;
    });
    return line;
  };

  await show();
}
