// Dealing pictures to panels: looked at on the board first, then made or left.
import { sheet, panel, remember, drawPreview, watch } from "./sheet.js";
import { edit, preview } from "./server.js";
import { onBench, problemAt, clearProblems } from "./bench-parts.js";
import { extra, redraw } from "./marks.js";
import { meant } from "./shelf.js";
import { svg } from "./geometry.js";
import { view } from "./view.js";

let shown = null;

const form = () => document.getElementById("deal");

function wanted() {
  const { to, use, inOrder } = form();
  return { kind: "deal", to: to.value, use: use.value, inOrder: inOrder.checked, panels: sheet.selected, pictures: meant() };
}

async function look() {
  put();
  clearProblems(form());
  const what = wanted();
  try {
    const { changed, deal } = await preview(what);
    shown = { what, back: remember(changed.map(({ id }) => id)) };
    for (const part of changed) drawPreview(part.id, part.board);
    redraw();
    extra(...deal.rows.map(loss));
    say(deal);
  } catch (problem) {
    if (!problem.message) throw problem;
    problemAt(form(), problem.field || "to", problem.message);
  }
}

function loss({ panel: id, cut }) {
  const { x, y } = panel(id).seat.centre;
  return svg("text", { class: "loss", x, y, "font-size": 12 / view.scale, "stroke-width": 3.5 / view.scale, "text-anchor": "middle",
      "dominant-baseline": "middle" }, cut);
}

function say(deal) {
  form().querySelector("[data-deal]").textContent = deal ? "Deal them" : "Look at it";
  form().querySelector("[data-deal-off]").hidden = !deal;
  document.getElementById("deal-says").textContent = deal?.says || "";
  document.getElementById("deal-rows").replaceChildren(...(deal?.rows || []).map(({ name, picture, cut, ppi }) => {
    const row = document.createElement("li");
    for (const text of [name, picture, ppi ? `${cut}, ${ppi}` : cut]) {
      const cell = document.createElement("span");
      cell.textContent = text;
      cell.title = text;
      row.append(cell);
    }
    return row;
  }));
}

/** Puts the board back as it was before the look. */
export function put() {
  if (!shown) return false;
  const { back } = shown;
  shown = null;
  back();
  extra();
  if (form()) say(null);
  redraw();
  return true;
}

onBench("#deal", (node) => {
  shown = null;
  node.addEventListener("submit", async (event) => {
    event.preventDefault();
    if (!shown) return look();
    const { what } = shown;
    shown = null;
    extra();
    say(null);
    await edit(what);
  });
  node.addEventListener("change", () => shown && look());
  node.querySelector("[data-deal-off]").addEventListener("click", put);
});

watch((what) => (what === "stage" || what === "selection") && put());
window.addEventListener("keydown", (event) => event.key === "Escape" && put() && event.stopImmediatePropagation(), true);
