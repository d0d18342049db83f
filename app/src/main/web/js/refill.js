// A small form on a sheet that was refused: what was typed is put back, and the reason stands below, under the name of the field.

export function start(holder) {
  const { form: address, field, why, values } = JSON.parse(holder.dataset.typed);
  const form = [...document.forms].find((f) => new URL(f.action).pathname === address && [...f.elements].some((e) => shown(e)));
  if (!form) {
    return;
  }
  const seen = new Map();
  for (const element of [...form.elements].filter((e) => shown(e) && e.name in values)) {
    // Fields of one name stand in rows: the first value belongs to the first of them.
    const nth = seen.get(element.name) ?? 0;
    seen.set(element.name, nth + 1);
    if (element.type === "checkbox" || element.type === "radio") {
      element.checked = values[element.name].includes(element.value);
    } else {
      element.value = values[element.name][nth] ?? values[element.name][0];
    }
  }
  for (let fold = form.closest("details"); fold; fold = fold.parentElement.closest("details")) {
    fold.open = true;
  }
  const found = form.elements.namedItem(field);
  const wrong = found instanceof RadioNodeList ? found[0] : found;
  if (wrong instanceof HTMLElement && shown(wrong)) {
    const label = wrong.labels?.[0]?.textContent ?? wrong.getAttribute("aria-label") ?? field;
    const reason = document.createElement("p");
    reason.className = "error whole-row";
    reason.id = `${wrong.id}-refused`;
    reason.textContent = `${label}: ${why}`;
    wrong.setAttribute("aria-invalid", "true");
    wrong.setAttribute("aria-describedby", reason.id);
    form.append(reason);
    wrong.focus();
  }
}

const shown = (element) => element.name && element.type !== "hidden" && element.tagName !== "BUTTON";
