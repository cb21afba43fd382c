// The bench: stages open and close; any field or button that names an edit makes it for the selection.
import { sheet, select, ids, changed } from "./sheet.js";
import { edit, fetchBench } from "./server.js";

const bench = document.getElementById("bench");
const arrivals = [];

/** Calls back whenever the bench was drawn anew. */
export const onBench = (listener) => arrivals.push(listener);

/** Draws the bench, keeping scroll, what is being typed elsewhere, and the keyboard's place. */
export function showBench(html) {
  const kept = typed();
  const scroll = bench.scrollTop;
  const place = [...bench.querySelectorAll("input, button, select, a")].indexOf(document.activeElement);
  bench.innerHTML = html;
  for (const [form, values] of kept) {
    const now = document.getElementById(form);
    if (now) for (const [name, value] of values) if (now.elements[name]) now.elements[name].value = value;
  }
  bench.scrollTop = scroll;
  if (place >= 0) bench.querySelectorAll("input, button, select, a")[place]?.focus({ preventScroll: true });
  arrivals.forEach((listener) => listener());
}

/** What stands in the bench's forms that people may be in the middle of. */
function typed() {
  return [...bench.querySelectorAll("form")].map((form) => [form.id,
    [...form.elements].filter((e) => e.name && (e.type === "text") && e.value !== e.defaultValue).map((e) => [e.name, e.value])]);
}

/** Shows a message at the field it belongs to; false where there is no such field. */
export function problemAt(where, field, message) {
  const scope = where.closest("form, section") || where;
  const input = where.matches("input") ? where : scope.querySelector(`[name="${field}"], [data-field="${field}"], [data-radius]`);
  let place = [...scope.querySelectorAll("[data-problem]")].find((e) => e.dataset.problem.split(" ").includes(field));
  if (!place && input) {
    place = input.parentElement.querySelector(".problem") || document.createElement("em");
    place.className = "problem";
    place.setAttribute("role", "alert");
    (input.closest(".field, .slide") || input.parentElement).append(place);
  }
  if (!place) return false;
  place.textContent = message;
  input?.classList.add("wrong");
  return true;
}

export function clearProblems(where) {
  for (const place of where.querySelectorAll(".problem")) place.textContent = "";
  for (const input of where.querySelectorAll(".wrong")) input.classList.remove("wrong");
}

export function openStage(stage, remember = true) {
  if (stage === sheet.stage) return;
  sheet.stage = stage;
  document.body.dataset.stage = stage;
  if (remember) history.pushState({ stage }, "", `?stage=${stage}`);
  bench.scrollTop = 0;
  if (stage === "settle") select(sheet.selected.slice(0, 1).length ? sheet.selected : []);
  changed("stage");
  fetchBench();
}

/** The next or previous panel, round and round. */
export function step(by) {
  const all = ids();
  if (!all.length) return;
  const at = all.indexOf(sheet.selected[0]);
  select([all[at < 0 ? (by > 0 ? 0 : all.length - 1) : (at + by + all.length) % all.length]]);
}

function target(name) {
  return name === "rename" ? { panel: sheet.selected[0] } : { panels: sheet.selected };
}

bench.addEventListener("click", (event) => {
  const stage = event.target.closest(".stage");
  if (stage) openStage(stage.dataset.stage);
  const button = event.target.closest("button[data-edit]");
  if (!button) return;
  const args = JSON.parse(button.dataset.args || "{}");
  edit({ kind: button.dataset.edit, ...(button.dataset.edit === "add-panel" ? {} : target(button.dataset.edit)), ...args }, button);
});

bench.addEventListener("change", (event) => {
  const field = event.target;
  if (field.matches("input[data-edit]")) {
    clearProblems(field.closest("section"));
    edit({ kind: field.dataset.edit, ...target(field.dataset.edit), [field.dataset.field]: field.value }, field);
  }
  if (field.matches("[data-radius]")) radii(field);
  if (field.matches("#held")) edit({ kind: "hold-covered", panels: sheet.selected, held: field.checked }, field);
  if (field.matches("#paper-colour")) edit({ kind: "set-paper", paper: { kind: "plain", colour: field.value } }, field);
  if (field.matches("#paper-none")) {
    edit({ kind: "set-paper", paper: field.checked ? { kind: "none" } : { kind: "plain", colour: document.getElementById("paper-colour").value } }, field);
  }
});

/** Escape in a field puts back what stood there. */
bench.addEventListener("keydown", (event) => {
  const field = event.target;
  if (event.key === "Enter" && field.matches("input[data-edit], [data-radius]")) field.blur();
  if (event.key !== "Escape" || !field.matches("input")) return;
  field.value = field.defaultValue;
  field.blur();
  event.stopPropagation();
});

function radii(field) {
  const group = field.closest("section");
  const alike = group.querySelector("[data-same-radii]").checked;
  const outline = { kind: "rectangle" };
  for (const input of group.querySelectorAll("[data-radius]")) outline[input.dataset.radius] = alike ? field.value : input.value;
  clearProblems(group);
  edit({ kind: "set-outline", panels: sheet.selected, outline }, field);
}

window.addEventListener("popstate", () => openStage(new URLSearchParams(location.search).get("stage") || "arrange", false));
