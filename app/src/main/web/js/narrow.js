// Narrows the table that follows by what is typed: every word must stand in a row, or among the words that it is known by.
import { message } from "./messages.js";

const plain = (text) =>
  text
    .normalize("NFD")
    .replace(/\p{M}/gu, "")
    .toLowerCase();

/** Where rows come by place, the place stands beside the first of its rows that is shown. */
function placesAgain(rows) {
  let last = null;
  for (const row of rows) {
    const cell = row.querySelector("[data-place]");
    if (!cell || row.hidden) {
      continue;
    }
    cell.textContent = cell.dataset.place === last ? "" : cell.dataset.place;
    last = cell.dataset.place;
  }
}

export function start(box) {
  const input = box.querySelector("input");
  const told = box.querySelector("[role=status]");
  const table = document.getElementById(box.dataset.narrow);
  const known = (row) => ({ row, words: plain(`${row.textContent} ${row.dataset.words ?? ""}`) });
  const rows = [...table.tBodies[0].rows].map(known);
  /** Words by which rows are known beside what they show, asked for once somebody types. */
  let asked = table.dataset.more === undefined;
  const askMore = async () => {
    if (asked) {
      return;
    }
    asked = true;
    const answer = await fetch(table.dataset.more, { headers: { Accept: "application/json" } });
    const more = answer.ok ? await answer.json() : {};
    for (const one of rows) {
      one.words += ` ${plain(more[one.row.dataset.row] ?? "")}`;
    }
    narrow();
  };
  const key = `narrow ${location.pathname}`;
  const narrow = () => {
    const wanted = plain(input.value).split(/\s+/).filter(Boolean);
    let shown = 0;
    for (const { row, words } of rows) {
      row.hidden = !wanted.every((word) => words.includes(word));
      shown += row.hidden ? 0 : 1;
    }
    placesAgain(rows.map((r) => r.row));
    told.textContent = wanted.length > 0 ? message("narrow.shown", { shown, all: rows.length }) : "";
    try {
      sessionStorage.setItem(key, input.value);
    } catch {
      // It is only not remembered.
    }
  };
  table.addEventListener("grown", () => {
    rows.push(...[...table.tBodies[0].rows].slice(rows.length).map(known));
    narrow();
  });
  input.value = sessionStorage.getItem(key) ?? "";
  input.addEventListener("input", () => {
    narrow();
    askMore();
  });
  if (input.value) {
    narrow();
    askMore();
  }
  box.hidden = false;
}
