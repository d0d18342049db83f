/**
 * While a plant's name is typed, the guide says what kind it takes it for. The group follows until somebody has chosen one, and
 * only the sorts of piece that the kind can give are asked.
 */
export function start(form) {
  const name = form.querySelector("[name='name.plant']");
  const kind = form.querySelector("[name='name.kind']");
  const group = form.querySelector("[name='name.group']");
  const said = form.querySelector("[data-kind-said]");
  let chosen = group.value !== "";
  let asked = null;
  group.addEventListener("change", () => { chosen = group.value !== ""; });

  async function ask() {
    asked?.abort();
    asked = new AbortController();
    const words = kind.value === "" ? name.value : kind.value === "-" ? "" : kind.selectedOptions[0].text;
    if (words.trim() === "" && kind.value === "") { return; }
    const query = new URLSearchParams({ name: words, group: chosen ? group.value : "" });
    try {
      const answer = await (await fetch(`/stock/kind?${query}`, { signal: asked.signal, headers: { Accept: "application/json" } })).json();
      said.textContent = answer.says;
      if (!chosen && answer.group !== "") { group.value = answer.group; }
      form.querySelectorAll("[data-sort]").forEach((field) => {
        const typed = field.querySelector("input")?.value ?? "";
        field.hidden = !answer.sorts.includes(field.dataset.sort) && typed === "";
      });
    } catch (gone) {
      if (gone.name !== "AbortError") { said.textContent = ""; }
    }
  }
  let wait = 0;
  name.addEventListener("input", () => { clearTimeout(wait); wait = setTimeout(ask, 250); });
  kind.addEventListener("change", ask);
  if (name.value !== "") { ask(); }
}
