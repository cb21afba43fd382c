// Tone: what is set by handles on the board, of a bend or of a part of a veil. A press takes a handle, for the arrow keys, too; Shift
// takes several; a double click brings a bend's back to where it was at first.
import { sheet, panel, group, watch } from "./sheet.js";
import { view, toSheet, toScreen, length } from "./view.js";
import { edit, askForm } from "./server.js";
import { redraw, withHandles } from "./marks.js";
import { svg } from "./geometry.js";
import { watched } from "./watched.js";
import { tool, release } from "./tools.js";
import { twice } from "./presses.js";
import { onBench, clearProblems } from "./bench-parts.js";

const thin = { "vector-effect": "non-scaling-stroke" };
let taken = [];
/** Where handles are dragged, by their numbers. */
let dragged = {};
/** The part of a veil that is shown: its number, and where it lies. */
let part = null;
/** What tells that after a change, on its way. */
let telling = null;

const alone = () => sheet.stage === "tone" && sheet.selected.length === 1 && !tool.name && group(sheet.selected[0]);

/** What has handles now: the part of a veil that was chosen, else the bend of the one thing that is selected; null where nothing has. */
function shown() {
  if (!alone()) return null;
  if (part) return part.lies && { ...part.lies, kind: "move-veil", at: part.at };
  const one = panel(sheet.selected[0]);
  const bent = (one.role === "glaze" ? one : one.picture)?.bent;
  return bent ? { ...bent, kind: "move-bend" } : null;
}

function moving(more) {
  const { kind, at } = shown();
  return { kind, panels: sheet.selected, layer: sheet.layer, ...(kind === "move-veil" ? { at } : {}), handles: taken, ...more };
}

/** What is drawn along with the handles, as they lie now. */
function along({ kind, lines, course, round }, at) {
  if (kind === "move-bend") return [{ d: lines }];
  if (course) return [{ d: course, transform: `translate(${at[0].x - part.lies.handles[0].x} ${at[0].y - part.lies.handles[0].y})` }];
  const [from, to] = at;
  const r = Math.hypot(to.x - from.x, to.y - from.y);
  return [{ d: `M${from.x} ${from.y}L${to.x} ${to.y}` },
      ...(round ? [{ d: `M${from.x - r} ${from.y}a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0 ${-2 * r} 0` }] : [])];
}

withHandles(() => {
  const one = shown();
  if (!one) return [];
  const at = one.handles.map((handle, i) => dragged[i] || handle);
  // The middle of a gradient goes with its ends.
  if (one.kind === "move-veil" && !one.course && !dragged[2]) at[2] = { x: (at[0].x + at[1].x) / 2, y: (at[0].y + at[1].y) / 2 };
  const onSheet = `translate(${view.x} ${view.y}) scale(${view.scale})`;
  return [svg("g", { transform: onSheet }, ...["plane-casing", "plane"].flatMap((name) => along(one, at).map((line) =>
    svg("path", { class: name, ...line, ...thin })))), ...at.map((handle, i) => {
    const { x, y } = toScreen(handle);
    return svg("circle", { class: taken.includes(i) ? "grab taken" : "grab", "data-grab": i, cx: x, cy: y, r: 6 });
  })];
});

function take(next) {
  taken = next;
  redraw();
  tell();
}

/** Nothing is taken or shown any more that was chosen; false where nothing was. */
export function letGrab() {
  if (!taken.length && !part) return false;
  if (!taken.length) part = null;
  take([]);
  return true;
}

/** A press on a handle; null where it is on none. */
export function grab(event, start) {
  const handle = Number(event.target.dataset?.grab ?? -1);
  const one = shown();
  if (handle < 0 || !one) return null;
  if (twice() && one.kind === "move-bend") {
    edit(moving({ handles: [handle], home: true }));
    return null;
  }
  const before = taken;
  const several = event.shiftKey;
  if (!before.includes(handle)) take(several ? [...before, handle] : [handle]);
  const live = watched(sheet.selected);
  const begun = toSheet(start);
  const from = one.handles;
  // The middle of a gradient takes both ends along.
  const along = one.kind === "move-veil" && taken.includes(2) ? [0, 1, 2] : taken;
  let by = null;
  const settle = () => {
    dragged = {};
    redraw();
  };
  return {
    move(now, at) {
      const to = toSheet(at);
      by = { x: to.x - begun.x, y: to.y - begun.y };
      if (now.shiftKey) by = Math.abs(by.x) > Math.abs(by.y) ? { x: by.x, y: 0 } : { x: 0, y: by.y };
      dragged = Object.fromEntries(along.map((i) => [i, { x: from[i].x + by.x, y: from[i].y + by.y }]));
      live.want(moving({ dx: by.x, dy: by.y }));
      redraw();
      tell();
    },
    async end(moved) {
      if (!moved || !by) {
        settle();
        live.restore();
        if (several && before.includes(handle)) take(before.filter((other) => other !== handle));
        else if (!several) take([handle]);
        return;
      }
      live.close();
      const made = await edit(moving({ dx: by.x, dy: by.y }));
      if (made) await telling;
      settle();
      if (made) live.back();
      else live.restore();
    },
    cancel() {
      settle();
      live.restore();
    },
  };
}

/** Moves what is taken by keys; false where nothing is. */
export function nudgeGrab(dx, dy) {
  if (!taken.length || !shown()) return false;
  edit(moving({ dx, dy }));
  return true;
}

/** What is taken of a bend goes back to where it was at first, a part of a veil that is shown goes; false where there is neither. */
export function homeGrab() {
  if (part && shown()) {
    const { at } = part;
    part = null;
    edit({ kind: "unveil", panels: sheet.selected, layer: sheet.layer, at });
  }
  else if (taken.length && shown()) edit(moving({ home: true }));
  else return false;
  return true;
}

/** Where the part that is shown lies now; it may be gone. */
async function lying() {
  if (!part || !alone()) return;
  const asked = part;
  const lies = await askForm(`/sheets/${sheet.id}/veil-part`, { panel: sheet.selected[0], layer: sheet.layer, at: part.at })
      .catch(() => null);
  if (part !== asked) return;
  if (lies) part.lies = lies;
  else part = null;
  take(taken.filter((i) => part && i < lies.handles.length));
  rows();
}

function choose(at) {
  release();
  part = part?.at === at ? null : { at, lies: null };
  take([]);
  rows();
  lying();
}

function rows() {
  for (const name of document.querySelectorAll("#bench [data-veil-part]")) {
    const on = part?.at === Number(name.closest("[data-at]").dataset.at);
    name.ariaPressed = on;
    name.closest("[data-at]").classList.toggle("on", on);
  }
}

/** Fills the fields of the one handle that is taken. */
function tell() {
  const fields = document.getElementById("grab-at");
  if (!fields) return;
  const one = shown();
  const [first] = taken;
  const at = taken.length === 1 && one?.kind === "move-bend" && (dragged[first] || one.handles[first]);
  fields.hidden = !at;
  for (const field of at ? fields.querySelectorAll("input") : [])
    if (field !== document.activeElement) field.value = length(field.name === "across" ? at.x : at.y);
}

onBench("#grab-at", (fields) => {
  fields.addEventListener("change", (event) => {
    event.stopPropagation();
    clearProblems(fields.closest("[data-part]"));
    edit(moving({ [event.target.name]: event.target.value }), event.target);
  });
  tell();
});
onBench("#bend-home", (button) => button.addEventListener("click", () => {
  part = null;
  edit(moving({ handles: [], home: true }), button);
}));
onBench(".veil-parts", (list) => {
  list.addEventListener("click", ({ target }) => target.closest("[data-veil-part]")
      && choose(Number(target.closest("[data-at]").dataset.at)));
  rows();
});
watch((what) => {
  if (what === "selection" || what === "stage" || what === "tool" && tool.name) {
    part = null;
    take([]);
    rows();
  }
  if (what !== "sheet") return;
  if (part) telling = lying();
  else if (taken.some((i) => i >= (shown()?.handles.length || 0))) take([]);
  else tell();
});
