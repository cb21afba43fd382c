// Fill: pictures go into panels, by click, by drag, one by one; what a panel shows can be swapped with another's.
import { sheet, select, letGo, toggled, remember, panel, form, drawPreview, watch } from "./sheet.js";
import { edit, previewer } from "./server.js";
import { extra } from "./marks.js";
import { svg, union } from "./geometry.js";
import { toSheet, place } from "./view.js";
import { say } from "./notes.js";
import { bring, dropped } from "./bring.js";
import { bringDrawing, isDrawing, pasteDrawing } from "./drawings.js";
import { aspect, unlike, meant, onPicture, unmark } from "./shelf.js";
import { copyContent, pasteContent } from "./copies.js";
import { onBench } from "./bench-parts.js";

const bench = document.getElementById("bench");
const well = document.getElementById("well");
const note = document.getElementById("drop-note");
const hand = document.getElementById("loaded");
/** So many of the waiting pictures are shown. */
const SHOWN = 12;
let carried = null;
/** Pictures that wait to be placed, one a click. */
let loaded = [];

export function press(event) {
  const id = event.target.closest?.(".panel")?.dataset.id;
  if (loaded.length) return placeNext(id, toSheet(place(event)));
  if (!id) {
    letGo(event);
    return null;
  }
  const several = event.shiftKey || event.ctrlKey || event.metaKey;
  const was = sheet.selected.includes(id);
  if (several) select(toggled(id));
  else if (!was || sheet.selected.length > 1) select([id]);
  if (!panel(id).picture) return null;
  let over = null;
  let anew = false;
  return {
    move(now) {
      anew = now.altKey;
      over = panelAt(now);
      target(over === id ? null : over);
    },
    end() {
      target(null);
      if (over && over !== id) edit({ kind: "swap", one: id, other: over, anew });
    },
    cancel: () => target(null),
  };
}

/** The panel there; while a picture is dragged the well lies over all of them. */
function panelAt(event) {
  const [top, next] = document.elementsFromPoint(event.clientX, event.clientY);
  return (carried && top === well ? next : top)?.closest?.(".panel")?.dataset.id;
}

const targets = (chosen) => extra(...chosen.map((id) => svg("path",
    { class: "target", d: form(id), "vector-effect": "non-scaling-stroke" })));
const target = (id) => targets(id ? [id] : []);

/** Whether a dragged picture goes behind all of the selection: with Alt, as chosen on the bench, or over the gap between its panels. */
function through(event, id) {
  if (sheet.selected.length < 2) return false;
  if (id) return sheet.selected.includes(id) && (event.altKey || goes() === "vista");
  const p = toSheet(place(event));
  const [left, top, right, bottom] = union(sheet.selected.map((one) => panel(one).bounds));
  return p.x > left && p.x < right && p.y > top && p.y < bottom;
}

/** Where a picture goes, as chosen on the bench: "each", "same", "top" or "vista". */
const goes = () => document.querySelector("[name=goes]")?.value || "each";

const GOES = { same: "New pictures: replace in the same place", top: "New pictures: add on top",
    vista: "New pictures: span the selected panels" };
const rule = document.getElementById("goes-note");

/** Any other way than the usual one is said at the board while it is on. */
function sayGoes() {
  const says = sheet.stage === "fill" && GOES[goes()];
  rule.hidden = !says;
  if (says) rule.querySelector("span").textContent = says;
}
rule.querySelector("button").addEventListener("click", () => {
  const field = bench.querySelector("[name=goes]");
  field.value = "each";
  field.dispatchEvent(new Event("change", { bubbles: true }));
});

const SHARP = { kind: "rectangle", topLeft: 0, topRight: 0, bottomRight: 0, bottomLeft: 0 };
/** A cutout stands on the sheet as it is, without a panel. */
const cutout = (picture) => "cutout" in (document.querySelector(`.shelf-picture[data-picture="${picture}"]`)?.dataset || {});

const filling = (panels, picture) => ({
  top: { kind: "add-layer", what: "picture", panels, picture }, same: { kind: "replace-picture", panels, by: picture },
})[goes()] || { kind: "fill", panels, picture };

/** Puts a picture into the selected panels; says what is missing where none is selected. */
function fill(picture) {
  if (!sheet.selected.length) say("Select the panels first, or drag the picture onto one.");
  else if (goes() === "vista") vista(picture);
  else {
    const other = goes() === "same" && sheet.selected.some((id) => differs(panel(id).picture, picture));
    edit(filling(sheet.selected, picture)).then((made) => made && other
        && say("It has other proportions: the same frame is covered by its middle."));
  }
}
onPicture(fill);

/** Whether a picture of the shelf has other proportions than the one that is shown. */
function differs(shown, picture) {
  return Boolean(shown) && unlike(shown.width / shown.height, aspect(picture));
}

/** One picture behind the selection; where that is one vista already, its picture is replaced in register. */
function vista(picture) {
  const shown = new Set(sheet.selected.map((id) => panel(id).picture?.vista));
  const [only] = shown;
  edit(shown.size === 1 && only ? { kind: "replace-vista", vista: only, picture }
      : { kind: "make-vista", panels: sheet.selected, picture });
}

bench.addEventListener("click", (event) => {
  if (event.target.closest("[data-copy]")) copyContent();
  if (event.target.closest("[data-paste]")) pasteContent(false);
  if (event.target.closest("[data-put-in]")) putIn();
  if (!event.target.closest("[data-load]")) return;
  loaded = meant();
  unmark();
  showHand();
});

function putIn() {
  const floats = sheet.selected.filter((id) => panel(id).role === "float");
  edit({ kind: "put-in", floats, panel: sheet.selected.find((id) => !floats.includes(id)) });
}

/** Puts the next waiting picture into the panel that was pressed; on the bare sheet it gets a panel of its own shape there. */
function placeNext(id, at) {
  const onSheet = at.x >= 0 && at.y >= 0 && at.x <= sheet.width && at.y <= sheet.height;
  if (!id && !onSheet) return null;
  const picture = loaded.shift();
  look.off(false);
  edit(id ? filling([id], picture) : framing(picture, at));
  showHand();
  return null;
}

/** What makes a panel of a picture at a place on the sheet; a cutout stands there without one. */
const framing = (picture, at) => ({ kind: "frame-picture", picture, ...(cutout(picture) ? {} : { outline: SHARP }), x: at.x, y: at.y });

/** Lays the waiting pictures down again; false where there are none. */
export function unload() {
  if (!loaded.length) return false;
  loaded = [];
  look.off();
  showHand();
  return true;
}

/** The pictures that wait stand in a strip at the board, the next one marked. */
function showHand() {
  hand.hidden = !loaded.length;
  if (!loaded.length) return;
  hand.querySelector("strong").textContent = loaded.length === 1 ? "Click where the last one goes"
      : `Click where each of ${loaded.length} goes`;
  hand.querySelector("ol").replaceChildren(...loaded.slice(0, SHOWN).map((picture, i) => {
    const item = document.createElement("li");
    const image = document.createElement("img");
    image.src = `/pictures/${picture}/small`;
    image.alt = i ? "" : "The next one";
    item.classList.toggle("next", i === 0);
    item.append(image);
    return item;
  }));
}

hand.querySelector("button").addEventListener("click", unload);

well.addEventListener("pointermove", (event) => loaded.length && look.at(event.target.closest?.(".panel")?.dataset.id || null, loaded[0]));
well.addEventListener("pointerleave", () => loaded.length && look.at(null));
watch((what) => what === "stage" && unload());
watch((what) => what === "stage" && sayGoes());
onBench("[name=goes]", sayGoes);
bench.addEventListener("change", (event) => event.target.name === "goes" && sayGoes());


/** The panel under a dragged picture shows what it would look like, until the picture moves on. */
const look = {
  id: null, back: null, live: null,
  at(id, picture) {
    if (id === this.id) return;
    this.off();
    if (!id) return;
    Object.assign(this, { id, back: remember([id]) });
    this.live = previewer((result) => {
      for (const part of result?.changed || []) if (part.id === this.id) drawPreview(part.id, part.board);
    });
    this.live.want(filling([id], picture));
  },
  off(restore = true) {
    this.live?.close();
    if (this.id && restore) this.back();
    this.id = null;
  },
};

bench.addEventListener("dragstart", (event) => {
  const picture = event.target.closest(".shelf-picture");
  if (!picture) return;
  carried = picture.dataset.picture;
  // A drop goes to what the pointer was over last. A panel may be drawn anew just then, by its preview; the well is always there.
  well.classList.add("carrying");
  event.dataTransfer.effectAllowed = "copy";
  event.dataTransfer.setData("text/plain", picture.title);
  event.dataTransfer.setDragImage(picture.querySelector("img"), 40, 34);
});

/** The dragged picture is let go, wherever that was. */
function letDown() {
  if (!carried) return;
  carried = null;
  look.off();
  target(null);
  well.classList.remove("carrying");
}
bench.addEventListener("dragend", letDown);
// Where the card that was dragged is gone, nothing tells of the end. A pointer that moves drags nothing.
window.addEventListener("pointermove", letDown, true);

/** Whether a drop would be on the sheet itself: a picture let go there gets a panel of its own. */
const free = (event) => Boolean(document.elementFromPoint(event.clientX, event.clientY)?.closest("#well"))
    && ((p) => p.x >= 0 && p.y >= 0 && p.x <= sheet.width && p.y <= sheet.height)(toSheet(place(event)));

const files = (event) => [...(event.dataTransfer?.types || [])].includes("Files");

function over(event) {
  if (!carried && !files(event)) return;
  const id = panelAt(event);
  const all = through(event, id);
  if (all) targets(sheet.selected);
  else target(id);
  if (carried) look.at(all ? null : id, carried);
  if (files(event)) {
    note.hidden = false;
    note.textContent = id || all ? "Drop it into the panel" : free(event) ? "Drop it to make a panel of it"
        : "Drop pictures to put them on the shelf";
  }
  if (id || all || files(event) || free(event)) {
    event.preventDefault();
    event.dataTransfer.dropEffect = "copy";
  }
}
window.addEventListener("dragenter", over);
window.addEventListener("dragover", over);
window.addEventListener("dragleave", (event) => {
  if (event.relatedTarget) return;
  note.hidden = true;
  target(null);
});
window.addEventListener("drop", async (event) => {
  note.hidden = true;
  if (!carried && !files(event)) return;
  event.preventDefault();
  const id = panelAt(event);
  const all = through(event, id);
  const into = sheet.selected.includes(id) ? [...sheet.selected] : [id];
  const at = toSheet(place(event));
  const onSheet = free(event);
  target(null);
  const put = (picture) => {
    if (all) vista(picture);
    else if (id) edit(filling(into, picture));
    else if (onSheet) edit(framing(picture, at));
  };
  const picture = carried;
  if (picture) {
    look.off(false);
    letDown();
    put(picture);
  } else {
    const all = await dropped(event.dataTransfer);
    all.filter(isDrawing).forEach(bringDrawing);
    bring(all.filter((one) => !isDrawing(one)), ([first]) => first && put(first));
  }
});
window.addEventListener("paste", (event) => {
  const all = [...(event.clipboardData?.files || [])];
  const pasted = all.filter((one) => !isDrawing(one));
  all.filter(isDrawing).forEach(bringDrawing);
  if (!all.length && !event.target.matches?.("input, textarea")) pasteDrawing(event.clipboardData?.getData("text/plain") || "");
  if (!pasted.length) return;
  event.preventDefault();
  const into = sheet.stage === "fill" ? [...sheet.selected] : [];
  bring(pasted, ([first]) => first && into.length && edit(filling(into, first)));
});
