// Mount: a picture goes between four corners that are clicked on the board; the corners of what is mounted are dragged under a loupe.
import { sheet, select, watch } from "./sheet.js";
import { toSheet, toScreen, view } from "./view.js";
import { edit } from "./server.js";
import { above, redraw, takeCorner } from "./marks.js";
import { svg } from "./geometry.js";
import { hold, release, tool } from "./tools.js";
import { pointCatcher } from "./catches.js";
import { subject, cornersOf, aim } from "./lit.js";
import { watched } from "./watched.js";
import { firstMarked, unmark } from "./shelf.js";
import { openStage } from "./bench.js";
import { say } from "./notes.js";

const thin = { "vector-effect": "non-scaling-stroke" };
/** The loupe's width in pixels, how many times it enlarges, and how far it stands off the pointer. */
const WIDE = 140;
const TIMES = 5;
const OFF = 24;
const glass = document.getElementById("loupe");
const well = document.getElementById("well");
const note = document.getElementById("mount-note");
const CORNERS = ["first", "second", "third", "last"];
let places = [];
let pointer = null;
let picture = null;
let caught = null;
/** The corner that arrow keys move, of the panel that was lit. */
let taken = null;

const told = ({ x, y }) => `${x} ${y}`;

/** Shows what is around a place on the sheet enlarged, beside the pointer. */
function loupe(at) {
  const half = WIDE / 2 / view.scale / TIMES;
  const p = toScreen(at);
  glass.setAttribute("viewBox", `${at.x - half} ${at.y - half} ${2 * half} ${2 * half}`);
  const left = p.x > well.clientWidth - WIDE - 2 * OFF ? p.x - OFF - WIDE : p.x + OFF;
  const top = p.y < WIDE + 2 * OFF ? p.y + OFF : p.y - OFF - WIDE;
  glass.style.transform = `translate(${left}px, ${top}px)`;
  if (glass.hasAttribute("hidden")) {
    glass.removeAttribute("hidden");
    glass.replaceChildren(svg("use", { href: "#ground" }), svg("use", { href: "#panels" }), svg("path", { class: "cross-casing", ...thin }),
        svg("path", { class: "cross", ...thin }));
  }
  const d = `M${at.x - half} ${at.y}H${at.x + half}M${at.x} ${at.y - half}V${at.y + half}`;
  for (const line of glass.querySelectorAll("path")) line.setAttribute("d", d);
}

function shut() {
  glass.setAttribute("hidden", "");
  glass.replaceChildren();
}

function show() {
  if (tool.name !== "mount") return;
  const ahead = pointer ? [...places, pointer] : places;
  const r = 5 / view.scale;
  const d = ahead.length ? `M${ahead.map(told).join("L")}${ahead.length === 4 ? "Z" : ""}` : "";
  above(svg("path", { class: "plane-casing", d, ...thin }), svg("path", { class: "plane", d, ...thin }),
      ...places.map(({ x, y }) => svg("circle", { class: "mount-corner", cx: x, cy: y, r, ...thin })));
  note.querySelector("span").textContent = `Click the ${CORNERS[Math.min(3, places.length)]} corner of the frame`;
}

/** A press puts a corner down; while it is held the corner can still be brought to its place. */
function press(event, at) {
  pointer = caught(toSheet(at), event, places);
  loupe(pointer);
  show();
  return {
    move(now, place) {
      pointer = caught(toSheet(place), now, places);
      loupe(pointer);
      show();
    },
    end() {
      places.push(pointer);
      pointer = null;
      if (places.length === 4) finish();
      else show();
    },
    cancel() {
      pointer = null;
      show();
    },
  };
}

function hover(event, at) {
  pointer = caught(toSheet(at), event, places);
  loupe(pointer);
  show();
}

async function finish() {
  const corners = places;
  const what = picture;
  release();
  if (!await edit({ kind: "mount-here", picture: what, corners })) return;
  unmark();
  openStage("settle");
}

/** Takes up the marked picture, to be mounted between four corners. */
export function mountHere() {
  if (tool.name === "mount") return release();
  if (!["fill", "settle"].includes(sheet.stage)) return false;
  picture = firstMarked();
  if (!picture) return say("Mark the picture first: Ctrl-click it on the shelf, in Fill.");
  places = [];
  pointer = null;
  caught = pointCatcher();
  select([]);
  hold({ name: "mount", press, hover, anywhere: true, cursor: "crosshair", release: shut });
  note.hidden = false;
  show();
  return true;
}

note.querySelector("button").addEventListener("click", release);
document.getElementById("bench").addEventListener("click", (event) => event.target.closest("[data-mount-here]") && mountHere());
well.addEventListener("pointerleave", () => tool.name === "mount" && shut());
window.addEventListener("keydown", (event) => {
  if (tool.name !== "mount" || event.key !== "Backspace" || event.target.matches("input, textarea, select")) return;
  event.preventDefault();
  event.stopImmediatePropagation();
  places.pop();
  show();
}, true);
watch((what) => {
  if (what === "tool") note.hidden = tool.name !== "mount";
  if (what === "view") show();
  if (what === "selection" || what === "stage") letCorner();
});

const setting = (id, i, { x, y }) => ({ kind: "set-corner", panels: [id], corner: i, across: x, down: y, ...aim() });

/** Brings a corner of what is lit to another place; a click alone takes it for the arrow keys. */
export function corner(i, start, id) {
  const lit = subject(id);
  const from = cornersOf(lit)[i];
  const catching = pointCatcher();
  const grabbed = toSheet(start);
  const live = watched(lit.members);
  const restore = () => {
    shut();
    live.restore();
  };
  let to = null;
  loupe(from);
  return {
    move(event, now) {
      const p = toSheet(now);
      to = catching({ x: from.x + p.x - grabbed.x, y: from.y + p.y - grabbed.y }, event);
      loupe(to);
      live.want(setting(id, i, to));
    },
    async end(moved) {
      if (!moved || !to) {
        shut();
        taken = { id, i };
        takeCorner(i);
        return;
      }
      live.close();
      shut();
      if (await edit(setting(id, i, to))) live.back();
      else live.restore();
      redraw();
    },
    cancel: restore,
  };
}

/** Moves the corner that was taken by keys; false where none was. */
export function nudgeCorner(id, dx, dy) {
  if (!taken || taken.id !== id) return false;
  const at = cornersOf(subject(id))[taken.i];
  edit(setting(id, taken.i, { x: at.x + dx, y: at.y + dy }));
  return true;
}

/** No corner is taken any more. */
export function letCorner() {
  if (!taken) return;
  taken = null;
  takeCorner();
}
