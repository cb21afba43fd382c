// Drawing the line-up's cards as the server made them.
import { sheet, group, panel, load, ids } from "./sheet.js";

const cards = document.getElementById("cards");
const chip = document.getElementById("paper-chip");

const all = () => [...cards.querySelectorAll(".card-panel")];
export const card = (id) => cards.querySelector(`[data-id="${id}"]`);

/** Takes over the changed cards and the order of an answer; {@code painted} comes to its end when the board has its pictures. */
export function drawCards(answer, painted) {
  const known = here();
  const holder = document.createElement("template");
  for (const part of answer.changed) {
    holder.innerHTML = part.card;
    const next = holder.content.firstElementChild;
    after(painted, glazed(next), glazed(known.get(part.id)));
    known.get(part.id)?.replaceWith(next);
    known.set(part.id, next);
  }
  arrange(known, answer.order);
  document.getElementById("count").textContent = answer.count;
  document.getElementById("states").textContent = answer.states;
  paper(answer.paper);
}

/** Takes over the cards that the page began without; those that an answer brought in the meantime are newer. */
export function addCards(html) {
  const known = here();
  const holder = document.createElement("template");
  holder.innerHTML = html;
  for (const node of holder.content.querySelectorAll(".card-panel")) if (!known.has(node.dataset.id)) known.set(node.dataset.id, node);
  arrange(known, ids());
}

const here = () => new Map(all().map((node) => [node.dataset.id, node]));

/** Has cards, nodes by id, stand in that order of ids; some may still be on their way. */
function arrange(known, order) {
  const there = new Set(order);
  for (const [id, node] of known) if (!there.has(id)) node.remove();
  const wanted = order.filter((id) => known.has(id)).map((id) => known.get(id));
  const now = all();
  if (wanted.length !== now.length || wanted.some((node, i) => node !== now[i])) cards.append(...wanted);
  unroll();
}

const glazed = (node) => node?.querySelector('image[href*="/glazes/"]');

/** What a glaze shows is painted for its card once the board has it; until then the card shows what it did. */
function after(painted, image, shown) {
  const href = image?.getAttribute("href");
  if (!href) return;
  if (shown) image.setAttribute("href", shown.getAttribute("href"));
  else image.removeAttribute("href");
  painted.then(() => image.isConnected && load(image, href));
}

function paper(painted) {
  chip.innerHTML = painted && `<svg viewBox="0 0 ${sheet.width} ${sheet.height}" `
      + `preserveAspectRatio="xMidYMid slice" aria-hidden="true">${painted}</svg>`;
}

/** Where there are very many cards, those in sight and near it are drawn as the board shows them; the others wait. */
function unroll() {
  const nodes = all();
  if (!nodes.some(waits)) return;
  const wide = nodes.length > 1 ? nodes[1].offsetLeft - nodes[0].offsetLeft : cards.clientWidth;
  const from = Math.floor((cards.scrollLeft - cards.clientWidth) / wide);
  for (const node of nodes.slice(Math.max(0, from), from + 3 * Math.ceil(cards.clientWidth / wide) + 2)) {
    if (waits(node) && group(node.dataset.id)) node.firstElementChild.innerHTML = drawing(node.dataset.id);
  }
}

const waits = (node) => !node.firstElementChild.hasChildNodes();

/** A panel's form and layers, without what lies around them. */
function drawing(id) {
  const [left, top, right, bottom] = panel(id).bounds;
  const parts = [...group(id).children].filter((part) => part.matches(`.form, .layers, #clip-${id}, #soft-${id}`));
  const html = parts.map((part) => part.outerHTML).join("").replace(/(id="|url\(#|href="#)(?=\w)/g, "$1card-")
      .replaceAll("data-waits=", "href=");
  return `<svg viewBox="${left} ${top} ${right - left} ${bottom - top}" aria-hidden="true">${html}</svg>`;
}
cards.addEventListener("scroll", unroll, { passive: true });
window.addEventListener("resize", unroll);
unroll();

paper(document.getElementById("ground").innerHTML.trim());
