// Drawing the line-up's cards as the server made them.
import { sheet } from "./sheet.js";

const cards = document.getElementById("cards");
const chip = document.getElementById("paper-chip");

export const card = (id) => cards.querySelector(`[data-id="${id}"]`);

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

function paper(painted) {
  chip.innerHTML = painted && `<svg viewBox="0 0 ${sheet.width} ${sheet.height}" `
      + `preserveAspectRatio="xMidYMid slice" aria-hidden="true">${painted}</svg>`;
}

paper(document.getElementById("ground").innerHTML.trim());
