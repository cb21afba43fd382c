// Where the sheet is on the screen: zoom, pan, rulers, and previews with enough pixels for what is shown.
import { sheet, changed, watch, wanted, load, glazed, level } from "./sheet.js";
import { rulerMarks } from "./ruler-marks.js";

const well = document.getElementById("well");
const boards = document.querySelectorAll(".board");
const RULER = 18;
const LEVELS = [["small", 320], ["medium", 1280], ["large", 2560]];
/** What a glaze shows is painted with as many pixels as are seen, in such steps. */
const STEP = 160;
const DECIMALS = { mm: 2, cm: 3, in: 3, pt: 1, px: 1 };
const perUnit = () => ({ mm: 1, cm: 10, in: 25.4, pt: 25.4 / 72, px: 25.4 / sheet.ppi })[sheet.unit];

export const view = { scale: 1, x: 0, y: 0 };
let fitted = true;
let sharpening = 0;

export const toScreen = (p) => ({ x: p.x * view.scale + view.x, y: p.y * view.scale + view.y });
export const toSheet = (p) => ({ x: (p.x - view.x) / view.scale, y: (p.y - view.y) / view.scale });

/** A length as people read it while something is dragged. */
export const length = (mm) => `${(mm / perUnit()).toFixed(DECIMALS[sheet.unit]).replace("-", "−")} ${sheet.unit}`;

/** One of the sheet's unit, or a pixel, in mm: what steps and offsets are made of. */
export const oneUnit = () => (sheet.unit === "px" ? 25.4 / sheet.ppi : sheet.unit === "in" ? 25.4 / 16 : 1);

/** A length as the sheet sets lengths that nobody typed: whole pixels, sixteenths of an inch, millimetres. */
export const even = (mm) => Math.max(1, Math.round(mm / oneUnit())) * oneUnit();

/** A pointer's place in the well, in pixels. */
export function place(event) {
  const box = well.getBoundingClientRect();
  return { x: event.clientX - box.left, y: event.clientY - box.top };
}

export function fit() {
  const room = { width: well.clientWidth - RULER, height: well.clientHeight - RULER };
  const pad = Math.min(room.width, room.height) * 0.12;
  view.scale = Math.min((room.width - pad) / sheet.width, (room.height - pad) / sheet.height);
  view.x = RULER + (room.width - sheet.width * view.scale) / 2;
  view.y = RULER + (room.height - sheet.height * view.scale) / 2;
  fitted = true;
  show();
}

export function zoomBy(factor, at = { x: well.clientWidth / 2, y: well.clientHeight / 2 }) {
  const next = Math.max(0.02, Math.min(400, view.scale * factor));
  const under = toSheet(at);
  view.scale = next;
  view.x = at.x - under.x * next;
  view.y = at.y - under.y * next;
  fitted = false;
  show();
}

export function panBy(dx, dy) {
  view.x += dx;
  view.y += dy;
  fitted = false;
  show();
}

/** Brings a part of the sheet into sight, if it is not. */
export function reveal(left, top, right, bottom) {
  const a = toScreen({ x: left, y: top });
  const b = toScreen({ x: right, y: bottom });
  if (a.x >= RULER && a.y >= RULER && b.x <= well.clientWidth && b.y <= well.clientHeight) return;
  panBy((well.clientWidth + RULER - a.x - b.x) / 2, (well.clientHeight + RULER - a.y - b.y) / 2);
}

/** Takes over another size or unit of the sheet. */
export function reformed() {
  for (const board of boards) board.setAttribute("viewBox", `0 0 ${sheet.width} ${sheet.height}`);
  for (const id of ["paper", "ground"]) {
    document.getElementById(id).setAttribute("width", sheet.width);
    document.getElementById(id).setAttribute("height", sheet.height);
  }
  document.querySelector(".ruler-corner").textContent = sheet.unit;
  fit();
}

function show() {
  for (const { style } of boards) {
    style.width = `${sheet.width * view.scale}px`;
    style.height = `${sheet.height * view.scale}px`;
    style.transform = `translate(${view.x}px, ${view.y}px)`;
  }
  // 100 % is the sheet's own size on a screen of 96 pixels an inch (CSS Values 4); pixel for pixel on pixel sheets.
  const full = sheet.unit === "px" ? sheet.ppi / 25.4 : 96 / 25.4;
  document.getElementById("zoom-fit").textContent = `${Math.round(view.scale / full * 100)} %`;
  rulers();
  clearTimeout(sharpening);
  sharpening = setTimeout(sharpen, 120);
  changed("view");
}

/** Asks for larger previews where the present ones have fewer pixels than the screen shows. */
export function sharpen() {
  for (const image of document.querySelectorAll("#ground image[data-picture], #panels :is(image[data-picture], image[data-veil]), "
      + "#before image[data-picture]"))
    sharper(image);
}

function sharper(image) {
  const m = image.transform.baseVal.consolidate().matrix;
  const longest = Math.max(image.width.baseVal.value * Math.hypot(m.a, m.b), image.height.baseVal.value * Math.hypot(m.c, m.d));
  const needed = longest * view.scale * devicePixelRatio;
  if (glazed(image)) {
    const side = Math.min(LEVELS.at(-1)[1], Math.ceil(needed / STEP) * STEP);
    if (!(parseInt(level(image), 10) >= side)) load(image, wanted(image).replace(/[^/]+$/, side));
    return;
  }
  const now = LEVELS.findIndex(([name]) => wanted(image).endsWith(name));
  const found = LEVELS.findIndex(([, side]) => side >= needed);
  const better = found < 0 ? LEVELS.length - 1 : found;
  if (better <= now) return;
  load(image, wanted(image).replace(/[^/]+$/, LEVELS[better][0]));
}

function rulers() {
  const per = perUnit() * view.scale;
  const step = [1, 2, 5, 10, 20, 50, 100, 200, 500, 1000, 2000, 5000].map((n) => (sheet.unit === "in" || sheet.unit === "cm" ? n / 10 : n))
      .find((n) => n * per >= 46) || 10000;
  ruler(document.getElementById("ruler-top"), true, step, per);
  ruler(document.getElementById("ruler-left"), false, step, per);
}

function ruler(canvas, across, step, per) {
  const ratio = devicePixelRatio;
  const width = canvas.clientWidth;
  const height = canvas.clientHeight;
  canvas.width = width * ratio;
  canvas.height = height * ratio;
  const g = canvas.getContext("2d");
  g.scale(ratio, ratio);
  g.font = "9px Hanken Grotesk, sans-serif";
  const origin = (across ? view.x : view.y) - RULER;
  const length = across ? width : height;
  const end = (across ? sheet.width : sheet.height) * view.scale;
  g.fillStyle = "#6E6F71";
  g.fillRect(...(across ? [origin, 0, end, height] : [0, origin, width, end]));
  g.strokeStyle = "#A9A8A4";
  g.fillStyle = "#E6E4DF";
  const parts = step * per >= 90 ? 10 : 5;
  const first = Math.floor(-origin / per / step) * parts;
  const last = Math.ceil((length - origin) / per / step) * parts;
  g.beginPath();
  for (let i = first; i <= last; i++) {
    const at = Math.round(origin + (i * step * per) / parts) + 0.5;
    const tall = i % parts === 0 ? 18 : 4;
    if (across) { g.moveTo(at, 18 - tall); g.lineTo(at, 18); } else { g.moveTo(18 - tall, at); g.lineTo(18, at); }
    if (i % parts) continue;
    const label = String(Math.round((i / parts) * step * 10) / 10);
    const room = g.measureText(label).width + 3;
    // Half a number reads like another one.
    if (across ? at < 0 || at + room > length : at - room < 0 || at > length) continue;
    if (across) g.fillText(label, at + 3, 9);
    else {
      g.save();
      g.translate(9, at - 3);
      g.rotate(-Math.PI / 2);
      g.fillText(label, 0, 0);
      g.restore();
    }
  }
  g.stroke();
  rulerMarks(g, across, (at) => origin + at * view.scale);
}

new ResizeObserver(() => (fitted ? fit() : show())).observe(well);
document.fonts.ready.then(rulers);
// The guides have their marks at the rulers.
watch((what) => (what === "stage" || what === "sheet") && rulers());
