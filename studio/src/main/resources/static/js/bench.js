// The bench: stages open and close; any field or button that names an edit makes it for the selection.
import { sheet, select, ids, changed } from "./sheet.js";
import { edit, fetchBench } from "./server.js";

const bench = document.getElementById("bench");
const arrivals = [];

/**
 * Calls back with each part of the bench that was drawn anew and holds what {@code selector} finds.
 */
export const onBench = (selector, listener) => arrivals.push([selector, listener]);

/**
 * Draws the bench. A part that the server draws as before stays the node it is, where it is: nothing is lost that is
 * being typed, pressed or dragged there.
 */
export function showBench(html) {
  const holder = document.createElement("template");
  holder.innerHTML = html;
  const next = parts(holder.content);
  next.forEach((part) => (part.source = part.outerHTML));
  const now = parts(bench);
  const same = bench.querySelector(".open .stage")?.dataset.stage === holder.content.querySelector(".open .stage").dataset.stage;
  if (same && now.size && next.size) exchange(now, next);
  else bench.replaceChildren(holder.content);
  const fresh = [...next.values()].filter((part) => part.isConnected);
  for (const [selector, listener] of arrivals) {
    for (const part of fresh) {
      const found = part.querySelector(selector);
      if (found) listener(found);
    }
  }
}

function exchange(now, next) {
  const body = bench.querySelector(".stage-body");
  const focused = document.activeElement;
  let after = body.querySelector("[data-part]");
  for (const [name, part] of next) {
    const old = now.get(name);
    if (old?.source === part.source) {
      after = old.nextElementSibling;
    } else if (old) {
      const place = [...old.querySelectorAll("input, button")].indexOf(focused);
      after = old.nextElementSibling;
      old.replaceWith(part);
      if (place >= 0) part.querySelectorAll("input, button")[place]?.focus({ preventScroll: true });
    } else {
      body.insertBefore(part, after);
    }
  }
  for (const [name, old] of now) if (!next.has(name)) old.remove();
}

const parts = (root) => new Map([...root.querySelectorAll("[data-part]")].map((part) => [part.dataset.part, part]));

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
