// The browser knows in which zone it is: chosen beforehand where the page does not know better.

export function start(form) {
  const zone = Intl.DateTimeFormat().resolvedOptions().timeZone;
  const field = form.querySelector("[name=zone]");
  if (!zone || !field) {
    return;
  }
  if (field instanceof HTMLSelectElement) {
    const option = [...field.options].find((o) => o.value === zone);
    if (option) {
      option.selected = true;
    }
  } else {
    field.value = zone;
  }
}
