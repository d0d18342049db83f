// Photographs: made smaller in the browser before they are sent; two days laid over each other.
import { shrunk } from "./shrink.js";
import { message } from "./messages.js";

/** A form with a file of a photograph. */
function startForm(form) {
  const input = form.querySelector('input[type="file"]');
  input.addEventListener("change", async () => {
    const [file] = input.files;
    const smaller = file && (await shrunk(file));
    if (smaller) {
      const files = new DataTransfer();
      files.items.add(new File([smaller], "photograph.jpg", { type: "image/jpeg" }));
      input.files = files.files;
    }
  });
  form.addEventListener("submit", () => sayThatItWaits(form));
}

const LOOKS_EVERY_MS = 1500;

/** While a photograph is sent: how many wait there to be read before it. */
function sayThatItWaits(form) {
  const line = form.querySelector("[data-sending]");
  const look = async () => {
    const answer = await fetch("/photos/waiting", { headers: { Accept: "application/json" } }).catch(() => null);
    const { waiting } = answer?.ok ? await answer.json() : { waiting: 0 };
    line.textContent = waiting > 0 ? message("photo.waits", { waiting }) : message("photo.sent");
  };
  line.hidden = false;
  line.textContent = message("photo.sent");
  setInterval(look, LOOKS_EVERY_MS);
}

/** Two figures side by side, that may be laid over each other with a slider between. */
function startSlider(root) {
  const range = root.querySelector('input[type="range"]');
  const press = root.querySelector("[data-over]");
  const [, right] = root.querySelectorAll("img");
  const show = () => {
    right.style.clipPath = root.classList.contains("over") ? `inset(0 0 0 ${range.value}%)` : "";
  };
  press.hidden = false;
  press.addEventListener("click", () => {
    const over = root.classList.toggle("over");
    range.closest("label").hidden = !over;
    press.textContent = message(over ? "photo.beside" : "photo.over");
    show();
  });
  range.addEventListener("input", show);
}

export const start = (element) => (element.matches("form") ? startForm(element) : startSlider(element));
