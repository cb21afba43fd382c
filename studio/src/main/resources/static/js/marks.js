// The marks over the board: selection, handles, the lit picture's edges, thirds, previews; and the tag.
import { sheet, panel, form, group, image, watch } from "./sheet.js";
import { subject } from "./lit.js";
import { view, toScreen, length } from "./view.js";
import { svg, seatMatrix, pictureMatrix, matrixText, apply, union } from "./geometry.js";

const marks = document.getElementById("marks");
const tag = document.getElementById("tag");
const hints = document.getElementById("hints");
const layers = { guides: svg("g"), stage: svg("g"), extra: svg("g") };
hints.append(layers.guides, layers.extra);
marks.append(layers.stage);
/** So many panels of a vista can be cut out of its unseen part at every frame. */
const MANY = 12;
/** Around a form with corners of its own, the box's handles stand so many pixels off. */
const ASIDE = 10;

/** Handles of a box: name, and where they are from −1 to 1. */
export const HANDLES = [["nw", -1, -1], ["n", 0, -1], ["ne", 1, -1], ["e", 1, 0], ["se", 1, 1], ["s", 0, 1], ["sw", -1, 1], ["w", -1, 0]];

const onSheet = () => `translate(${view.x} ${view.y}) scale(${view.scale})`;
const thin = { "vector-effect": "non-scaling-stroke" };

/** Transient marks (marquee, grid preview, drop target) as nodes in sheet millimetres; empty clears them. */
export function extra(...nodes) {
  extra.nodes = nodes;
  layers.extra.replaceChildren(svg("g", { transform: onSheet() }, ...nodes));
}
extra.nodes = [];

let guides = () => [];

/** Whoever knows the guides says here how they are drawn. */
export const withGuides = (drawer) => (guides = drawer);

/** Draws everything that belongs to the selection. */
export function redraw() {
  const chosen = sheet.selected.filter((id) => group(id));
  const parts = [];
  if (sheet.stage === "settle") {
    if (chosen.length) parts.push(...lit(chosen));
  } else if (sheet.stage !== "deliver" || sheet.choosing) {
    const d = chosen.map(form).join("");
    parts.push(svg("g", { transform: onSheet() }, ...["casing", "chosen"].map((kind) => svg("path", { d, class: kind, ...thin }))));
    if (sheet.stage === "arrange" && chosen.length) parts.push(...handles(chosen), ...own(chosen));
    if (sheet.stage === "dress" && chosen.length) parts.push(...(chosen.every((id) => panel(id).role !== undefined) ? handles(chosen) : []), ...castMarks(chosen));
  }
  layers.guides.replaceChildren(...(sheet.stage === "arrange" ? [svg("g", { transform: onSheet() }, ...guides())] : []));
  layers.stage.replaceChildren(...parts);
  layers.stage.removeAttribute("transform");
  marks.style.translate = "";
  layers.extra.replaceChildren(svg("g", { transform: onSheet() }, ...extra.nodes));
  label(chosen);
}

/** Shifts the drawn marks by mm, while panels are dragged. */
export function slide(by) {
  const step = `${by.x * view.scale}px ${by.y * view.scale}px`;
  marks.style.translate = step;
  tag.style.translate = step;
}

/** Turns the drawn marks about a place in the well, while panels that reach so many pixels from it are turned; the tag shows {@code words}. */
export function swing(by, about, reach, words) {
  layers.stage.setAttribute("transform", `rotate(${by} ${about.x} ${about.y})`);
  tag.lastElementChild.textContent = words;
  // Clear of the panels, however they are turned.
  tag.style.transform = `translate(${about.x - tag.offsetWidth / 2}px, ${Math.min(marks.clientHeight - tag.offsetHeight - 6, about.y + reach + 14)}px)`;
}

/** The frame that handles belong to: a single panel's own, or the upright box of several. */
export function frame(chosen) {
  if (chosen.length === 1) {
    const { seat } = panel(chosen[0]);
    return { matrix: seatMatrix({ ...seat, mirrored: false }), width: seat.width, height: seat.height };
  }
  const [left, top, right, bottom] = union(chosen.map((id) => panel(id).bounds));
  return { matrix: new DOMMatrix().translate((left + right) / 2, (top + bottom) / 2), width: right - left, height: bottom - top };
}

function handles(chosen) {
  const { matrix, width, height } = frame(chosen);
  const off = chosen.length === 1 && panel(chosen[0]).corners ? ASIDE / view.scale : 0;
  const at = (x, y) => toScreen(apply(matrix, x * (width / 2 + off), y * (height / 2 + off)));
  const corners = [[-1, -1], [1, -1], [1, 1], [-1, 1]].map(([x, y]) => at(x, y));
  const hull = svg("path", { class: "hull", d: `M${corners.map((p) => `${p.x} ${p.y}`).join("L")}Z` });
  const locked = chosen.every((id) => panel(id).locked);
  if (locked) return [hull];
  const top = at(0, -1);
  const knob = toScreen(apply(matrix, 0, -(height / 2 + off) - 24 / view.scale));
  const seen = { x: Math.max(30, Math.min(marks.clientWidth - 12, knob.x)), y: Math.max(30, Math.min(marks.clientHeight - 12, knob.y)) };
  return [hull, svg("path", { class: "hull", d: `M${top.x} ${top.y}L${seen.x} ${seen.y}` }), svg("circle", { class: "handle turn", "data-handle": "turn", cx: seen.x, cy: seen.y, r: 5.5 }),
    ...HANDLES.filter(([, , y]) => !y || !chosen.every((id) => panel(id).role === "rule")).map(([name, x, y]) => {
      const p = at(x, y);
      return svg("rect", { class: `handle ${name}`, "data-handle": name, x: p.x - 4.5, y: p.y - 4.5, width: 9, height: 9, rx: 2 });
    })];
}

/** A shadow's handle stands so many pixels from the middle of what casts it, and farther by the shadow's own distance. */
export const LEVER = { shadow: 34, inner: 17 };

/** The handles of the shadows, behind and inside, of the first that has one. */
const castMarks = (chosen) => ["inner", "shadow"].flatMap((which) => castMark(chosen, which));

function castMark(chosen, which) {
  const id = chosen.find((one) => panel(one)[which]);
  if (!id) return [];
  const { distance, direction } = castAt.which === which ? castAt.shadow : panel(id)[which];
  const from = toScreen(panel(id).seat.centre);
  const long = LEVER[which] + distance * view.scale;
  const to = { x: from.x + Math.sin(direction * Math.PI / 180) * long, y: from.y - Math.cos(direction * Math.PI / 180) * long };
  const d = `M${from.x} ${from.y}L${to.x} ${to.y}`;
  return [svg("path", { class: "cast-casing", d }), svg("path", { class: "cast-line", d }), svg("circle", { class: "cast-foot", cx: from.x, cy: from.y, r: 3 }),
    svg("circle", { class: `cast ${which}`, "data-handle": "cast", "data-cast": which, cx: to.x, cy: to.y, r: 7 })];
}

/** Draws a shadow's handle elsewhere while it is dragged, and says where; null goes back to where the server has it. */
export function castAt(which, shadow, words) {
  castAt.which = shadow && which;
  castAt.shadow = shadow;
  redraw();
  if (shadow) tag.lastElementChild.textContent = words;
}

/** The handles of a form's own numbers, a little inside where they would lie under those of the box, and its corners. */
function own(chosen) {
  const { seat, grips = [], corners = [], locked } = panel(chosen[0]);
  if (chosen.length > 1 || locked) return [];
  const matrix = seatMatrix(seat);
  const middle = toScreen(seat.centre);
  const pulls = grips.map(({ name, at }) => {
    const p = toScreen(apply(matrix, at.x, at.y));
    const long = Math.hypot(middle.x - p.x, middle.y - p.y) || 1;
    const step = name.includes("-") ? Math.min(15, long / 2) : 0;
    return svg("circle", { class: "pull", "data-pull": name, cx: p.x + (middle.x - p.x) / long * step, cy: p.y + (middle.y - p.y) / long * step, r: 4.5 });
  });
  return [...pulls, ...corners.map((c, i) => {
    const p = toScreen(apply(matrix, c.x, c.y));
    return svg("path", { class: "corner", "data-corner": i, d: `M${p.x - 6} ${p.y}L${p.x} ${p.y - 6}L${p.x + 6} ${p.y}L${p.x} ${p.y + 6}Z` });
  })];
}

function lit(chosen) {
  const far = "M-99999 -99999H99999V99999H-99999Z";
  const one = subject(chosen[0]);
  const lettered = chosen.some((id) => panel(id).words?.[sheet.layer]);
  const alone = one.picture && !lettered && (chosen.length === 1 || one.whole && chosen.every((id) => one.members.includes(id)));
  const windows = [...new Set([...chosen, ...(alone ? one.members : [])])].map(form).join("");
  const parts = [svg("path", { class: "dim", d: far + windows, "fill-rule": "evenodd", transform: onSheet() })];
  const onBoard = svg("g", { transform: onSheet() });
  parts.push(onBoard);
  if (alone) {
    const matrix = lit.matrix || pictureMatrix(one.seat, one.picture);
    const { width, height } = one.picture;
    const box = { width, height, transform: matrixText(matrix), ...thin };
    const href = image(chosen[0]).getAttribute("href");
    const along = [svg("image", { href, preserveAspectRatio: "none", ...box }), svg("rect", { class: "edge-casing", ...box }), svg("rect", { class: "edge", ...box })];
    onBoard.append(
      svg("clipPath", { id: "beyond" }, svg("path", { d: far + windows, "clip-rule": "evenodd" })),
      svg("g", { "clip-path": "url(#beyond)", opacity: 0.36 }, along[0]), along[1], along[2]);
    if (chosen.length === 1) onBoard.append(thirds(chosen[0], panel(chosen[0])));
    const around = svg("g", {}, ...aroundPicture(one, matrix));
    parts.push(around);
    lit.drawn = { one, along, around };
  }
  for (const kind of ["casing", "chosen"]) for (const id of chosen) onBoard.append(svg("path", { d: form(id), class: kind, ...thin }));
  return parts;
}

const aroundPicture = (one, matrix) => [...slack(one, matrix), ...grips(matrix, one.picture.width, one.picture.height), ...focalMark(matrix, one.picture)];

/** At each edge of the lit picture, how far it is beyond what is seen through its panels, along its own axes. */
function slack({ seat, picture }, matrix) {
  const { reach: [left, top, right, bottom], placement, width, height } = picture;
  const own = new DOMMatrix().rotate(-placement.turn).multiply(seatMatrix(seat).inverse()).multiply(matrix);
  const corners = [apply(own, 0, 0), apply(own, width, height)];
  const [x0, x1] = [Math.min(corners[0].x, corners[1].x), Math.max(corners[0].x, corners[1].x)];
  const [y0, y1] = [Math.min(corners[0].y, corners[1].y), Math.max(corners[0].y, corners[1].y)];
  const back = seatMatrix(seat).multiply(new DOMMatrix().rotate(placement.turn));
  const at = (x, y) => toScreen(apply(back, x, y));
  // Just inside the picture's edge; in the middle of a narrow strip.
  const near = (from, to) => to - Math.sign(to - from) * Math.min(Math.abs(to - from) / 2, 16 / view.scale);
  return [[left - x0, near(left, x0), (top + bottom) / 2], [x1 - right, near(right, x1), (top + bottom) / 2],
    [top - y0, (left + right) / 2, near(top, y0)], [y1 - bottom, (left + right) / 2, near(bottom, y1)]].filter(([by]) => Math.abs(by) > 0.005).map(([by, x, y]) => {
    const p = at(x, y);
    const seen = { x: Math.max(56, Math.min(marks.clientWidth - 44, p.x)), y: Math.max(30, Math.min(marks.clientHeight - 12, p.y)) };
    const text = svg("text", { class: by < 0 ? "slack lacking" : "slack", x: seen.x, y: seen.y });
    text.textContent = length(by);
    return text;
  });
}

/** A ring with four strokes around the spot that must be seen. */
function focalMark(matrix, { focal, width, height }) {
  if (!focal) return [];
  const p = toScreen(apply(matrix, focal.x * width, focal.y * height));
  const strokes = [[-1, 0], [1, 0], [0, -1], [0, 1]].map(([x, y]) => `M${p.x + x * 9} ${p.y + y * 9}L${p.x + x * 16} ${p.y + y * 16}`).join("");
  return ["focal-casing", "focal"].map((name) => svg("path", { class: name, d: `M${p.x - 10} ${p.y}a10 10 0 1 0 20 0a10 10 0 1 0 -20 0${strokes}` }));
}

/** Draws the lit picture's marks at another place while a gesture runs; null goes back to where the server has it. */
export function litAt(matrix) {
  lit.matrix = matrix;
  if (!matrix || !lit.drawn?.around.isConnected) return redraw();
  // Only what goes along with the picture: the forms of its panels, perhaps hundreds, stay as they are drawn.
  const { one, along, around } = lit.drawn;
  for (const node of along) node.setAttribute("transform", matrixText(matrix));
  // Cut out around very many forms, the unseen part is too slow to follow: it comes back when the picture rests.
  if (one.members.length > MANY) along[0].setAttribute("visibility", "hidden");
  around.replaceChildren(...aroundPicture(one, matrix));
  label(sheet.selected.filter((id) => group(id)));
}

function thirds(id, { seat }) {
  const x = seat.width / 6;
  const y = seat.height / 6;
  const d = `M${-x} ${-3 * y}V${3 * y}M${x} ${-3 * y}V${3 * y}M${-3 * x} ${-y}H${3 * x}M${-3 * x} ${y}H${3 * x}`;
  const ninths = [-2, 0, 2].flatMap((i) => [-2, 0, 2].map((j) => `M${i * x} ${j * y}h0`)).join("");
  return svg("g", {}, svg("clipPath", { id: "inside" }, svg("path", { d: form(id), "clip-rule": "evenodd" })),
    svg("g", { "clip-path": "url(#inside)" }, svg("path", { class: "thirds", d, transform: matrixText(seatMatrix(seat)), ...thin }),
      svg("path", { class: "ninths", d: ninths, transform: matrixText(seatMatrix(seat)), ...thin })));
}

function grips(matrix, width, height) {
  const at = (x, y) => toScreen(apply(matrix, x, y));
  const dot = (p, grip, r = 5) => svg("circle", { class: "grip", "data-grip": grip, cx: p.x, cy: p.y, r });
  const middle = at(width / 2, height / 2);
  const top = at(width / 2, 0);
  const length = Math.hypot(top.x - middle.x, top.y - middle.y) || 1;
  const out = { x: (top.x - middle.x) / length, y: (top.y - middle.y) / length };
  // The turn handle stays in sight: outside the picture's top edge, but never out of the well.
  const knob = { x: top.x + out.x * 26, y: top.y + out.y * 26 };
  const seen = { x: Math.max(32, Math.min(marks.clientWidth - 16, knob.x)), y: Math.max(32, Math.min(marks.clientHeight - 16, knob.y)) };
  return [svg("path", { class: "edge", d: `M${top.x} ${top.y}L${seen.x} ${seen.y}` }), dot(seen, "turn", 6.5),
    ...[[0, 0], [width, 0], [width, height], [0, height]].map(([x, y]) => dot(at(x, y), "zoom"))];
}

function label(chosen) {
  tag.style.translate = "";
  tag.hidden = !chosen.length || sheet.stage === "deliver";
  if (tag.hidden) return;
  const boxes = chosen.map((id) => panel(id).bounds);
  const [left, , right, bottom] = union(boxes);
  const parts = [bold(chosen.length === 1 ? panel(chosen[0]).name : `${chosen.length} panels`)];
  if (chosen.length === 1) {
    const { size, state, picture, seat, role } = panel(chosen[0]);
    parts.push(span(size));
    if (sheet.stage === "arrange" && seat.turn) parts.push(span(`${seat.turn.toFixed(1)}°`));
    const zoom = sheet.stage === "settle" ? subject(chosen[0]).picture?.zoom : picture?.zoom;
    if (picture && sheet.stage !== "arrange") parts.push(span(label.zoom || `${Math.round(zoom * 100)} %`));
    parts.push(role && role !== "panel" ? span(role) : span(state, state));
    if (picture && sheet.stage !== "arrange") parts.push(span(`${Math.round(picture.ppi)} ppi`));
  }
  tag.replaceChildren(...parts);
  const p = toScreen({ x: (left + right) / 2, y: bottom });
  if (sheet.stage === "settle" && chosen.length === 1) p.y = belowGrips(chosen[0], p.y);
  const x = Math.max(24, Math.min(marks.clientWidth - tag.offsetWidth - 6, p.x - tag.offsetWidth / 2));
  const y = Math.max(24, Math.min(marks.clientHeight - tag.offsetHeight - 6, p.y + 14 + (sheet.stage === "arrange" && chosen.length === 1 && panel(chosen[0]).corners ? ASIDE : 0)));
  tag.style.transform = `translate(${x}px, ${y}px)`;
}

/** The tag stands below the picture's lower corners where they are near: they are there to be grabbed. */
function belowGrips(id, y) {
  const { seat, picture } = subject(id);
  if (!picture) return y;
  const matrix = lit.matrix || pictureMatrix(seat, picture);
  const lowest = Math.max(...[[0, 0], [picture.width, 0], [picture.width, picture.height], [0, picture.height]]
    .map(([px, py]) => toScreen(apply(matrix, px, py)).y));
  return lowest > y && lowest < y + 60 ? lowest : y;
}

/** The zoom that the tag shows while a gesture runs; empty goes back to the server's. */
export function liveZoom(text) {
  label.zoom = text;
}

function span(text, name = "") {
  const node = document.createElement("span");
  node.className = name;
  node.textContent = text;
  return node;
}

function bold(text) {
  const node = document.createElement("b");
  node.textContent = text;
  return node;
}

watch(() => redraw());
