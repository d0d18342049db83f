// A tick or choice that shows what belongs to it and hides what does not.

export function start(box) {
  const inputs = document.querySelectorAll(`[name="${CSS.escape(box.dataset.shows)}"]`);
  const apply = () => {
    const chosen = [...inputs].find((i) => i.type === "checkbox" || i.checked);
    const value = chosen && chosen.type === "checkbox" ? String(chosen.checked) : chosen?.value;
    box.hidden = value !== box.dataset.when;
  };
  inputs.forEach((i) => i.addEventListener("change", apply));
  apply();
}
