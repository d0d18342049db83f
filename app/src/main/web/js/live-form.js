// A form that answers as soon as something in it is changed, without a press of its button.

export function start(form) {
  form.addEventListener("change", () => {
    if (form.checkValidity()) {
      form.requestSubmit();
    }
  });
}
