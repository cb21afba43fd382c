// The keyboard: everything a pointer can do, and the digits that open the stages.
import { sheet, select, ids, panel } from "./sheet.js";
import { edit, undo, redo } from "./server.js";
import { fit, zoomBy, place, even } from "./view.js";
import { openStage, step } from "./bench.js";
import * as arrange from "./arrange.js";
import * as settle from "./settle.js";
import * as tone from "./tone.js";
import * as dress from "./dress.js";
import { held } from "./moving.js";
import { aim } from "./lit.js";
import { unload } from "./fill.js";
import { anyMarked, unmark, closerKey } from "./shelf.js";
import { copy, paste, copyContent, pasteContent } from "./copies.js";
import { knife } from "./cutting.js";
import { pen, hand } from "./pen.js";
import { mountHere } from "./mount.js";
import { points } from "./points.js";
import { resize } from "./veil.js";
import { letGrab, nudgeGrab } from "./grabs.js";
import * as history from "./history.js";
import { release } from "./tools.js";
import { drawn as isDrawn } from "./drawings.js";
import { close as closePattern } from "./pattern.js";

const ARROWS = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] };
/** Whether keys are typed into it. */
export const writing = (node) =>
    node.matches?.("input:not([type=range]):not([type=checkbox]):not([type=radio]):not([type=file]):not([type=color]), select, textarea");

/** Whether a field holds words that nobody has sent: undo is about those. */
const unsent = (node) => writing(node) && !node.matches("select") && node.value !== node.defaultValue;

export function help() {
  document.getElementById("keys").showModal();
}

/** A step of 1 mm, 10 with Shift, 0.1 with Alt; whole pixels on pixel sheets. */
function distance(event) {
  const one = sheet.unit === "px" ? 25.4 / sheet.ppi : 1;
  return one * (event.shiftKey ? 10 : event.altKey ? 0.1 : 1);
}

export function duplicate() {
  if (!sheet.selected.length) return;
  const aside = even(Math.min(sheet.width, sheet.height) / 40);
  edit({ kind: "duplicate", panels: sheet.selected, dx: aside, dy: aside });
}

let pointer = { x: 0, y: 0 };
document.getElementById("well").addEventListener("pointermove", (event) => (pointer = place(event)));

let pastedFiles = false;
window.addEventListener("paste", (event) => (pastedFiles = Boolean(event.clipboardData?.files.length)
        || isDrawn(event.clipboardData?.getData("text/plain") || "")), true);
window.addEventListener("keyup", (event) => event.key === "p" && (held.still = false));

function remove() {
  if (!sheet.selected.length) return;
  if (sheet.stage === "arrange") edit({ kind: "remove", panels: sheet.selected });
  else if (sheet.stage === "dress") dress.remove();
  else if (sheet.stage === "tone") tone.remove();
  else if (!["check", "deliver"].includes(sheet.stage)) edit({ kind: "empty", panels: sheet.selected });
}

const clearMarks = () => anyMarked() && (unmark(), true);
const raise = (to) => sheet.stage === "arrange" && sheet.selected.length && edit({ kind: "raise", panels: sheet.selected, to });
const group = (together) => sheet.stage === "arrange" && sheet.selected.length && edit({ kind: "group", panels: sheet.selected, together });

const PLAIN = {
  ",": () => step(-1), ".": () => step(1), t: () => history.toggle(), d: duplicate, Delete: remove, Backspace: remove, "?": help, 0: fit,
  "+": () => zoomBy(1.25), "=": () => zoomBy(1.25), "-": () => zoomBy(0.8), Escape: () => unload() || letGrab() || clearMarks()
          || closePattern()
      || release() || select([]), k: knife, n: pen, N: hand, m: mountHere, e: points, p: () => (held.still = true),
  b: () => sheet.stage === "tone" && tone.beforeKey(),
  l: () => sheet.stage === "fill" && closerKey(), "{": () => raise("bottom"), "}": () => raise("front"), g: () => group(true),
      G: () => group(false), a: arrange.alike,
  c: () => sheet.selected.some((id) => panel(id).picture) && edit({ kind: "cover-again", panels: sheet.selected, ...aim() }),
  f: () => sheet.stage === "settle" && settle.focal(pointer),
  "[": () => resize(false) || (sheet.stage === "arrange" ? raise("backward") : settle.zoomKey(1 / 1.1)),
  "]": () => resize(true) || (sheet.stage === "arrange" ? raise("forward") : settle.zoomKey(1.1)),
};

window.addEventListener("keydown", (event) => {
  if (document.querySelector("dialog[open]") || event.isComposing) return;
  const control = event.ctrlKey || event.metaKey;
  if (control && event.key.toLowerCase() === "z" && !unsent(event.target)) {
    event.preventDefault();
    if (event.shiftKey) redo();
    else undo();
    return;
  }
  if (control && event.key.toLowerCase() === "y" && !event.shiftKey && !unsent(event.target)) {
    event.preventDefault();
    redo();
    return;
  }
  // A menu has no use for digits: they open the stages from there, too.
  const digit = !control && !event.altKey && event.target.matches?.("select") && /^[1-9]$/.test(event.key);
  if (writing(event.target) && !digit) return;
  if (control && event.key.toLowerCase() === "a" && (sheet.stage !== "deliver" || sheet.choosing)) {
    event.preventDefault();
    select(ids());
    return;
  }
  if (control && "cv".includes(event.key.toLowerCase()) && sheet.stage === "arrange" && !event.shiftKey && !event.altKey) {
    if (event.key.toLowerCase() === "c") copy();
    else setTimeout(() => pastedFiles || paste(), 60);
    pastedFiles = false;
    return;
  }
  if (control && "cv".includes(event.key.toLowerCase()) && ["fill", "settle"].includes(sheet.stage) && !event.altKey) {
    if (event.key.toLowerCase() === "c") copyContent();
    else setTimeout(() => pastedFiles || pasteContent(event.shiftKey), 60);
    pastedFiles = false;
    return;
  }
  if (control) return;
  if (event.target.matches("[type=range]") && event.key in ARROWS) return;
  const stage = document.querySelectorAll(".stage")[Number(event.key) - 1];
  if (digit) event.preventDefault();
  if (stage) openStage(stage.dataset.stage);
  else if (event.key in ARROWS && sheet.selected.length) {
    event.preventDefault();
    const [x, y] = ARROWS[event.key].map((way) => way * distance(event));
    if (sheet.stage === "arrange") arrange.nudge(x, y);
    if (sheet.stage === "settle") settle.nudge(x, y);
    if (sheet.stage === "tone") nudgeGrab(x, y);
    if (sheet.stage === "dress") dress.nudge(x, y);
  } else if (event.key in PLAIN) {
    event.preventDefault();
    PLAIN[event.key]();
  }
});
