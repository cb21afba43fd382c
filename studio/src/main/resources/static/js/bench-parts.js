// Drawing the bench: its parts come from the server; problems are shown at their fields.
import { sheet } from "./sheet.js";

const bench = document.getElementById("bench");
const arrivals = [];

/**
 * Calls back with each part of the bench that was drawn anew and holds what {@code selector} finds.
 */
export const onBench = (selector, listener) => arrivals.push([selector, listener]);

/** The drawing that waits until a press on the bench has ended: a button that is drawn anew under the pointer would not be clicked. */
let waiting = null;
let pressed = false;
bench.addEventListener("pointerdown", () => (pressed = true));
for (const end of ["pointerup", "pointercancel"]) {
  window.addEventListener(end, () => setTimeout(() => {
    pressed = false;
    waiting?.();
    waiting = null;
  }), true);
}

/**
 * Draws the bench, as soon as nothing on it is pressed. A part that the server draws as before stays the node it is, where
 * it is: nothing is lost that is being typed or dragged there. Calls {@code more} where it needs to know more.
 */
export function showBench(html, more) {
  waiting = null;
  const draw = () => drawn(html) || more();
  if (pressed) waiting = draw;
  else draw();
}

/** False where a part is told to be as before that is not there. */
function drawn(html) {
  const holder = document.createElement("template");
  holder.innerHTML = html;
  const next = parts(holder.content);
  const now = parts(bench);
  const same = bench.querySelector(".open .stage")?.dataset.stage === holder.content.querySelector(".open .stage").dataset.stage;
  // A part that is told to be the same as before stays; where there is none, all must be asked for.
  for (const [name, part] of next) if ("same" in part.dataset && !(same && now.has(name))) return false;
  next.forEach((part) => (part.source = part.outerHTML));
  if (same && now.size && next.size) arrived(exchange(now, next));
  else {
    bench.replaceChildren(holder.content);
    arrived([...next.values()]);
  }
  for (const [name, part] of next) if ("same" in part.dataset) kin.get(name)?.(part);
  return true;
}

function arrived(fresh) {
  fresh.forEach(remember);
  for (const [selector, listener] of arrivals) {
    for (const part of fresh) {
      const found = part.querySelector(selector);
      if (found) listener(found);
    }
  }
}

const kin = new Map();

/** Calls back when a part stays as it is, with what is told about it. */
export const onSame = (name, listener) => kin.set(name, listener);

/** What a person opened or typed that belongs to no panel stays when its part is drawn anew. */
const kept = new Map(JSON.parse(sessionStorage.getItem("lantern.bench") || "[]"));

function keep(key, value) {
  kept.set(key, value);
  sessionStorage.setItem("lantern.bench", JSON.stringify([...kept]));
}

function remember(part) {
  if (part.matches("details")) {
    part.open = Boolean(kept.get(`open ${part.dataset.part}`));
    part.addEventListener("toggle", () => keep(`open ${part.dataset.part}`, part.open));
  }
  for (const place of part.querySelectorAll("[data-keep]")) {
    const { keep: key } = place.dataset;
    const radios = place.querySelectorAll("[type=radio]");
    if (place.type === "checkbox") place.checked = kept.has(key) ? kept.get(key) : place.checked;
    else if (kept.has(key) && !radios.length) place.value = kept.get(key);
    for (const radio of radios) if (radio.value === kept.get(key)) radio.checked = true;
    place.addEventListener("change", ({ target }) => keep(key, target.type === "checkbox" ? target.checked : "length" in place.dataset
        ? measured(target.value) : target.value));
  }
}

/** A length that was typed as it is meant, on a sheet in another unit, too. */
const measured = (text) => (/^\s*[-+−]?[\d.,]+\s*$/.test(text) ? `${text.trim()} ${sheet.unit}` : text);

/** Draws what differs and returns that. */
function exchange(now, next) {
  const body = bench.querySelector(".stage-body");
  const fresh = [];
  let after = body.querySelector("[data-part]");
  for (const [name, part] of next) {
    const old = now.get(name);
    if (old) {
      after = old.nextElementSibling;
      if (old.source === part.source || "same" in part.dataset) continue;
      inherit(old, part);
    } else {
      body.insertBefore(part, after);
    }
    fresh.push(part);
  }
  for (const [name, old] of now) if (!next.has(name)) old.remove();
  return fresh;
}

/** Puts a part in the place of an old one; who was in a field or on a button goes on in the same one. */
function inherit(old, part) {
  const focused = document.activeElement;
  const heir = old.contains(focused) ? alike(old, part, focused) : undefined;
  old.after(part);
  // What is closed takes no focus.
  if (part.matches("details")) part.open = old.open;
  if (heir?.matches("textarea, [type=text], input:not([type])")) stay(focused, heir);
  else heir?.focus({ preventScroll: true });
  old.remove();
}

/** A field that someone is in takes the place of its heir with what is being typed there, or else with the heir's value. */
function stay(field, heir) {
  const { selectionStart: start, selectionEnd: end, value } = field;
  for (const { name, value: now } of heir.attributes) field.setAttribute(name, now);
  if (!typed.has(field)) field.value = heir.value;
  const all = start === 0 && end === value.length;
  // Where the browser cannot move it as it stands, it is entered again.
  if (heir.parentNode.moveBefore) heir.parentNode.moveBefore(field, heir);
  else heir.before(field);
  heir.remove();
  if (document.activeElement !== field) field.focus({ preventScroll: true });
  field.setSelectionRange(start, all ? field.value.length : end);
}

/** What tells a field or button from the others of its part, whatever its value. */
const identity = ({ tagName, id, name, dataset: { args, ...data } }) => JSON.stringify([tagName, id, name, data]);

/** The same field or button in a part drawn anew; none where that part has another set of its kind. */
function alike(old, part, focused) {
  const [before, now] = [old, part].map((where) => [...where.querySelectorAll("input, button, select, textarea")].filter((field) =>
      identity(field) === identity(focused)));
  return before.length === now.length ? now[before.indexOf(focused)] : undefined;
}

/** Fields that hold what nobody has sent yet. */
const typed = new WeakSet();
bench.addEventListener("input", ({ target }) => typed.add(target));
bench.addEventListener("change", ({ target }) => typed.delete(target), true);

const parts = (root) => new Map([...root.querySelectorAll("[data-part]")].map((part) => [part.dataset.part, part]));

/** Shows a message at the field it belongs to; false where there is no such field. */
export function problemAt(where, field, message) {
  const scope = where.closest("form, section, details") || where;
  const input = where.matches("input") ? where : scope.querySelector(`[name="${field}"], [data-field="${field}"], `
      + `[data-number="${field}"], [data-margin="${field}"], [data-radius]`);
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
