// The line-up: cards from back to front. A click selects, a drag changes the depth.
import { sheet, select, ids, watch } from "./sheet.js";
import { edit, ask, sure } from "./server.js";
import { addCards, card } from "./cards.js";
import { say } from "./notes.js";

const cards = document.getElementById("cards");
let dragged = null;

/** A page of very many elements begins with some of their cards; the others come when it is there. */
async function rest() {
  try {
    addCards(await sure(() => ask(`/sheets/${sheet.id}/cards`)));
    mark();
  } catch (problem) {
    say(problem.message, { fault: true });
  }
}
if (cards.querySelectorAll(".card-panel").length < ids().length) window.addEventListener("load", rest);

function mark() {
  const chosen = new Set(sheet.selected);
  for (const node of cards.querySelectorAll(".card-panel")) {
    const on = chosen.has(node.dataset.id);
    if (on === (node.ariaPressed === "true")) continue;
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
