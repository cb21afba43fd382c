// Drawing a form: corners by clicks, curves by drags; or by hand, in one stroke. The form is closed and becomes a panel.
import { sheet, watch } from "./sheet.js";
import { toSheet, view, length } from "./view.js";
import { edit } from "./server.js";
import { above } from "./marks.js";
import { svg } from "./geometry.js";
import { hold, release, tool } from "./tools.js";
import { pointCatcher, evenly } from "./catches.js";
import { text } from "./snaps.js";
import { onBench } from "./bench-parts.js";

const thin = { "vector-effect": "non-scaling-stroke" };
/** So near to the first point, in pixels, a click closes. */
const CLOSE = 9;
/** A stroke by hand may be so many pixels off its curves. */
const LOOSE = 2.5;
let nodes = [];
let caught = null;
let pointer = null;

const same = (p, q) => Math.hypot(p.x - q.x, p.y - q.y) < 1e-9;
const told = ({ x, y }) => `${x} ${y}`;
const side = (a, b) => (same(a.out, a.at) && same(b.in, b.at) ? `L${told(b.at)}` : `C${told(a.out)} ${told(b.in)} ${told(b.at)}`);

/** The form as path data, in millimetres on the sheet. */
function path(all, closed) {
  const ring = all.slice(1).map((node, i) => side(all[i], node)).join("");
  return `M${told(all[0].at)}${ring}${closed ? `${side(all.at(-1), all[0])}Z` : ""}`;
}

/** The marks of points and handles, of one size on the screen. */
export function dots(all, chosen = -1, handles = (i) => i === chosen) {
  const r = 3.5 / view.scale;
  const marks = [];
  all.forEach((node, i) => {
    if (handles(i)) for (const name of ["in", "out"]) {
      if (same(node[name], node.at)) continue;
      marks.push(svg("path", { class: "handle-casing", d: `M${told(node.at)}L${told(node[name])}`, ...thin }),
          svg("path", { class: "handle-line", d: `M${told(node.at)}L${told(node[name])}`, ...thin }),
          svg("circle", { class: "handle-dot", cx: node[name].x, cy: node[name].y, r, "data-handle-of": `${i} ${name}`, ...thin }));
    }
  });
  all.forEach((node, i) => marks.push(svg("rect", { class: i === chosen ? "node chosen-node" : "node", x: node.at.x - r, y: node.at.y - r,
      width: 2 * r, height: 2 * r, "data-node": i, ...thin })));
  return marks;
}

function show() {
  if (tool.name !== "pen") return;
  if (!nodes.length) return above();
  const ahead = pointer ? [...nodes, pointer] : nodes;
  const d = path(ahead, false);
  const from = nodes.at(-1).at;
  const says = pointer && !same(from, pointer.at) ? [text(pointer.at, length(Math.hypot(pointer.at.x - from.x, pointer.at.y - from.y)))]
          : [];
  above(svg("path", { class: "pen-casing", d, ...thin }), svg("path", { class: "pen", d, ...thin }), ...dots(nodes, nodes.length - 1),
          ...says);
}

/** Where a point goes that is set at the pointer. */
function spot(at, event) {
  const p = toSheet(at);
  if (closes(at)) return nodes[0].at;
  const free = caught(p, event, nodes.map((node) => node.at));
  return event.shiftKey && nodes.length ? evenly(nodes.at(-1).at, p) : free;
}

function closes(at) {
  if (nodes.length < 2) return false;
  const first = nodes[0].at;
  return Math.hypot((first.x - toSheet(at).x) * view.scale, (first.y - toSheet(at).y) * view.scale) < CLOSE;
}

function press(event, at) {
  const closing = closes(at);
  const p = spot(at, event);
  const node = closing ? { ...nodes[0] } : { at: p, in: p, out: p };
  const was = { ...node };
  pointer = null;
  if (!closing) nodes.push(node);
  show();
  return {
    move(now, place) {
      const to = now.shiftKey ? evenly(node.at, toSheet(place)) : toSheet(place);
      const back = { x: 2 * node.at.x - to.x, y: 2 * node.at.y - to.y };
      // The drag that closes shapes the last side; the first one stays as it was begun.
      if (closing) node.in = now.altKey ? was.in : back;
      else {
        node.out = to;
        if (!now.altKey) node.in = back;
      }
      if (closing) nodes[0] = { ...nodes[0], in: node.in };
      show();
    },
    end: () => closing && finish(),
    cancel() {
      if (closing) nodes[0] = was;
      else nodes.pop();
      show();
    },
  };
}

function hover(event, at) {
  if (!nodes.length) return;
  const p = spot(at, event);
  pointer = { at: p, in: p, out: p };
  show();
}

/** Closes the form and makes a panel of it. */
async function finish() {
  const d = nodes.length > 1 ? path(nodes, true) : "";
  release();
  await edit({ kind: "add-drawn", d });
}

export function pen() {
  if (tool.name === "pen") return release();
  if (sheet.stage !== "arrange") return false;
  nodes = [];
  pointer = null;
  caught = pointCatcher();
  hold({ name: "pen", press, hover, cursor: "crosshair" });
  return true;
}

export function hand() {
  if (tool.name === "hand") return release();
  if (sheet.stage !== "arrange") return false;
  hold({ name: "hand", press: stroke, cursor: "crosshair" });
  return true;
}

function stroke(_, start) {
  const places = [toSheet(start)];
  return {
    move(event, at) {
      const box = document.getElementById("well").getBoundingClientRect();
      const passed = event.getCoalescedEvents?.() || [];
      for (const { clientX, clientY } of passed) places.push(toSheet({ x: clientX - box.left, y: clientY - box.top }));
      if (!passed.length) places.push(toSheet(at));
      const d = `M${places.map(told).join("L")}`;
      above(svg("path", { class: "pen-casing", d, ...thin }), svg("path", { class: "pen", d, ...thin }));
    },
    async end(moved) {
      above();
      release();
      if (moved) await edit({ kind: "add-drawn", d: "", hand: places.flatMap(({ x, y }) => [x, y]), tolerance: LOOSE / view.scale });
    },
    cancel: () => above(),
  };
}

window.addEventListener("keydown", (event) => {
  if (tool.name !== "pen" || event.target.matches("input, textarea, select")) return;
  if (event.key !== "Enter" && event.key !== "Backspace") return;
  event.preventDefault();
  event.stopImmediatePropagation();
  if (event.key === "Enter") return finish();
  nodes.pop();
  show();
}, true);

function mark() {
  for (const [name, id, hint] of [["pen", "draw-form", "pen-hint"], ["hand", "draw-hand", "hand-hint"]]) {
    document.getElementById(id)?.setAttribute("aria-pressed", tool.name === name);
    const says = document.getElementById(hint);
    if (says) says.hidden = tool.name !== name;
  }
}
onBench("#draw-form", (button) => {
  button.addEventListener("click", pen);
  document.getElementById("draw-hand").addEventListener("click", hand);
  mark();
});
watch((what) => {
  if (what === "tool") mark();
  if (what === "view") show();
});
