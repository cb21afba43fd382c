// Patterns: the gallery opens a form; its numbers show themselves on the board while they change.
import { sheet, select, watch } from "./sheet.js";
import { toSheet } from "./view.js";
import { askForm, edit, preview } from "./server.js";
import { onBench, clearProblems, problemAt } from "./bench-parts.js";
import { extra } from "./marks.js";
import { svg } from "./geometry.js";
import { hold, release, tool } from "./tools.js";
import { catcher } from "./snaps.js";

const thin = { "vector-effect": "non-scaling-stroke" };
const bench = document.getElementById("bench");
const board = document.getElementById("board");
let form = null;
let area = null;
let merged = [];
let lines = null;
let timer = 0;
let shows = 0;

/** Opens the form of a pattern; "again" means the one that the selection came from. */
async function open(kind) {
  const html = await askForm(`/sheets/${sheet.id}/patterns/${kind}`, { selected: sheet.selected });
  const place = document.getElementById("pattern-open");
  if (!place) return;
  place.innerHTML = html;
  form = place.firstElementChild;
  area = null;
  merged = form.dataset.merged ? JSON.parse(form.dataset.merged) : null;
  place.hidden = false;
  document.getElementById("pattern-gallery").hidden = true;
  form.scrollIntoView({ block: "nearest" });
  form.addEventListener("input", later);
  form.addEventListener("change", later);
  form.addEventListener("submit", (event) => {
    event.preventDefault();
    lay();
  });
  form.addEventListener("click", (event) => {
    if (event.target.closest("[data-close]")) close();
    if (event.target.closest("[data-seed]")) seed();
    if (event.target.closest("[data-area]")) frame();
  });
  cells();
  show();
  form.querySelector("input")?.select();
}

export function close() {
  if (!form) return false;
  form = null;
  clearTimeout(timer);
  const place = document.getElementById("pattern-open");
  if (place) {
    place.replaceChildren();
    place.hidden = true;
    document.getElementById("pattern-gallery").hidden = false;
  }
  board.classList.remove("replacing");
  release();
  extra();
  return true;
}

function wanted() {
  const pattern = { kind: form.dataset.kind };
  for (const field of form.querySelectorAll("[data-number]")) pattern[field.dataset.number] = field.value;
  for (const field of form.querySelectorAll("[data-switch]")) pattern[field.dataset.switch] = field.checked;
  if (merged) pattern.merged = merged.filter((m) => m.row + m.rows <= Number(pattern.rows)
      && m.column + m.columns <= Number(pattern.columns));
  const where = form.dataset.again === "true" ? "again" : new FormData(form).get("where") || "replace";
  const margins = {};
  for (const field of form.querySelectorAll("[data-margin]")) margins[field.dataset.margin] = field.value;
  const inside = where === "inside" || area;
  return { kind: "lay-out", pattern, where, panels: sheet.selected,
    margins: inside || !Object.keys(margins).length ? null : margins, area: where === "inside" ? null : area };
}

function later() {
  clearTimeout(timer);
  timer = setTimeout(show, 70);
}

async function show() {
  if (!form) return;
  const mine = form;
  // An earlier question may be answered later: only the latest counts.
  const asked = ++shows;
  clearProblems(form);
  const says = document.getElementById("pattern-says");
  for (const part of form.querySelectorAll("[data-margins]")) part.hidden = Boolean(area) || new FormData(form).get("where") === "inside";
  try {
    const result = await preview(wanted());
    if (form !== mine || asked !== shows) return;
    lines = result.across ? result : null;
    // Each by itself: filled together, places where two of them lie over each other would be holes.
    extra(svg("path", { class: "cell-casing", d: result.cells.join(""), ...thin }),
        ...result.cells.map((d) => svg("path", { class: "cell", d, "fill-rule": "evenodd", ...thin })));
    says.textContent = `${result.says}${result.lost ? ` ${result.lost}` : ""}`;
    says.classList.toggle("warns", Boolean(result.lost));
    board.classList.toggle("replacing", ["replace", "again"].includes(wanted().where));
  } catch (problem) {
    if (form !== mine || asked !== shows) return;
    extra();
    says.textContent = "";
    if (!problemAt(form, problem.field, problem.message)) says.textContent = problem.message;
  }
}

async function lay() {
  clearTimeout(timer);
  clearProblems(form);
  if (await edit(wanted(), form)) {
    close();
    select([]);
  }
}

function seed() {
  const field = form.querySelector("[data-number=seed]");
  field.value = (Number(field.value) || 0) % 999999 + 1;
  show();
}

/** Lets an area be drawn on the board; drawn again, or pressed again, it goes back to the margins. */
function frame() {
  if (tool.name === "area") return cells();
  hold({ name: "area", cursor: "crosshair", press: (event, start) => {
    const catching = catcher([]);
    const a = toSheet(start);
    return {
      move(now, at) {
        const [p, q] = [catching.spot(a, now.ctrlKey || now.metaKey), catching.spot(toSheet(at), now.ctrlKey || now.metaKey)];
        area = { x: Math.min(p.x, q.x), y: Math.min(p.y, q.y), width: Math.abs(p.x - q.x), height: Math.abs(p.y - q.y) };
        show();
      },
      end(moved) {
        if (!moved) area = null;
        cells();
        show();
      },
      cancel() {
        area = null;
        cells();
        show();
      },
    };
  } });
  pressed();
}

const pressed = () => form?.querySelector("[data-area]")?.setAttribute("aria-pressed", tool.name === "area" || Boolean(area));

/** While a grid is open, a drag across its cells merges them and a click on a merged block parts it. */
function cells() {
  if (!form) return;
  if (!merged) {
    if (tool.name) hold({ name: "", press: null });
  } else hold({ name: "cells", cursor: "cell", press: merge });
  pressed();
}

function merge(event, start) {
  const from = cell(toSheet(start));
  if (!from) return null;
  let block = { ...from, rows: 1, columns: 1 };
  return {
    move(_, at) {
      const to = cell(toSheet(at)) || from;
      block = { row: Math.min(from.row, to.row), column: Math.min(from.column, to.column), rows: Math.abs(from.row - to.row) + 1,
          columns: Math.abs(from.column - to.column) + 1 };
      const [left, right] = [lines.across[block.column][0], lines.across[block.column + block.columns - 1][1]];
      const [top, bottom] = [lines.down[block.row][0], lines.down[block.row + block.rows - 1][1]];
      const kept = extra.nodes.filter((node) => !node.classList.contains("merging"));
      extra(...kept, svg("rect", { class: "merging", x: left, y: top, width: right - left, height: bottom - top, ...thin }));
    },
    end() {
      merged = merged.filter((m) => m.row >= block.row + block.rows || m.row + m.rows <= block.row
          || m.column >= block.column + block.columns || m.column + m.columns <= block.column);
      if (block.rows * block.columns > 1) merged.push(block);
      show();
    },
    cancel: show,
  };
}

/** The cell under a place on the sheet; gaps count to the cell before them. */
function cell(p) {
  if (!lines) return null;
  const at = (spans, v) => spans.findLastIndex(([start]) => v >= start);
  const [row, column] = [at(lines.down, p.y), at(lines.across, p.x)];
  return row < 0 || column < 0 || p.x > lines.across.at(-1)[1] || p.y > lines.down.at(-1)[1] ? null : { row, column };
}

bench.addEventListener("click", (event) => {
  const button = event.target.closest("[data-pattern]");
  if (button) open(button.dataset.pattern);
});
// The part with the gallery was drawn anew: its form is gone.
onBench("#pattern-gallery", () => close());
watch((what) => {
  if (what === "stage") close();
  if (what === "selection" && form) close();
});
