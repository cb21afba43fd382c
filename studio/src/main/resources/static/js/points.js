// The points of a form: shown, dragged with their handles, added, removed, given exact places; corners rounded, edges moved out.
import { sheet, panel, watch, group } from "./sheet.js";
import { toSheet, view, length } from "./view.js";
import { edit, askForm } from "./server.js";
import { above } from "./marks.js";
import { live } from "./moving.js";
import { hold, release, tool } from "./tools.js";
import { twice } from "./presses.js";
import { pointCatcher, evenly } from "./catches.js";
import { dots } from "./pen.js";
import { onBench, clearProblems } from "./bench-parts.js";

const bench = document.getElementById("bench");
/** Beyond so many points only those near the chosen one would be told apart: handles show for the chosen one alone. */
const FEW = 60;
let of = null;
let nodes = [];
let chosen = -1;
let caught = null;

const on = () => tool.name === "points";

async function load() {
  if (!on()) return;
  if (sheet.selected.length !== 1 || sheet.selected[0] !== of || !group(of)) return release();
  const asked = of;
  const contours = await askForm(`/sheets/${sheet.id}/points`, { panel: of }).catch(() => null);
  if (!on() || asked !== of) return;
  if (!contours) return release();
  nodes = contours.flat();
  if (chosen >= nodes.length) chosen = -1;
  caught = pointCatcher();
  show();
}

function show(all = nodes) {
  if (!on()) return;
  const near = [chosen - 1, chosen, chosen + 1];
  above(...dots(all, chosen, (i) => (nodes.length <= FEW ? chosen < 0 || near.includes(i) : i === chosen)));
  tell();
}

/** Fills the fields of the chosen point. */
function tell() {
  const form = document.getElementById("point-form");
  if (!form) return;
  form.hidden = !on() || chosen < 0;
  document.getElementById("points-hint").hidden = !on();
  document.getElementById("edit-points")?.setAttribute("aria-pressed", on());
  document.getElementById("corners-of").textContent = on() && chosen >= 0 ? "This corner" : "Every corner";
  if (form.hidden) return;
  const { at } = nodes[chosen];
  for (const [name, value] of [["across", at.x], ["down", at.y]]) {
    const field = form.querySelector(`[name=${name}]`);
    if (field !== document.activeElement) field.value = length(value);
  }
}

function press(event, at) {
  const { dataset } = event.target;
  if (dataset?.handleOf) {
    const [i, name] = dataset.handleOf.split(" ");
    return drag(Number(i), name, at);
  }
  if (dataset?.node) return drag(Number(dataset.node), "at", at);
  if (twice()) {
    const { x, y } = toSheet(at);
    edit({ kind: "add-point", panel: of, x, y });
    return null;
  }
  const id = event.target.closest?.(".panel")?.dataset.id;
  return { move() {}, cancel() {}, end() {
    if (id === of) {
      chosen = -1;
      return show();
    }
    release();
  } };
}

function drag(i, name, start) {
  chosen = i;
  show();
  if (panel(of).locked) return { move() {}, end() {}, cancel() {} };
  const from = nodes[i][name];
  const begun = toSheet(start);
  const shown = live([of]);
  return {
    move(event, place) {
      const p = toSheet(place);
      let to = { x: from.x + p.x - begun.x, y: from.y + p.y - begun.y };
      if (name === "at") to = event.shiftKey ? evenly(from, to) : caught(to, event);
      else if (event.shiftKey) to = evenly(nodes[i].at, to);
      const by = { x: to.x - from.x, y: to.y - from.y };
      shown.want({ kind: "move-point", panel: of, point: i, part: name === "at" ? "point" : name, dx: by.x, dy: by.y,
              apart: event.altKey });
      show(nodes.map((node, k) => (k !== i ? node : name === "at" ? moved(node, by) : { ...node, [name]: to })));
    },
    end: shown.end,
    cancel() {
      shown.cancel();
      show();
    },
  };
}

const moved = (node, by) => Object.fromEntries(Object.entries(node).map(([key, p]) => [key, { x: p.x + by.x, y: p.y + by.y }]));

/** Takes the points of the selected form up, or puts them down. */
export function points() {
  if (on()) return release();
  if (sheet.stage !== "arrange" || sheet.selected.length !== 1 || panel(sheet.selected[0]).role === "rule") return false;
  of = sheet.selected[0];
  chosen = -1;
  nodes = [];
  hold({ name: "points", press, cursor: "points", release: () => tell() });
  load();
  return true;
}

const remove = () => edit({ kind: "remove-point", panel: of, point: chosen });

window.addEventListener("keydown", (event) => {
  if (!on() || chosen < 0 || event.target.matches("input, textarea, select") || !["Delete", "Backspace"].includes(event.key)) return;
  event.preventDefault();
  event.stopImmediatePropagation();
  remove();
}, true);

/** What the buttons beside the points do, for the chosen corner or for all. */
function corners(bevel) {
  const size = document.getElementById("corner-size");
  clearProblems(size.closest("details"));
  edit({ kind: "shape-corners", panels: sheet.selected, size: size.value, bevel, ...(on() && chosen >= 0 ? { corner: chosen } : {}) },
          size);
}

function grow(way) {
  const by = document.getElementById("grow-by");
  clearProblems(by.closest("details"));
  edit({ kind: "grow", panels: sheet.selected, by: way < 0 ? `-(${by.value})` : by.value, round: document.getElementById("grow-round")
          .checked },
      by);
}

/** Halves a panel along its own middle line, without a gap. */
function halve(across) {
  const [id] = sheet.selected;
  const { seat } = panel(id);
  const long = Math.hypot(seat.width, seat.height);
  const turn = (seat.turn + (across ? 90 : 0)) * Math.PI / 180;
  const [dx, dy] = [Math.cos(turn) * long, Math.sin(turn) * long];
  edit({ kind: "cut", x1: seat.centre.x - dx, y1: seat.centre.y - dy, x2: seat.centre.x + dx, y2: seat.centre.y + dy, gap: 0,
          panels: [id] });
}

bench.addEventListener("click", ({ target }) => {
  const { dataset } = target.closest("button") || {};
  if (!dataset) return;
  if (dataset.corners) corners(dataset.corners === "bevel");
  if (dataset.grow) grow(Number(dataset.grow));
  if (dataset.halve) halve(dataset.halve === "across");
  if (dataset.point === "remove") remove();
  else if (dataset.point) edit({ kind: "set-point", panel: of, point: chosen, becomes: dataset.point });
});
onBench("#point-form", (form) => {
  document.getElementById("edit-points")?.addEventListener("click", points);
  form.addEventListener("change", ({ target }) => {
    clearProblems(form);
    edit({ kind: "set-point", panel: of, point: chosen, [target.name]: target.value }, target);
  });
  tell();
});
onBench("#around", (form) => form.addEventListener("submit", (event) => {
  event.preventDefault();
  clearProblems(form);
  edit({ kind: "repeat-around", panels: sheet.selected, ...Object.fromEntries(new FormData(form)) }, form);
}));
watch((what) => {
  if (what === "sheet" || what === "selection") load();
  if (what === "view") show();
});
