// The shelf: found, ordered, marked, looked at closer. Which order it has is only how it is shown.
import { sheet, select, watch } from "./sheet.js";
import { edit, ask, preview } from "./server.js";
import { onBench, onSame, clearProblems, problemAt } from "./bench-parts.js";
import { say } from "./notes.js";

const bench = document.getElementById("bench");
const closer = document.getElementById("closer");
const marked = new Set();
let last = null;

const cards = () => [...bench.querySelectorAll(".shelf > li")];
const id = (card) => card.querySelector(".shelf-picture").dataset.picture;

const ORDERS = {
  came: (a, b) => a.came - b.came,
  name: (a, b) => a.dataset.name.localeCompare(b.dataset.name, undefined, { numeric: true }),
  taken: (a, b) => (a.dataset.taken || "9").localeCompare(b.dataset.taken || "9"),
  aspect: (a, b) => a.dataset.aspect - b.dataset.aspect,
  unused: (a, b) => Math.min(1, a.dataset.uses) - Math.min(1, b.dataset.uses),
};

/** The marked pictures as the shelf shows them, or all that it shows. */
export function meant() {
  const shown = cards().filter((card) => !card.hidden).map(id);
  const chosen = shown.filter((one) => marked.has(one));
  return chosen.length ? chosen : shown;
}

/** Width against height of a picture on the shelf. */
export const aspect = (picture) => Number(cards().find((card) => id(card) === picture).dataset.aspect);

/** Whether two proportions differ by more than the eye lets pass. */
export const unlike = (one, other) => Math.abs(one / other - 1) > 0.005;

/** The first of the marked pictures, whatever stage is open. */
export const firstMarked = () => [...marked][0];

export const anyMarked = () => marked.size > 0;

export function unmark() {
  marked.clear();
  show();
}

/** The form for a new series takes the marked pictures from here. */
function series() {
  const chosen = new Set(meant());
  const told = cards().filter((card) => chosen.has(id(card))).map((card) => ({ id: id(card), name: card.dataset.name }));
  sessionStorage.setItem("lantern.marked", JSON.stringify(told));
  window.location = `/series/new?template=${document.body.dataset.sheet}`;
}

function show() {
  for (const card of cards()) card.classList.toggle("marked-one", marked.has(id(card)));
  const row = document.getElementById("marked-row");
  if (!row) return;
  row.hidden = !marked.size;
  row.querySelector("strong").textContent = `${marked.size} marked`;
}

/** Marks a card, or with Shift all from the one before; answers whether the click was for marking. */
function mark(card, event) {
  if (!(event.ctrlKey || event.metaKey || event.shiftKey)) return false;
  const all = cards().filter((other) => !other.hidden);
  const from = all.findIndex((other) => id(other) === last);
  const to = all.indexOf(card);
  if (event.shiftKey && from >= 0) for (const other of all.slice(Math.min(from, to), Math.max(from, to) + 1)) marked.add(id(other));
  else if (!marked.delete(id(card))) marked.add(id(card));
  last = id(card);
  show();
  return true;
}

/** Calls back with the picture of a card that was clicked plainly. */
export function onPicture(listener) {
  bench.addEventListener("click", (event) => {
    const picture = event.target.closest(".shelf-picture");
    if (picture && !mark(picture.closest("li"), event) && event.detail < 2) listener(picture.dataset.picture);
  });
}

bench.addEventListener("click", (event) => {
  const off = event.target.closest("[data-unshelve]");
  if (off) edit({ kind: "unshelve", pictures: [off.dataset.unshelve] });
  if (event.target.closest("[data-unmark]")) unmark();
  if (event.target.closest("[data-series]")) series();
  if (event.target.closest("[data-unshelve-unused]")) {
    const unused = cards().filter((card) => card.dataset.uses === "0").map(id);
    if (unused.length) edit({ kind: "unshelve", pictures: unused });
    else say("All pictures are used.");
  }
});
bench.addEventListener("click", (event) => {
  const closerButton = event.target.closest("[data-closer]");
  if (closerButton) look(closerButton.dataset.closer);
});

/** The picture under the pointer, or the one that has the focus, looked at closer. */
export function closerKey() {
  const card = bench.querySelector(".shelf > li:hover") || document.activeElement?.closest(".shelf > li");
  if (card) look(id(card));
  else say("Point at a picture on the shelf and press l.");
}

onBench(".shelf", () => {
  cards().forEach((card, i) => (card.came = i));
  const there = new Set(cards().map(id));
  for (const one of [...marked]) if (!there.has(one)) marked.delete(one);
  cards().forEach((card) => uses(card, Number(card.dataset.uses)));
  arrange();
  show();
});

onSame("shelf-list", (told) => {
  const counts = JSON.parse(told.dataset.uses);
  for (const card of cards()) if (Number(card.dataset.uses) !== counts[id(card)]) uses(card, counts[id(card)]);
  if (document.getElementById("shelf-order").value === "unused") arrange();
});

function uses(card, count) {
  card.dataset.uses = count;
  const badge = card.querySelector(".shelf-uses");
  badge.hidden = !count;
  badge.textContent = count;
  badge.title = count === 1 ? "Used once" : `Used ${count} times`;
}

/** Orders the shelf and shows what is wanted. */
function arrange() {
  const wanted = document.getElementById("shelf-find").value.trim().toLowerCase();
  const order = document.getElementById("shelf-order").value;
  let none = true;
  for (const card of cards()) {
    card.hidden = !card.dataset.name.toLowerCase().includes(wanted);
    none &&= card.hidden;
  }
  document.getElementById("shelf-none").hidden = !none;
  const sorted = cards().sort(ORDERS[order] || ORDERS.came);
  if (cards().some((card, i) => card !== sorted[i])) sorted[0].parentElement.append(...sorted);
}

bench.addEventListener("input", (event) => event.target.id === "shelf-find" && arrange());
bench.addEventListener("change", (event) => event.target.id === "shelf-order" && arrange());

/** Opens one picture in a window of its own; {@code again} only draws it anew, unless it was closed meanwhile. */
async function look(picture, again = false) {
  try {
    const html = await ask(`/sheets/${sheet.id}/shelf/${picture}`);
    if (again && !closer.open) return;
    closer.firstElementChild.innerHTML = html;
    if (!closer.open) closer.showModal();
  } catch (problem) {
    say(problem.message, { fault: true });
  }
}

closer.addEventListener("click", async (event) => {
  const { picture } = closer.querySelector(".closer")?.dataset || {};
  const user = event.target.closest("[data-user]");
  if (user) {
    closer.close();
    select([user.dataset.user]);
    return;
  }
  const board = event.target.closest(".closer-picture svg");
  if (board && closer.querySelector("#clear").closest("details").open) {
    sample(board, event);
    return;
  }
  const confirm = event.target.closest("[data-confirm]");
  let focal = null;
  if (board) {
    const box = board.getBoundingClientRect();
    const { width, height } = board.viewBox.baseVal;
    const scale = Math.min(box.width / width, box.height / height);
    const at = (value, start, size, pixels) => Math.max(0, Math.min(1, ((value - start) - (size - pixels * scale) / 2) / (pixels * scale)));
    focal = { x: at(event.clientX, box.left, box.width, width), y: at(event.clientY, box.top, box.height, height) };
  } else if (confirm) {
    focal = { x: Number(confirm.dataset.x), y: Number(confirm.dataset.y) };
  } else if (!event.target.closest("[data-no-focal]")) {
    return;
  }
  if (await edit({ kind: "set-focal", picture, ...focal })) look(picture, true);
});

/** Takes the colour of the picture under the pointer as the background that goes. */
function sample(board, event) {
  const image = new Image();
  image.onload = () => {
    const point = new DOMPoint(event.clientX, event.clientY).matrixTransform(board.getScreenCTM().inverse());
    const g = new OffscreenCanvas(1, 1).getContext("2d");
    const { width, height } = board.viewBox.baseVal;
    g.drawImage(image, -point.x / width * image.width, -point.y / height * image.height);
    const [r, green, b] = g.getImageData(0, 0, 1, 1).data;
    const hex = `#${[r, green, b].map((v) => v.toString(16).padStart(2, "0")).join("")}`.toUpperCase();
    const form = document.getElementById("clear");
    form.colour.value = hex;
    form.querySelector("rect").setAttribute("fill", hex);
  };
  image.src = `/pictures/${closer.querySelector(".closer").dataset.picture}/medium`;
}

/** What the split form asks for. */
function split(form) {
  const kind = form.kind.value;
  const fields = [...form.querySelectorAll(`[data-kind="${kind}"] input`)].map((input) => [input.name, input.type === "checkbox"
      ? input.checked : input.value]);
  return { kind: "split-picture", picture: closer.querySelector(".closer").dataset.picture, whole: form.whole.value === "true",
      pattern: { kind, ...Object.fromEntries(fields) } };
}

async function saySplit(form) {
  for (const group of form.querySelectorAll("[data-kind]")) group.hidden = group.dataset.kind !== form.kind.value;
  clearProblems(form);
  const says = document.getElementById("split-says");
  try {
    says.textContent = (await preview(split(form))).says;
  } catch (problem) {
    if (!problem.message) throw problem;
    says.textContent = "";
    problemAt(form, problem.field || "pattern", problem.message);
  }
}

closer.addEventListener("input", (event) => event.target.form?.id === "split" && saySplit(event.target.form));
closer.addEventListener("toggle", (event) => event.target.open && event.target.querySelector("#split")
    && saySplit(event.target.querySelector("#split")), true);
closer.addEventListener("submit", async (event) => {
  const { picture } = closer.querySelector(".closer")?.dataset || {};
  if (event.target.id === "clear") {
    event.preventDefault();
    clearProblems(event.target);
    const { colour, tolerance, softness } = event.target;
    if (await edit({ kind: "clear-background", picture, colour: colour.value, tolerance: tolerance.value, softness: softness.value },
        event.target)) look(picture, true);
  }
  if (event.target.id !== "split") return;
  event.preventDefault();
  if (await edit(split(event.target), event.target)) closer.close();
});
closer.addEventListener("click", async (event) => {
  const { picture } = closer.querySelector(".closer")?.dataset || {};
  const form = event.target.closest(".closer .forms button");
  if (form && await edit({ kind: "frame-picture", picture, ...JSON.parse(form.dataset.args) })) closer.close();
  if (event.target.closest("[data-over]")
      && await edit({ kind: "frame-picture", picture, over: true, locked: document.getElementById("over-locked").checked })) closer.close();
  if (event.target.closest("[data-float]") && await edit({ kind: "frame-picture", picture })) closer.close();
  if (event.target.closest("[data-whole]") && await edit({ kind: "clear-background", picture })) look(picture, true);
  if (!event.target.closest("[data-replace]")) return;
  const by = document.getElementById("replace-by").value;
  if (!await edit({ kind: "replace-picture", picture, by })) return;
  closer.close();
  if (unlike(aspect(picture), aspect(by))) say("It has other proportions: the same frames are covered by its middle.");
});

watch((what) => what === "stage" && closer.close());
