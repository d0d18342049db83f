// Work that goes on behind a page: asks how far it is, and shows the page anew when it is done.

const EVERY_MS = 1500;

export function start(section) {
  const percent = section.querySelector("[data-percent]");
  const ask = async () => {
    try {
      const answer = await fetch(section.dataset.progress, { headers: { Accept: "application/json" } });
      const { busy, percent: done } = await answer.json();
      if (!busy) {
        location.reload();
        return;
      }
      percent.textContent = done > 0 ? `, ${done}%` : "";
    } catch {
      // The connection is gone for a moment; the work goes on without it.
    }
    setTimeout(ask, EVERY_MS);
  };
  setTimeout(ask, EVERY_MS);
}
