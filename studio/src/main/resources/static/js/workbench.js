// The workbench: brings the parts together and hands the pointer to the stage that is open.
import { sheet, ids, watch } from "./sheet.js";
import { bed } from "./bed.js";
import { arrive } from "./arrival.js";
import "./times.js";
import "./drawing.js";
import { bare } from "./bare.js";
import { edit, undo, redo, refresh, fetchBench } from "./server.js";
import { fit, zoomBy, panBy, place, sharpen } from "./view.js";
import { showBench } from "./bench-parts.js";
import * as arrange from "./arrange.js";
import * as fill from "./fill.js";
import * as settle from "./settle.js";
import * as tone from "./tone.js";
import * as dress from "./dress.js";
import * as check from "./check.js";
import * as deliver from "./deliver.js";
import { help, duplicate } from "./keys.js";
import { tool } from "./tools.js";
import "./tints.js";
import "./paper.js";
import "./keeps.js";
import "./proofs.js";
import "./lineup.js";
import "./layers.js";
import "./letters.js";
import "./settle-bench.js";
import "./mount.js";
import "./nested.js";
import "./dealing.js";

const STAGES = { arrange, fill, settle, tone, dress, check, deliver };
/** So many pixels may a pointer tremble before a press becomes a drag. */
const TREMBLE = 3;

const well = document.getElementById("well");
let gesture = null;
let spaced = false;

/** Fingers on the well, by their pointers; two of them pinch. */
const fingers = new Map();
let pinching = null;

function pinch(event) {
  const [a, b] = [...fingers.values()];
  cancel();
  const middle = { x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 };
  const apart = Math.hypot(a.x - b.x, a.y - b.y);
  const lit = sheet.stage === "settle" && settle.pinch(event, middle);
  let last = 1;
  pinching = lit ? { ...lit, apart } : { apart, spread: (factor) => {
    zoomBy(factor / last, middle);
    last = factor;
  }, end() {}, cancel() {} };
}

well.addEventListener("pointerdown", (event) => {
  if (event.pointerType === "touch") {
    fingers.set(event.pointerId, place(event));
    if (fingers.size === 2) return pinch(event);
    if (pinching) return;
  }
  if (gesture || event.button === 2) return;
  if (document.activeElement?.matches("input")) document.activeElement.blur();
  well.focus({ preventScroll: true });
  const at = place(event);
  const panning = event.button === 1 || spaced;
  const what = panning ? pan(at) : tool.anywhere ? tool.press(event, at) : STAGES[sheet.stage].press(event, at);
  if (!what) return;
  event.preventDefault();
  well.setPointerCapture(event.pointerId);
  gesture = { what, start: at, moved: panning, panning, latest: null };
});

well.addEventListener("pointermove", (event) => {
  if (fingers.has(event.pointerId)) fingers.set(event.pointerId, place(event));
  if (pinching && fingers.size === 2) {
    const [a, b] = [...fingers.values()];
    pinching.spread(Math.hypot(a.x - b.x, a.y - b.y) / pinching.apart);
    return;
  }
  if (!gesture) {
    if (tool.anywhere && tool.hover) tool.hover(event, place(event));
    else if (sheet.stage === "arrange") arrange.hover(event, place(event));
    return;
  }
  const at = place(event);
  gesture.moved ||= Math.hypot(at.x - gesture.start.x, at.y - gesture.start.y) > TREMBLE;
  if (!gesture.moved) return;
  // What glazes show of it is painted again when it ends.
  well.classList.toggle("moving", !gesture.panning);
  const first = !gesture.latest;
  gesture.latest = [event, at];
  if (first) requestAnimationFrame(step);
});

/** One step a frame, with the pointer's latest place. */
function step() {
  if (!gesture?.latest) return;
  const [event, at] = gesture.latest;
  gesture.latest = null;
  gesture.what.move(event, at);
}

function finish() {
  if (!gesture) return;
  step();
  const { what, moved } = gesture;
  gesture = null;
  well.classList.remove("moving");
  what.end(moved);
}
well.addEventListener("pointerup", (event) => lift(event) || finish());
well.addEventListener("pointercancel", (event) => lift(event, "cancel") || cancel());

/** A finger rises; true where it ended a pinch. */
function lift({ pointerId }, how = "end") {
  if (!fingers.delete(pointerId) || !pinching) return false;
  if (fingers.size === 1) pinching[how]();
  if (!fingers.size) pinching = null;
  return true;
}

function cancel() {
  gesture?.what.cancel();
  gesture = null;
  well.classList.remove("moving");
}

function pan(start) {
  let last = start;
  well.classList.add("panning");
  const end = () => well.classList.remove("panning");
  return {
    move(_, at) {
      panBy(at.x - last.x, at.y - last.y);
      last = at;
    },
    end, cancel: end,
  };
}

well.addEventListener("wheel", (event) => {
  event.preventDefault();
  if (gesture) return;
  const at = place(event);
  if (sheet.stage === "settle" && settle.wheel(event, at)) return;
  zoomBy(Math.exp(-event.deltaY * (event.deltaMode ? 0.05 : 0.0016)), at);
}, { passive: false });

window.addEventListener("keydown", (event) => {
  if (event.key === "Escape" && gesture) {
    event.stopImmediatePropagation();
    cancel();
  }
  if (event.key === " " && !event.target.matches("input, textarea, button, a, select, summary, [contenteditable]")) {
    event.preventDefault();
    spaced = true;
    well.classList.add("panning");
  }
}, true);
window.addEventListener("keyup", (event) => {
  if (event.key !== " ") return;
  spaced = false;
  well.classList.remove("panning");
});

const by = (id) => document.getElementById(id);
by("undo").onclick = undo;
by("redo").onclick = redo;
by("zoom-in").onclick = () => zoomBy(1.25);
by("zoom-out").onclick = () => zoomBy(0.8);
by("zoom-fit").onclick = fit;
by("help").onclick = help;
by("sheet-name").onchange = (event) => edit({ kind: "rename-sheet", name: event.target.value }, null);
by("sheet-name").onkeydown = (event) => event.key === "Enter" && event.target.blur();
by("bench").addEventListener("click", (event) => event.target.closest("[data-key=d]") && duplicate());

watch((what) => {
  if (what === "selection") fetchBench();
  if (what === "sheet") setTimeout(sharpen, 50);
  by("empty-note").hidden = ids().length > 0 || sheet.stage === "deliver";
});
window.addEventListener("focus", () => refresh());
document.addEventListener("visibilitychange", () => document.hidden || refresh());
setInterval(() => document.hidden || gesture || refresh(), 5000);
bare(well);

showBench(by("bench").innerHTML);
fit();
document.documentElement.dataset.ready = "true";
window.addEventListener("load", () => requestAnimationFrame(() => arrive(() => {
  bed();
  sharpen();
})));
