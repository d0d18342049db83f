// Sends a copy of a nursery as it is, whatever its size; without this script its form sends up to what forms may be.
import { message } from "./messages.js";

export function start(form) {
  const refused = document.querySelector("[data-copy-refused]");
  form.addEventListener("submit", async (event) => {
    const file = form.elements.file.files[0];
    if (!file) {
      return;
    }
    event.preventDefault();
    refused.hidden = true;
    const button = form.querySelector("button");
    button.disabled = true;
    try {
      const session = await (await fetch("/session/token", { headers: { Accept: "application/json" } })).json();
      const answer = await fetch(form.action, {
        method: "POST",
        headers: { "Content-Type": "application/zip", Accept: "application/json", [session.header]: session.token },
        body: file,
      });
      if (answer.ok) {
        location.assign("/round");
        return;
      }
      const said = await answer.json().catch(() => ({}));
      refused.textContent = said.message ?? message("copies.not-sent");
    } catch {
      refused.textContent = message("copies.not-sent");
    }
    refused.hidden = false;
    button.disabled = false;
  });
}
