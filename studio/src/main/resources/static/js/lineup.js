// The line-up: cards from back to front. A click selects, a drag changes the depth.
import { sheet, select, ids, watch } from "./sheet.js";
import { edit } from "./server.js";

const cards = document.getElementById("cards");
const chip = document.getElementById("paper-chip");
const card = (id) => cards.querySelector(`[data-id="${id}"]`);
let dragged = null;

/** Takes over the changed cards and the order of an answer. */
export function drawCards(answer) {
  for (const part of answer.changed) {
    const holder = document.createElement("template");
    holder.innerHTML = part.card;
    const next = holder.content.firstElementChild;
    const now = card(part.id);
    if (now) now.replaceWith(next);
    else cards.append(next);
  }
  for (const node of cards.querySelectorAll("[data-id]")) if (!answer.order.includes(node.dataset.id)) node.remove();
  const shown = [...cards.querySelectorAll("[data-id]")].map((node) => node.dataset.id);
  if (shown.some((id, i) => id !== answer.order[i])) answer.order.forEach((id) => cards.append(card(id)));
  document.getElementById("count").textContent = answer.count;
  document.getElementById("states").textContent = answer.states;
  paper(answer.paper);
}

function paper(colour) {
  chip.style.background = colour || "";
}

function mark() {
  for (const node of cards.querySelectorAll(".card-panel")) {
    const on = sheet.selected.includes(node.dataset.id);
    node.classList.toggle("chosen", on);
    node.setAttribute("aria-pressed", on);
  }
}

cards.addEventListener("click", (event) => {
  const id = event.target.closest(".card-panel")?.dataset.id;
  if (!id) return;
  const several = event.shiftKey || event.ctrlKey || event.metaKey;
  const rest = sheet.selected.filter((other) => other !== id);
  select(!several ? [id] : rest.length < sheet.selected.length ? rest : [...rest, id]);
});

cards.addEventListener("dragstart", (event) => {
  dragged = event.target.closest(".card-panel")?.dataset.id;
  event.dataTransfer.effectAllowed = "move";
  event.dataTransfer.setData("text/plain", "");
});

function spot(event) {
  const over = event.target.closest(".card-panel");
  if (!dragged || !over || over.dataset.id === dragged) return null;
  const box = over.getBoundingClientRect();
  return { over, after: event.clientX > box.left + box.width / 2 };
}

cards.addEventListener("dragover", (event) => {
  const found = spot(event);
  unmark();
  if (!found) return;
  event.preventDefault();
  found.over.classList.add(found.after ? "drop-after" : "drop-before");
});

cards.addEventListener("drop", (event) => {
  const found = spot(event);
  unmark();
  if (!found) return;
  event.preventDefault();
  const rest = ids().filter((id) => id !== dragged);
  edit({ kind: "restack", panel: dragged, to: rest.indexOf(found.over.dataset.id) + (found.after ? 1 : 0) });
});

cards.addEventListener("dragend", () => {
  unmark();
  dragged = null;
});

function unmark() {
  for (const node of cards.querySelectorAll(".drop-before, .drop-after")) node.classList.remove("drop-before", "drop-after");
}

watch(mark);
watch((what) => {
  if (what === "selection" && sheet.selected.length === 1) card(sheet.selected[0])?.scrollIntoView({ block: "nearest", inline: "nearest" });
});
paper(chip.dataset.colour);
