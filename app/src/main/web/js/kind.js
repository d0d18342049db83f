/**
 * While a plant's name is typed, the guide says what kind it takes it for and, where several are called so, which may be chosen. The
 * group follows until somebody has chosen one, and only the sorts of piece that the kind can give are asked.
 */
export function start(form) {
  const name = form.querySelector("[name='name.plant']");
  const group = form.querySelector("[name='name.group']");
  const said = form.querySelector("[data-kind-said]");
  const choices = form.querySelector("[data-kind-choices]");
  const [byName, none] = [choices.firstElementChild, choices.lastElementChild];
  let chosen = group.value !== "";
  let asked = null;
  group.addEventListener("change", () => {
    chosen = group.value !== "";
    ask();
  });

  const kind = () => choices.querySelector("input:checked")?.value ?? "";

  function choice(option) {
    const label = document.createElement("label");
    label.className = "tick";
    const radio = Object.assign(document.createElement("input"), { type: "radio", name: "name.kind", value: option.key });
    radio.checked = option.key === kind();
    const latin = Object.assign(document.createElement("em"), { className: "small", textContent: option.latin });
    const words = document.createElement("span");
    words.append(`${option.title} `, latin);
    label.append(radio, words);
    return label;
  }

  function offer(options, taken) {
    const shown = [...choices.querySelectorAll("label")].slice(1, -1);
    const kept = shown.filter((l) => l.querySelector("input").checked);
    const wanted = taken ? [] : options.filter((o) => o.key !== kind());
    const fresh = wanted.map(choice);
    shown.filter((l) => !kept.includes(l)).forEach((l) => l.remove());
    none.before(...fresh);
  }

  async function ask() {
    asked?.abort();
    asked = new AbortController();
    const chosenKind = kind() === "-" ? "" : kind();
    const words = kind() === "" ? name.value : "";
    if (words.trim() === "" && kind() === "") { return; }
    const query = new URLSearchParams({ name: words, group: chosen && chosenKind === "" ? group.value : "", chosen: chosenKind });
    try {
      const answer = await (await fetch(`/stock/kind?${query}`, { signal: asked.signal, headers: { Accept: "application/json" } })).json();
      said.textContent = answer.says;
      if (kind() === "") { offer(answer.choices, answer.kind !== ""); }
      if (!chosen) { group.value = answer.group; }
      form.querySelectorAll("[data-sort]").forEach((field) => {
        const typed = field.querySelector("input")?.value ?? "";
        field.hidden = !(field.dataset.sort in answer.sorts) && typed === "";
        const words = answer.sorts[field.dataset.sort];
        if (words) { field.querySelector("label").textContent = words; }
      });
    } catch (gone) {
      if (gone.name !== "AbortError") { said.textContent = ""; }
    }
  }
  let wait = 0;
  name.addEventListener("input", () => {
    byName.querySelector("input").checked = true;
    clearTimeout(wait);
    wait = setTimeout(ask, 250);
  });
  choices.addEventListener("change", ask);
  if (name.value !== "") { ask(); }
}
