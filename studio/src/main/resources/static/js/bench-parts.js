// Drawing the bench: its parts come from the server; problems are shown at their fields.
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
  fresh.forEach(remember);
  for (const [selector, listener] of arrivals) {
    for (const part of fresh) {
      const found = part.querySelector(selector);
      if (found) listener(found);
    }
  }
}

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
    if (kept.has(key) && !radios.length) place.value = kept.get(key);
    for (const radio of radios) if (radio.value === kept.get(key)) radio.checked = true;
    place.addEventListener("change", (event) => keep(key, event.target.value));
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
  const scope = where.closest("form, section, details") || where;
  const input = where.matches("input") ? where : scope.querySelector(`[name="${field}"], [data-field="${field}"], [data-number="${field}"], [data-margin="${field}"], [data-radius]`);
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
