// The marks over the board: selection, handles, the lit picture's edges, thirds, previews; and the tag.
import { sheet, panel, form, group, image, watch } from "./sheet.js";
import { subject, cornersOf } from "./lit.js";
import { view, toScreen, length } from "./view.js";
import { svg, seatMatrix, pictureMatrix, matrixText, apply, union } from "./geometry.js";
import { place } from "./tag.js";

const marks = document.getElementById("marks");
const tag = document.getElementById("tag");
const hints = document.getElementById("hints");
const layers = { guides: svg("g"), stage: svg("g"), extra: svg("g"), above: svg("g") };
hints.append(layers.guides, layers.extra);
marks.append(layers.stage, layers.above);
/** So many panels of a vista can be cut out of its unseen part at every frame. */
const MANY = 12;
/** Around a form with corners of its own, the box's handles stand so many pixels off. */
const ASIDE = 10;
/** A panel with a shorter side on the screen keeps its middle free for dragging: its handles stand off, too. */
const SMALL = 60;
/** The arc that turns lies so many pixels off its corner. */
const ARC = 17;

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

/** The same over everything else, for what is grabbed. */
export function above(...nodes) {
  layers.above.replaceChildren(svg("g", { transform: onSheet() }, ...nodes));
}

let guides = () => [];

/** Whoever knows the guides says here how they are drawn. */
export const withGuides = (drawer) => (guides = drawer);

let inTone = () => [];

/** Whoever knows what is set by handles in Tone says here how they are drawn. */
export const withHandles = (drawer) => (inTone = drawer);

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
    if (sheet.stage === "tone") parts.push(...inTone());
    if (sheet.stage === "dress" && chosen.length)
      parts.push(...(chosen.every((id) => panel(id).role !== undefined) ? handles(chosen) : []), ...castMarks(chosen));
  }
  layers.guides.replaceChildren(...(sheet.stage === "arrange" ? [svg("g", { transform: onSheet() }, ...guides())] : []));
  layers.stage.replaceChildren(...parts);
  layers.stage.removeAttribute("transform");
  marks.style.translate = "";
  layers.extra.replaceChildren(svg("g", { transform: onSheet() }, ...extra.nodes));
  label(chosen);
}

/** Draws the tag anew, where a drag left it. */
redraw.tag = () => {
  const chosen = sheet.selected.filter((id) => group(id));
  const { translate } = tag.style;
  label(chosen);
  tag.style.translate = translate;
};

/** Shifts the drawn marks by mm, while panels are dragged. */
export function slide(by) {
  const step = `${by.x * view.scale}px ${by.y * view.scale}px`;
  marks.style.translate = step;
  tag.style.translate = step;
}

/**
 * Turns the drawn marks about a place in the well, while panels that reach so many pixels from it are turned; the tag shows {@code words}.
 */
export function swing(by, about, reach, words) {
  layers.stage.setAttribute("transform", `rotate(${by} ${about.x} ${about.y})`);
  tag.lastElementChild.textContent = words;
  // Clear of the panels, however they are turned.
  const down = Math.min(marks.clientHeight - tag.offsetHeight - 6, about.y + reach + 14);
  tag.style.transform = `translate(${about.x - tag.offsetWidth / 2}px, ${down}px)`;
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
  const off = aside(chosen) / view.scale;
  const at = (x, y) => toScreen(apply(matrix, x * (width / 2 + off), y * (height / 2 + off)));
  const corners = [[-1, -1], [1, -1], [1, 1], [-1, 1]].map(([x, y]) => at(x, y));
  const hull = svg("path", { class: "hull", d: `M${corners.map((p) => `${p.x} ${p.y}`).join("L")}Z` });
  const locked = chosen.every((id) => panel(id).locked);
  if (locked) return [hull];
  return [hull, ...turnArc(corners, { "data-handle": "turn" }, "turn"),
    ...HANDLES.filter(([, , y]) => !y || !chosen.every((id) => panel(id).role === "rule")).map(([name, x, y]) => {
      const p = at(x, y);
      return svg("rect", { class: `handle ${name}`, "data-handle": name, x: p.x - 4.5, y: p.y - 4.5, width: 9, height: 9, rx: 2 });
    })];
}

/** So many pixels the handles of the box stand off it. */
function aside(chosen) {
  const { width, height } = frame(chosen);
  if (Math.min(width, height) * view.scale < SMALL && !chosen.every((id) => panel(id).role === "rule")) return ASIDE + 2;
  return chosen.length === 1 && panel(chosen[0]).corners ? ASIDE : 0;
}

/** A small arc outside that corner of four, in the well, by which something is turned: the first of them that is in sight. */
function turnArc(corners, data, name) {
  const middle = { x: (corners[0].x + corners[2].x) / 2, y: (corners[0].y + corners[2].y) / 2 };
  const room = ARC + 8;
  const inSight = ({ x, y }) => x > 18 + room && y > 18 + room && x < marks.clientWidth - room && y < marks.clientHeight - room;
  const corner = [1, 2, 3, 0].map((i) => corners[i]).find(inSight);
  const at = corner || { x: Math.max(18 + room, Math.min(marks.clientWidth - room, corners[1].x)),
      y: Math.max(18 + room, Math.min(marks.clientHeight - room, corners[1].y)) };
  const heading = Math.atan2(at.y - middle.y, at.x - middle.x);
  const on = (by) => `${at.x + ARC * Math.cos(heading + by)} ${at.y + ARC * Math.sin(heading + by)}`;
  const d = `M${on(-0.75)}A${ARC} ${ARC} 0 0 1 ${on(0.75)}`;
  return [svg("path", { class: `${name}-casing`, d }), svg("path", { class: `${name}-arc`, d }),
      svg("path", { class: `${name} arc-hold`, d, ...data })];
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
  return [svg("path", { class: "cast-casing", d }), svg("path", { class: "cast-line", d }),
      svg("circle", { class: "cast-foot", cx: from.x, cy: from.y, r: 3 }),
    svg("circle", { class: `cast ${which}`, "data-handle": "cast", "data-cast": which, cx: to.x, cy: to.y, r: 7 })];
}

/** Draws a shadow's handle elsewhere while it is dragged, and says where; null goes back to where the server has it. */
export function castAt(which, shadow, words) {
  castAt.which = shadow && which;
  castAt.shadow = shadow;
  redraw();
  if (shadow) tag.lastElementChild.textContent = words;
}

/** The handles of a form's own numbers, short notches across the edge that they change, and its corners. */
function own(chosen) {
  const { seat, grips = [], corners = [], locked } = panel(chosen[0]);
  if (chosen.length > 1 || locked) return [];
  const matrix = seatMatrix(seat);
  // A small panel keeps its middle for dragging; its numbers are on the bench.
  const small = Math.min(seat.width, seat.height) * view.scale < SMALL;
  return [...(small ? [] : grips).flatMap((grip) => notch(matrix, seat, grip)), ...corners.map((c, i) => {
    const p = toScreen(apply(matrix, c.x, c.y));
    return svg("path", { class: "corner", "data-corner": i,
        d: `M${p.x - 6} ${p.y}L${p.x} ${p.y - 6}L${p.x + 6} ${p.y}L${p.x} ${p.y + 6}Z` });
  })];
}

/** A notch lies across the edge, towards the form's middle; at a corner a little inside, clear of the handle of the box. */
function notch(matrix, seat, { name, at, value }) {
  const rounded = name.includes("-");
  const way = rounded ? { x: Math.sign(name.includes("left") ? -1 : 1), y: Math.sign(name.includes("top") ? -1 : 1) }
      : { x: at.x, y: at.y };
  const long = Math.hypot(way.x, way.y) || 1;
  const radius = rounded ? Math.abs(way.x * seat.width / 2 - at.x) : 0;
  // The middle of a corner's arc lies on its diagonal.
  const edge = toScreen(apply(matrix, at.x + way.x / long * radius, at.y + way.y / long * radius));
  const origin = toScreen(apply(matrix, 0, 0));
  const tip = toScreen(apply(matrix, way.x / long, way.y / long));
  const unit = Math.hypot(tip.x - origin.x, tip.y - origin.y) || 1;
  const out = { x: (tip.x - origin.x) / unit, y: (tip.y - origin.y) / unit };
  const room = Math.hypot(edge.x - origin.x, edge.y - origin.y);
  const off = rounded ? Math.max(0, Math.min(20, room / 2) - radius * view.scale * (Math.SQRT2 - 1)) : 0;
  const p = { x: edge.x - out.x * off, y: edge.y - out.y * off };
  const d = `M${p.x - out.x * 7} ${p.y - out.y * 7}L${p.x + out.x * 7} ${p.y + out.y * 7}`;
  const marksOf = [svg("path", { class: "pull-casing", d }), svg("path", { class: "pull-notch", d }),
      svg("path", { class: "pull", "data-pull": name, d })];
  if (own.pulled !== name) return marksOf;
  const away = 18 + 12 * Math.abs(out.x);
  const label = svg("text", { class: "pull-value", x: p.x - out.x * away, y: p.y - out.y * away });
  label.textContent = value;
  return [...marksOf, label];
}

/** The grip that is being pulled shows its value; null shows none. */
export function pulling(name) {
  own.pulled = name;
}

function lit(chosen) {
  const far = "M-99999 -99999H99999V99999H-99999Z";
  const one = subject(chosen[0]);
  const lettered = chosen.some((id) => panel(id).words?.[sheet.layer]);
  const alone = one.picture && !lettered && (chosen.length === 1 || one.whole && chosen.every((id) => one.members.includes(id)));
  const seen = [...new Set([...chosen, ...(alone ? one.members : [])])];
  const windows = seen.map(form).join("");
  // Filled even-odd, forms that lie over each other would shut where two of them are: then each is cut out by itself, which costs more.
  const around = overlapping(seen) ? { mask: "url(#around)", d: far } : { d: far + windows, "fill-rule": "evenodd" };
  const parts = [...("mask" in around ? [outside("around", seen, far)] : []),
      svg("g", { transform: onSheet() }, svg("path", { class: "dim", ...around }))];
  const onBoard = svg("g", { transform: onSheet() });
  parts.push(onBoard);
  if (alone && one.picture.seen) parts.push(svg("g", {}, ...mountMarks(one)));
  else if (alone) {
    const matrix = lit.matrix || pictureMatrix(one.seat, one.picture);
    const { width, height } = one.picture;
    const box = { width, height, transform: matrixText(matrix), ...thin };
    const href = image(chosen[0]).getAttribute("href");
    const along = [svg("image", { href, preserveAspectRatio: "none", ...box }), svg("rect", { class: "edge-casing", ...box }),
        svg("rect", { class: "edge", ...box })];
    onBoard.append(
      svg("clipPath", { id: "beyond" }, svg("path", { d: far + windows, "clip-rule": "evenodd" })),
      svg("g", { ...("mask" in around ? { mask: "url(#around)" } : { "clip-path": "url(#beyond)" }), opacity: 0.36 }, along[0]),
          along[1], along[2]);
    if (chosen.length === 1) onBoard.append(thirds(chosen[0], panel(chosen[0])));
    const handles = svg("g", {}, ...aroundPicture(one, matrix));
    parts.push(handles);
    lit.drawn = { one, along, around: handles };
  }
  for (const kind of ["casing", "chosen"]) for (const id of chosen) onBoard.append(svg("path", { d: form(id), class: kind, ...thin }));
  return parts;
}

/** The plane that a picture is mounted in, and its corners to grab. */
function mountMarks(one) {
  const corners = cornersOf(one).map(toScreen);
  const d = `M${corners.map((p) => `${p.x} ${p.y}`).join("L")}Z`;
  return [svg("path", { class: "plane-casing", d }), svg("path", { class: "plane", d }), ...corners.map(({ x, y }, i) =>
    svg("circle", { class: i === mountMarks.taken ? "mount-corner taken" : "mount-corner", "data-mount": i, cx: x, cy: y, r: 6 }))];
}

/** The corner that keys move is marked; none where it is left out. */
export function takeCorner(i) {
  mountMarks.taken = i;
  redraw();
}

/** Whether any two of these panels can lie over each other. */
function overlapping(chosen) {
  const boxes = chosen.map((id) => panel(id).bounds).sort((a, b) => a[0] - b[0]);
  const over = 0.01;
  return boxes.some((a, i) => {
    for (let j = i + 1; j < boxes.length && boxes[j][0] < a[2] - over; j++)
      if (boxes[j][1] < a[3] - over && a[1] < boxes[j][3] - over) return true;
    return false;
  });
}

/** A mask that lets through all but these panels. */
function outside(id, chosen, far) {
  return svg("mask", { id, maskUnits: "userSpaceOnUse", x: -99999, y: -99999, width: 199998, height: 199998 },
    svg("path", { d: far, fill: "#fff" }), ...chosen.map((one) => svg("path", { d: form(one), fill: "#000", "fill-rule": "evenodd" })));
}

const aroundPicture = (one, matrix) => [...slack(one, matrix), ...grips(matrix, one.picture.width, one.picture.height),
    ...focalMark(matrix, one.picture)];

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
    [top - y0, (left + right) / 2, near(top, y0)], [y1 - bottom, (left + right) / 2, near(bottom, y1)]].filter(([by]) =>
        Math.abs(by) > 0.005).map(([by, x, y]) => {
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
  const strokes = [[-1, 0], [1, 0], [0, -1], [0, 1]].map(([x, y]) => `M${p.x + x * 9} ${p.y + y * 9}L${p.x + x * 16} ${p.y + y * 16}`)
      .join("");
  return ["focal-casing", "focal"].map((name) => svg("path",
      { class: name, d: `M${p.x - 10} ${p.y}a10 10 0 1 0 20 0a10 10 0 1 0 -20 0${strokes}` }));
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
  return svg("g", {}, svg("clipPath", { id: "inside" }, svg("use", { href: `#form-${id}` })),
    svg("g", { "clip-path": "url(#inside)" }, svg("path", { class: "thirds", d, transform: matrixText(seatMatrix(seat)), ...thin }),
      svg("path", { class: "ninths", d: ninths, transform: matrixText(seatMatrix(seat)), ...thin })));
}

function grips(matrix, width, height) {
  const corners = [[0, 0], [width, 0], [width, height], [0, height]].map(([x, y]) => toScreen(apply(matrix, x, y)));
  return [...turnArc(corners, { "data-grip": "turn" }, "grip-turn"),
      ...corners.map(({ x, y }) => svg("circle", { class: "grip", "data-grip": "zoom", cx: x, cy: y, r: 5 }))];
}

const PLURALS = { panel: "panels", float: "floats", caption: "captions", rule: "rules" };

/** "4 rules"; "3 elements" where they are of several kinds. */
function counted(chosen) {
  const kinds = new Set(chosen.map((id) => panel(id).role || "panel"));
  return `${chosen.length} ${kinds.size === 1 ? PLURALS[[...kinds][0]] : "elements"}`;
}

function label(chosen) {
  tag.style.translate = "";
  tag.hidden = !chosen.length || sheet.stage === "deliver";
  if (tag.hidden) return;
  const parts = [bold(chosen.length === 1 ? panel(chosen[0]).name : counted(chosen))];
  if (chosen.length === 1) {
    const { size, picture, seat, role } = panel(chosen[0]);
    const state = label.state || panel(chosen[0]).state;
    parts.push(span(size));
    if (sheet.stage === "arrange" && seat.turn) parts.push(span(`${seat.turn.toFixed(1)}°`));
    const zoom = sheet.stage === "settle" ? subject(chosen[0]).picture?.zoom : picture?.zoom;
    if (picture && sheet.stage !== "arrange") parts.push(span(label.zoom || `${Math.round(zoom * 100)} %`));
    parts.push(role && role !== "panel" ? span(role) : span(state, state));
    if (picture && sheet.stage !== "arrange") parts.push(span(`${Math.round(picture.ppi)} ppi`));
  }
  tag.replaceChildren(...parts);
  place(tag, chosenBox(chosen),
          [...layers.stage.querySelectorAll(".slack, .grip, .handle, .arc-hold, .corner, .cast, .pull-value, .grab")]);
}

/** The box of what is judged, in the well: the panels themselves, and the handles that stand off them. */
function chosenBox(chosen) {
  const [left, top, right, bottom] = union(chosen.map((id) => panel(id).bounds));
  const a = toScreen({ x: left, y: top });
  const b = toScreen({ x: right, y: bottom });
  const off = sheet.stage === "arrange" ? aside(chosen) : 0;
  return { left: a.x - off, top: a.y - off, right: b.x + off, bottom: b.y + off };
}

/** The state that the tag shows while a gesture runs; empty goes back to the server's. */
export function liveState(state) {
  label.state = state;
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
