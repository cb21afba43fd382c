// Combining forms: at once, or region by region: all the pieces into which they part each other, chosen and joined on the board.
import { sheet, watch } from "./sheet.js";
import { toSheet, view } from "./view.js";
import { edit, askForm } from "./server.js";
import { above } from "./marks.js";
import { svg } from "./geometry.js";
import { hold, release, tool } from "./tools.js";
import { say } from "./notes.js";
import { onBench } from "./bench-parts.js";

const thin = { "vector-effect": "non-scaling-stroke" };
const SHADES = 8;
const bench = document.getElementById("bench");
let regions = [];
/** The piece that each region belongs to; null where it is left out. */
let pieces = [];
let of = [];

const on = () => tool.name === "regions";

/** The pieces as lists of regions, in the order of their first ones. */
const groups = () => [...new Set(pieces.filter((piece) => piece !== null))].map((piece) => pieces.flatMap((p, i) => (p === piece ? [i]
        : [])));

function show() {
  if (!on()) return;
  const all = groups();
  const numbers = all.map((group, i) => {
    const largest = group.reduce((best, r) => (regions[r].area > regions[best].area ? r : best), group[0]);
    const { at } = regions[largest];
    const label = svg("text", { class: "region-number", x: at.x, y: at.y + 5 / view.scale, "text-anchor": "middle",
        "font-size": 14 / view.scale, "stroke-width": 4 / view.scale });
    label.textContent = i + 1;
    return label;
  });
  const shade = (i) => (pieces[i] === null ? "region left-out" : `region region-${all.findIndex((group) => group.includes(i)) % SHADES}`);
  above(...regions.map(({ d }, i) => svg("path", { class: shade(i), d, "fill-rule": "evenodd", ...thin })), ...numbers);
  const count = document.getElementById("regions-count");
  if (count) count.textContent = all.length === 1 ? "One panel" : `${all.length} panels`;
}

/** The region at a place on the sheet, by the very forms that are drawn; −1 for none. */
function under(at) {
  const { x, y } = toSheet(at);
  return [...document.querySelectorAll("#marks .region")].findIndex((node) => node.isPointInFill(new DOMPoint(x, y)));
}

function press(event, at) {
  const first = under(at);
  if (first < 0) return { move() {}, end: (moved) => moved || release(), cancel() {} };
  const was = [...pieces];
  if (event.altKey) pieces[first] = null;
  else pieces[first] ??= Math.max(-1, ...pieces) + 1;
  show();
  return {
    move(_, place) {
      const here = under(place);
      if (event.altKey) {
        if (here >= 0) pieces[here] = null;
      } else if (here >= 0 && pieces[here] !== pieces[first]) {
        const [from, into] = [pieces[here], pieces[first]];
        pieces = pieces.map((piece, i) => (i === here || from !== null && piece === from ? into : piece));
      } else return;
      show();
    },
    end() {},
    cancel() {
      pieces = was;
      show();
    },
  };
}

async function open() {
  if (on()) return release();
  of = [...sheet.selected];
  try {
    regions = await askForm(`/sheets/${sheet.id}/regions`, { panels: of });
  } catch (problem) {
    return say(problem.message, { fault: true });
  }
  pieces = regions.map((_, i) => i);
  hold({ name: "regions", press, cursor: "regions", release: mark });
  mark();
  show();
}

async function make() {
  const made = groups();
  release();
  await edit({ kind: "make-regions", panels: of, groups: made });
}

function mark() {
  document.getElementById("regions")?.setAttribute("aria-pressed", on());
  const part = document.getElementById("regions-open");
  if (!part) return;
  part.hidden = !on();
  document.getElementById("combine-ways").hidden = on();
}

window.addEventListener("keydown", (event) => {
  if (!on() || event.key !== "Enter" || event.target.matches("input, textarea, select, button")) return;
  event.preventDefault();
  make();
}, true);
bench.addEventListener("click", ({ target }) => {
  const button = target.closest("button");
  if (button?.dataset.combine) edit({ kind: "combine", panels: sheet.selected, how: button.dataset.combine, key: sheet.key || "" });
  if (button?.id === "regions") open();
  if (button?.id === "make-regions") make();
  if (button?.id === "leave-regions") release();
});
onBench("#regions-open", mark);
watch((what) => {
  if (what === "sheet" && on()) release();
  if (what === "selection" && on() && of.join() !== sheet.selected.join()) release();
  if (what === "view") show();
});
