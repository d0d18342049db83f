// The box that / opens: it finds as one types, even half of a code, and Enter goes to the first that is found.
import { message } from "./messages.js";

const WAIT = 120;

export function start(opener) {
  const dialog = document.createElement("dialog");
  dialog.className = "find-box";
  dialog.setAttribute("aria-label", message("find.title"));
  const form = document.createElement("form");
  form.action = opener.href;
  const input = document.createElement("input");
  Object.assign(input, { type: "search", name: "q", maxLength: 100, autocomplete: "off" });
  input.setAttribute("aria-label", message("find.label"));
  input.placeholder = message("find.hint");
  const list = document.createElement("ul");
  list.className = "found";
  list.setAttribute("aria-live", "polite");
  form.append(input, list);
  dialog.append(form);
  document.body.append(dialog);

  let timer = null;
  let asked = null;
  let shown = "";

  const show = (found, words) => {
    shown = words;
    list.replaceChildren(...found.map(entry));
    if (found.length === 0 && words !== "") {
      const none = document.createElement("li");
      none.className = "lead";
      none.textContent = message("find.none");
      list.append(none);
    }
  };

  const look = async () => {
    asked?.abort();
    asked = new AbortController();
    const words = input.value.trim();
    if (words === "") {
      show([], "");
      return;
    }
    try {
      const answer = await fetch(`/find/list?q=${encodeURIComponent(words)}`, { signal: asked.signal, headers: { Accept: "application/json" } });
      show(answer.ok ? await answer.json() : [], words);
    } catch (failed) {
      if (failed.name !== "AbortError") {
        list.textContent = message("find.no-answer");
      }
    }
  };

  opener.addEventListener("click", (event) => {
    if (event.ctrlKey || event.metaKey || event.shiftKey) {
      return;
    }
    event.preventDefault();
    dialog.showModal();
    input.select();
  });
  input.addEventListener("input", () => {
    clearTimeout(timer);
    timer = setTimeout(look, WAIT);
  });
  dialog.addEventListener("keydown", (event) => {
    event.stopPropagation();
    const links = [...list.querySelectorAll("a")];
    const at = links.indexOf(document.activeElement);
    if (event.key === "ArrowDown" && links.length > 0) {
      event.preventDefault();
      links[Math.min(links.length - 1, at + 1)].focus();
    } else if (event.key === "ArrowUp" && at >= 0) {
      event.preventDefault();
      (at === 0 ? input : links[at - 1]).focus();
    }
  });
  dialog.addEventListener("click", (event) => {
    if (event.target === dialog) {
      dialog.close();
    }
  });
  form.addEventListener("submit", (event) => {
    // What is shown may be of an earlier word: then the page answers.
    const first = list.querySelector("a");
    if (first && shown === input.value.trim()) {
      event.preventDefault();
      location.assign(first.href);
    }
  });
}

function entry(found) {
  const item = document.createElement("li");
  const link = document.createElement("a");
  link.href = found.address;
  const what = document.createElement("span");
  what.className = "small lead";
  what.textContent = ` ${found.what}`;
  link.append(found.name, what);
  item.append(link);
  return item;
}
