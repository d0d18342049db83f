// Walking the round by keyboard: arrows or j and k move, d does the task, or asks how many, Enter opens the batch.

export function start(round) {
  const tasks = [...round.querySelectorAll(".task")];
  let at = Math.max(0, tasks.findIndex((t) => t.dataset.code === round.dataset.last));

  const stops = [...round.querySelectorAll("details.stop")];
  if (round.dataset.last === undefined || !tasks.some((t) => t.dataset.code === round.dataset.last)) {
    at = Math.max(0, tasks.findIndex((t) => t.closest("details.stop").open));
  }

  // Of places far down the walk only the heading is here: a link leads to their page.
  document.querySelectorAll(".walk a").forEach((link) =>
    link.addEventListener("click", () => {
      document.querySelector(link.hash).closest("details")?.setAttribute("open", "");
    }));

  // On paper everything stands open.
  let folded = [];
  window.addEventListener("beforeprint", () => {
    folded = stops.filter((s) => !s.open);
    folded.forEach((s) => { s.open = true; });
  });
  window.addEventListener("afterprint", () => folded.forEach((s) => { s.open = false; }));

  const mark = (scroll) => {
    tasks.forEach((t, i) => t.classList.toggle("here", i === at));
    if (scroll && tasks[at]) {
      tasks[at].closest("details.stop").open = true;
    }
    if (scroll && tasks[at]) {
      tasks[at].scrollIntoView({ block: "nearest" });
      tasks[at].querySelector("a, button").focus({ preventScroll: true });
    }
  };
  mark(false);

  document.addEventListener("keydown", (event) => {
    if (event.target.closest("input, select, textarea") || event.ctrlKey || event.metaKey || event.altKey || tasks.length === 0) {
      return;
    }
    if (event.key === "ArrowDown" || event.key === "j") {
      at = Math.min(tasks.length - 1, at + 1);
    } else if (event.key === "ArrowUp" || event.key === "k") {
      at = Math.max(0, at - 1);
    } else if (event.key === "d") {
      event.preventDefault();
      const ask = tasks[at].querySelector("details.ask");
      if (ask) {
        ask.open = true;
        ask.querySelector("input:not([type=hidden])").select();
        return;
      }
      const form = tasks[at].querySelector("form");
      (form ? form.querySelector("button") : tasks[at].querySelector("a.button"))?.click();
      return;
    } else if (event.key === "Enter" && !event.target.closest("a, button, summary, form")) {
      tasks[at].querySelector("a").click();
      return;
    } else {
      return;
    }
    event.preventDefault();
    mark(true);
  });
}
