// What the page knows of the sheet: its facts, its panels as the server sent them, and what is selected.
import { numbers, whole } from "./arrival.js";

const { dataset } = document.body;

export const sheet = {
  id: dataset.sheet, version: Number(dataset.version), stage: dataset.stage, unit: dataset.unit, ppi: Number(dataset.ppi),
  width: Number(dataset.width), height: Number(dataset.height), selected: [], key: null, layer: -1,
  guides: JSON.parse(document.getElementById("board").dataset.guides),
  vistas: JSON.parse(document.getElementById("board").dataset.vistas),
      swatches: JSON.parse(document.getElementById("board").dataset.swatches), whole: sessionStorage.getItem("lantern.whole") !== "no",
};

const layer = document.getElementById("panels");
// Very many are laid out once, when all are there.
for (const part of document.querySelectorAll(".arriving")) part.classList.remove("arriving");
const listeners = [];

/** The group of a panel on the board, with all that is painted into it. */
export const group = (id) => whole(place(id));

/** It as it is by now: its form and its numbers are there. */
function place(id) {
  // Its form has an id of its own: of thousands it is found at once.
  const there = document.getElementById(`form-${id}`)?.parentNode;
  return there?.parentNode === layer ? there : layer.querySelector(`:scope > [data-id="${id}"]`);
}

/** The numbers that the server sent with a panel. */
export function panel(id) {
  const g = place(id);
  return (g.numbers ||= Object.defineProperty(JSON.parse(numbers(g)), "picture", { get() { return this.pictures?.[acting(this)]; } }));
}

/** The layer that gestures mean: the chosen one where it is a picture, else the frontmost picture. */
const acting = ({ pictures, front }) => (pictures && sheet.layer in pictures ? sheet.layer : front);

/** The image of the picture that gestures mean. */
export const image = (id) => group(id).querySelector(`image[data-layer="${acting(panel(id))}"]`);

/** Chooses a layer of the lit panels, counted from the back; -1 is the frontmost picture. */
export function choose(at) {
  sheet.layer = at;
  changed("selection");
}

export const groups = () => [...layer.children];
export const ids = () => groups().map((g) => g.dataset.id);
export const form = (id) => place(id).querySelector(".form").getAttribute("d");

/** The address of an image's pixels up to their size. */
const pixels = (href) => href.replace(/[^/]+$/, "");

/** The address that an image shows, or will show once it is there. */
export const wanted = (image) => image.dataset.waits || image.getAttribute("href");

/** The level of pixels that an image shows, or will show. */
export const level = (image) => wanted(image).match(/[^/]+$/)[0];

/** Whether an image is what a glaze shows, or what a veil leaves: painted with as many pixels as are asked for. */
export const glazed = (image) => /\/(glazes|veils)\//.test(wanted(image));

/** The address of an image's picture without its tones, which nothing is painted for as it moves. */
export const plain = (image) => `${image.dataset.before}/${still(image)}`;

const still = (image) => level(image).replace("live", glazed(image) ? "640" : "medium");

/** What a glaze shows is not what lies beneath it now, as long as it waits for its pixels. */
function waiting(image) {
  const glaze = image.closest(".panel.glaze");
  glaze?.classList.toggle("waits", Boolean(glaze.querySelector("image[data-waits]")));
}

/** Shows an address now; what was waited for is not shown any more. */
export function display(image, href) {
  delete image.dataset.waits;
  image.setAttribute("href", href);
  waiting(image);
  // A mask is there: what stood for it goes.
  if (image.dataset.veil) image.parentNode.querySelector(".veil-before")?.remove();
}

/**
 * Shows other pixels as soon as they are there; until then those that are shown stay, and whoever asks last is heard. Comes to its end
 * when they are there.
 */
export function load(image, href) {
  image.dataset.waits = href;
  waiting(image);
  const loader = new Image();
  return new Promise((ended) => {
    loader.onload = loader.onerror = () => {
      if (image.dataset.waits === href) display(image, href);
      ended();
    };
    loader.src = href;
  });
}

/** Keeps the pixels that are on the screen already: no flash of a coarser preview, nor of nothing where they are treated otherwise. */
function keep(image, now) {
  let href = wanted(image);
  const shown = [...now?.querySelectorAll(`image[data-picture="${image.dataset.picture}"]`) || []];
  const same = shown.find((one) => pixels(one.getAttribute("href")) === pixels(href));
  const before = same || shown.find((one) => one.dataset.layer === image.dataset.layer);
  // A glaze goes on with as many pixels as it had.
  if (before && glazed(image)) href = href.replace(/[^/]+$/, still(before));
  if (before) image.setAttribute("href", before.getAttribute("href"));
  // One that was remembered while it waited goes on waiting.
  return before && !same || image.dataset.waits ? load(image, href) : null;
}

/** So many pixels has a mask along its longer side while something of it moves. */
const SWIFT = 320;

/** A mask goes on as it was, with all that a brush painted meanwhile, until it is there; a first one leaves everything until then. */
function keepMask(image, now, swift) {
  const mask = image.parentNode;
  const was = now?.querySelector(`[id="${mask.id}"]`);
  const before = document.createElementNS("http://www.w3.org/2000/svg", "g");
  before.setAttribute("class", "veil-before");
  const shown = was?.firstElementChild.dataset.veil && was.firstElementChild;
  const same = shown && pixels(wanted(shown)) === pixels(wanted(image));
  const side = swift && !same ? SWIFT : Math.max(level(image), shown ? level(shown) : 0);
  const href = wanted(image).replace(/[^/]+$/, side);
  // One that was remembered while it waited had something in its place.
  mask.replaceChildren(image);
  if (shown && was.childElementCount === 1 && !shown.dataset.waits && shown.getAttribute("href") === href)
    return void display(image, href);
  if (was) {
    before.append(...was.childNodes);
  } else {
    const all = document.createElementNS("http://www.w3.org/2000/svg", "rect");
    for (const name of ["x", "y", "width", "height"]) all.setAttribute(name, mask.getAttribute(name));
    all.setAttribute("fill", "#fff");
    before.append(all);
  }
  for (const old of before.querySelectorAll("[data-veil]")) delete old.dataset.veil;
  image.removeAttribute("href");
  image.after(before);
  return load(image, href);
}

/** Puts a panel's group, as the server drew it, in place of the one with that id; comes to its end when its pictures are there. */
export function draw(id, svg, swift = false) {
  const holder = document.createElementNS("http://www.w3.org/2000/svg", "svg");
  holder.innerHTML = svg;
  const next = holder.firstElementChild;
  const now = group(id);
  const loading = [...next.querySelectorAll("image[data-picture]")].map((image) => keep(image, now));
  loading.push(...[...next.querySelectorAll("image[data-veil]")].map((image) => keepMask(image, now, swift)));
  if (now) now.replaceWith(next);
  else layer.append(next);
  return Promise.all(loading);
}

/**
 * Draws what an edit would make of a panel that is there; one that another window took away meanwhile stays away. With {@code swift}
 * pictures that the server paints for it have as few pixels as will do while something moves.
 */
export function drawPreview(id, svg, swift = false) {
  if (!group(id)) return null;
  const painted = swift ? svg.replace(/(\/pictures\/\w+\/[\w-]+\/)medium|(\/glazes\/[\w-]+\/[\w-]+\/)\d+/g, "$1$2live") : svg;
  const loading = draw(id, painted, swift);
  group(id).dataset.preview = "";
  return loading;
}

/** Remembers how panels are drawn now; the answer draws those so again that a preview changed, and nothing newer. */
export function remember(chosen) {
  const was = chosen.filter(group).map((id) => [id, group(id).outerHTML]);
  return () => was.forEach(([id, html]) => group(id)?.dataset.preview === "" && draw(id, html));
}

export function order(wanted) {
  const there = new Set(wanted);
  for (const g of groups()) if (!there.has(g.dataset.id)) g.remove();
  ids().every((id, i) => id === wanted[i]) || wanted.forEach((id) => layer.append(place(id)));
}

/** The panels that are selected together with one, itself first: its group, or itself alone. */
export function mates(id) {
  const { group: name } = panel(id);
  return name ? [id, ...ids().filter((other) => other !== id && panel(other).group === name)] : [id];
}

/** The selection with a panel taken in, or out where it was in. */
export const toggled = (id) => (sheet.selected.includes(id) ? sheet.selected.filter((other) => other !== id) : [...sheet.selected, id]);

/** Selects panels, the one clicked first at the head; {@code key} is the one clicked last, which stays when others line up with it. */
export function select(wanted, key = wanted.at(-1)) {
  const there = new Set(ids());
  sheet.key = key;
  sheet.layer = -1;
  sheet.selected = [...new Set(wanted)].filter((id) => there.has(id));
  changed("selection");
}

/** A press on the empty paper lets go of the selection, unless Shift is held to go on with it. */
export const letGo = (event) => event.shiftKey || select([]);

/** A click that only selects; the panel that was clicked, if any. */
export function pick(event) {
  const id = event.target.closest?.(".panel")?.dataset.id;
  if (!id) letGo(event);
  else select(event.shiftKey ? toggled(id) : [id]);
  return id;
}

/** Calls back with "selection", "sheet" or "view" whenever that changed. */
export const watch = (listener) => listeners.push(listener);
export const changed = (what) => listeners.forEach((listener) => listener(what));
