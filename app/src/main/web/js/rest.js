// A long list comes with what a screen holds; the rest is fetched on once that is there.

export async function start(table) {
  const answer = await fetch(table.dataset.rest, { headers: { Accept: "text/html" } }).catch(() => null);
  if (!answer || !answer.ok || answer.redirected) {
    // The link to all of them stays.
    return;
  }
  const text = await answer.text();
  const rows = [...new DOMParser().parseFromString(`<table>${text}</table>`, "text/html").querySelectorAll("tr")];
  table.tBodies[0].append(...rows);
  document.getElementById(`${table.id}-rest`)?.remove();
  table.dispatchEvent(new Event("grown"));
  // Somebody may have asked for a place farther down.
  const wanted = location.hash && document.getElementById(decodeURIComponent(location.hash.slice(1)));
  if (wanted && rows.some((row) => row.contains(wanted))) {
    wanted.scrollIntoView();
  }
  const ribbons = rows.flatMap((row) => [...row.querySelectorAll("[data-ribbon]")]);
  if (ribbons.length > 0) {
    const { start: draw } = await import("./ribbon.js");
    ribbons.forEach(draw);
  }
}
