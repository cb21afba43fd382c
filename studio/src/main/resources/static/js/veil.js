// Veil: parts of layers and glazes are hidden by a brush, a gradient, a colour, or where another panel lies. What is painted is seen at
// once, in the mask on the board; the server's painting takes its place.
import { sheet, group, image, choose, watch } from "./sheet.js";
import { toSheet, length, place } from "./view.js";
import { edit } from "./server.js";
import { hold, release, tool } from "./tools.js";
import { above, extra } from "./marks.js";
import { onBench, clearProblems } from "./bench-parts.js";
import { svg } from "./geometry.js";

const UNITS = { mm: 1, cm: 10, in: 25.4, pt: 25.4 / 72 };
/** Each press on a bracket key makes the brush so many times as large. */
const STEP = 1.2;
/** A pen hardly pressed still paints. */
const LEAST = 0.02;
const thin = { "vector-effect": "non-scaling-stroke" };
let way = "";
let pointer = null;

const bench = () => document.querySelector("#bench [data-part=veil]");
const field = (name) => bench()?.querySelector(`[name=${name}]`);
const shows = () => bench().querySelector("[name=shows]:checked").value === "true";
const round = () => bench().querySelector("[name=round]:checked").value === "true";

/** A length that is typed, mm, as near as a preview needs it. */
function mm(text) {
  const [, number, unit] = String(text).match(/([\d.]+)\s*([a-z]*)/) || [];
  const each = { ...UNITS, px: 25.4 / sheet.ppi };
  return Number(number) * (each[unit] || each[sheet.unit]) || 1;
}
const share = (text) => Math.max(0, Math.min(1, parseFloat(text) / 100 || 0));

/** What a veil is of, and what shows it: the layer that is chosen, else the frontmost picture, else the frontmost layer. */
const shown = () => sheet.selected.map((id) => {
  const layers = [...group(id).querySelectorAll(".layers [data-layer]")];
  return [id, layers.find((layer) => Number(layer.dataset.layer) === sheet.layer) || image(id) || layers.at(-1)];
}).filter(([, there]) => there);

/** The mask of an image; where it has none yet, one that leaves everything. */
function mask(id, of) {
  const name = `veil-${id}-${of.dataset.layer}`;
  const there = document.getElementById(name);
  if (there) return there;
  const box = of.getBBox();
  const m = of.transform.baseVal.consolidate()?.matrix || new DOMMatrix();
  const [right, bottom] = [box.x + box.width, box.y + box.height];
  const corners = [[box.x, box.y], [right, box.y], [box.x, bottom], [right, bottom]].map(([x, y]) => [m.a * x + m.c * y + m.e,
      m.b * x + m.d * y + m.f]);
  const [xs, ys] = [0, 1].map((i) => corners.map((c) => c[i]));
  const [left, top] = [Math.min(...xs), Math.min(...ys)];
  const all = { x: left, y: top, width: Math.max(...xs) - left, height: Math.max(...ys) - top };
  const made = svg("mask", { id: name, maskUnits: "userSpaceOnUse", ...all }, svg("rect", { ...all, fill: "#fff" }));
  const seen = svg("g", { mask: `url(#${name})` });
  of.replaceWith(made, seen);
  seen.append(of);
  // What is masked meets the layers behind it as one.
  for (const look of ["class", "opacity"]) {
    if (!of.hasAttribute(look)) continue;
    seen.setAttribute(look, of.getAttribute(look));
    of.removeAttribute(look);
  }
  return made;
}

/** What is painted shows at once in all masks; ends with the edit, or as if nothing had been. */
function live(nodes, attributes = {}) {
  const layers = shown().map(([id, of]) => {
    const layer = svg("g", attributes, ...nodes());
    mask(id, of).append(layer);
    return layer;
  });
  return {
    each: (what) => layers.forEach(what),
    back: () => layers.forEach((layer) => layer.remove()),
  };
}

async function add(part, more = {}) {
  clearProblems(bench());
  return edit({ kind: "veil", panels: sheet.selected, layer: sheet.layer, part: { ...part, shows: shows() }, ...more }, bench());
}

/** The brush about the pointer, seen on bright and on dark. */
function ring() {
  if (!pointer || tool.name !== "veil" || way !== "stroke") return above();
  const circle = { cx: pointer.x, cy: pointer.y, r: mm(field("size")?.value) / 2, ...thin };
  above(svg("circle", { class: "brush-casing", ...circle }), svg("circle", { class: "brush", ...circle }));
}

/** Where a pointer was since it was asked last, with how hard it was pressed. */
function told(event) {
  const all = event.getCoalescedEvents?.() || [];
  return (all.length ? all : [event]).map((one) => {
    const { x, y } = toSheet(place(one));
    return [x, y, one.pointerType === "pen" ? Math.max(LEAST, one.pressure) : 1];
  });
}

const tint = () => (shows() ? "#fff" : "#000");

function stroke(event) {
  const size = mm(field("size").value);
  const softness = share(field("softness").value);
  const dots = told(event);
  const blur = { id: "veil-blur", filterUnits: "userSpaceOnUse", x: -size, y: -size, width: sheet.width + 2 * size,
      height: sheet.height + 2 * size, "color-interpolation-filters": "sRGB" };
  const soft = softness > 0 ? { filter: "url(#veil-blur)" } : {};
  const painted = live(() => softness > 0 ? [svg("filter", blur, svg("feGaussianBlur", { stdDeviation: size * softness / 5 }))] : [],
      { ...soft, stroke: tint(), "stroke-linecap": "round", opacity: share(field("strength").value) });
  let last = dots[0];
  const line = ([x, y, press]) => {
    painted.each((layer) => layer.append(svg("line", { x1: last[0], y1: last[1], x2: x, y2: y,
        "stroke-width": size * (1 - softness / 2) * (press + last[2]) / 2 })));
    last = [x, y, press];
  };
  line(dots[0]);
  return {
    move(now, at) {
      pointer = toSheet(at);
      ring();
      const more = told(now);
      more.forEach(line);
      dots.push(...more);
    },
    async end() {
      const part = { kind: "stroke", dots, size: field("size").value, softness: field("softness").value,
          strength: field("strength").value };
      if (!await add(part)) painted.back();
    },
    cancel: painted.back,
  };
}

function gradient(from) {
  const to = { ...from };
  const kind = round() ? "radialGradient" : "linearGradient";
  const painted = live(() => [svg(kind, { id: "veil-fade", gradientUnits: "userSpaceOnUse" },
      svg("stop", { offset: 0, "stop-color": tint() }), svg("stop", { offset: 1, "stop-color": tint(), "stop-opacity": 0 })),
      svg("rect", { x: -sheet.width, y: -sheet.height, width: 3 * sheet.width, height: 3 * sheet.height, fill: "url(#veil-fade)" })]);
  const ends = () => kind === "linearGradient" ? { x1: from.x, y1: from.y, x2: to.x, y2: to.y }
      : { cx: from.x, cy: from.y, r: Math.hypot(to.x - from.x, to.y - from.y) };
  return {
    move(event, at) {
      Object.assign(to, toSheet(at));
      if (event.shiftKey && kind === "linearGradient") Object.assign(to, straight(from, to));
      painted.each((layer) => Object.entries(ends()).forEach(([name, value]) => layer.firstElementChild.setAttribute(name, value)));
      const way = { x1: from.x, y1: from.y, x2: to.x, y2: to.y, ...thin };
      extra(svg("line", { class: "plane-casing", ...way }), svg("line", { class: "plane", ...way }));
    },
    async end(moved) {
      extra();
      const made = moved && await add({ kind: "gradient", round: round(), from, to, turned: false, strength: 1 });
      if (!made) painted.back();
    },
    cancel() {
      extra();
      painted.back();
    },
  };
}

/** The end of a way brought to whole steps of 45 degrees. */
function straight(from, to) {
  const turn = Math.round(Math.atan2(to.y - from.y, to.x - from.x) / (Math.PI / 4)) * (Math.PI / 4);
  const along = (to.x - from.x) * Math.cos(turn) + (to.y - from.y) * Math.sin(turn);
  return { x: from.x + along * Math.cos(turn), y: from.y + along * Math.sin(turn) };
}

function press(event, at) {
  if (!bench() || !shown().length) return null;
  const here = toSheet(at);
  if (way === "stroke") return stroke(event);
  if (way === "gradient") return gradient(here);
  if (way === "colours") add({ kind: "colours", colour: "#000000", tolerance: field("tolerance").value, softness: field("fade").value,
      strength: 1 }, { pick: here });
  return null;
}

function hover(event, at) {
  pointer = toSheet(at);
  ring();
}

function take(next) {
  if (next === way) return release();
  release();
  way = next;
  hold({ name: "veil", cursor: "crosshair", anywhere: way !== "form", press, hover, release: () => {
    way = "";
    show();
  } });
  show();
}

/** The brush another size; true where one is held. */
export function resize(up) {
  if (tool.name !== "veil" || way !== "stroke") return false;
  const size = field("size");
  size.value = length(Math.max(0.05, mm(size.value) * (up ? STEP : 1 / STEP)));
  size.dispatchEvent(new Event("change", { bubbles: true }));
  ring();
  return true;
}

function show() {
  const part = bench();
  if (!part) return;
  for (const button of part.querySelectorAll("[data-veil-way]")) {
    button.classList.toggle("on", button.dataset.veilWay === way);
    button.ariaPressed = button.dataset.veilWay === way;
  }
  for (const of of part.querySelectorAll("[data-veil-of]")) of.hidden = of.dataset.veilOf !== way;
  part.querySelector(".veil-how").hidden = !way;
}

onBench("[data-veil-way]", (first) => {
  const part = first.closest("[data-part]");
  part.querySelector("#veil-layer")?.addEventListener("change", ({ target }) => choose(Number(target.value)));
  part.addEventListener("click", ({ target }) => {
    const next = target.closest("[data-veil-way]")?.dataset.veilWay;
    if (next) take(next);
    if (target.closest("#veil-copy"))
      edit({ kind: "copy-veil", from: sheet.selected[0], layer: sheet.layer, panels: sheet.selected }, target);
  });
  part.querySelector("[name=panel]").addEventListener("change", ({ target }) => target.value
      && add({ kind: "form", panel: target.value, softness: field("soft").value, strength: 1 }));
  show();
});
// What is chosen may have nothing to hide.
watch((what) => {
  if (what === "view") ring();
  if (what === "selection" && !sheet.selected.length && tool.name === "veil") release();
});
