// Walking the round by keyboard: arrows or j and k move, d does the task whole, Enter opens the batch.

export function start(round) {
  const tasks = [...round.querySelectorAll(".task")];
  let at = Math.max(0, tasks.findIndex((t) => t.dataset.code === round.dataset.last));

  const mark = (scroll) => {
    tasks.forEach((t, i) => t.classList.toggle("here", i === at));
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
      const form = tasks[at].querySelector("form");
      (form ? form.querySelector("button") : tasks[at].querySelector("a.button"))?.click();
      return;
    } else if (event.key === "Enter" && !event.target.closest("a, button, summary")) {
      tasks[at].querySelector("a").click();
      return;
    } else {
      return;
    }
    event.preventDefault();
    mark(true);
  });
}
