// Problems, each at its field.

/** Shows what is wrong at the fields of a form; a problem whose field it does not have stands at its end. */
export function atFields(form, problems) {
  for (const node of form.querySelectorAll("[data-problem]")) node.textContent = "";
  for (const { field, message } of problems) {
    const place = form.querySelector(`[data-problem="${field ?? ""}"]`) ?? form.querySelector('[data-problem=""]');
    place.textContent = message;
    place.scrollIntoView({ block: "nearest" });
  }
}
