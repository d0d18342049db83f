// Sending a check from bench mode: again and again until the server has it, and both sides shown where another was quicker.
import { settle } from "./draft.js";
import { put, remove, send, waiting } from "./outbox.js";
import { words } from "./readings.js";
import { message } from "../messages.js";

const RETRY_MS = 8000;

export class Sending {
  /**
   * @param root bench mode's element
   * @param bench what is known of the batch
   * @param draft the check being typed
   * @param say tells the grower something; its second argument says whether it is wrong
   */
  constructor(root, bench, draft, say) {
    this.clash = root.querySelector("[data-clash]");
    this.bench = bench;
    this.draft = draft;
    this.say = say;
    this.busy = false;
    window.addEventListener("online", () => this.retry());
    this.begin();
  }

  async begin() {
    if (await this.next()) {
      this.say(message("sending.waits"), false);
      await this.retry();
    }
  }

  /** The first check of this batch that waits. */
  async next() {
    return (await waiting(this.draft.owner)).find((w) => w.code === this.bench.code);
  }

  async save() {
    await put(this.draft.owner, this.bench.code, this.draft.body());
    await this.retry();
  }

  async retry() {
    if (this.busy) {
      return;
    }
    this.busy = true;
    const item = await this.next();
    if (!item) {
      this.busy = false;
      return;
    }
    this.say(message("sending.sending"), false);
    const answer = await send(item);
    this.busy = false;
    if (answer.outcome === "kept") {
      await this.kept(item, answer);
    } else if (answer.outcome === "refused") {
      this.say(message("sending.mend", { answer: answer.message }), true);
    } else if (answer.outcome === "clash") {
      await this.showBothSides(item, answer);
    } else {
      this.say(answer.message, true);
      setTimeout(() => this.retry(), RETRY_MS);
    }
  }

  async kept(item, answer) {
    if (await settle(this.draft.owner, item.check, answer.changes)) {
      window.location.reload();
      return;
    }
    window.location.assign(`/batches/${encodeURIComponent(this.bench.code)}`);
  }

  /** Somebody else logged this batch meanwhile: shows where the two differ, and asks which way to go on. */
  async showBothSides(item, answer) {
    const page = new DOMParser().parseFromString(await (await fetch(window.location.href)).text(), "text/html");
    const theirs = JSON.parse(page.querySelector("[data-bench]").dataset.bench);
    const differing = item.check.pieces
      .map((p) => ({ mine: p, theirs: theirs.cells.find((c) => c.piece === p.piece) }))
      .filter((d) => d.theirs.state !== d.mine.state);
    this.clash.querySelector("ul").replaceChildren(...differing.map((d) => {
      const line = document.createElement("li");
      line.textContent = message("sending.differs", { piece: d.mine.piece, theirs: words(d.theirs, this.bench), mine: words(d.mine, this.bench) });
      return line;
    }));
    this.clash.querySelector("[data-clash-text]").textContent =
      differing.length === 0 ? message("sending.same", { answer: answer.message }) : message("sending.these", { answer: answer.message });
    this.clash.hidden = false;
    this.clash.querySelector("[data-both]").onclick = async () => {
      this.clash.hidden = true;
      await this.draft.set("knownChanges", answer.changes);
      await this.save();
    };
    this.clash.querySelector("[data-theirs]").onclick = async () => {
      await remove(item.check.clientId);
      await this.draft.forget();
      window.location.reload();
    };
    this.clash.querySelector("[data-both]").focus();
  }
}
