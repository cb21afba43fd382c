// Settle: the picture inside the lit panel is moved, zoomed and turned; the panels stay put.
import { sheet, select, ids, panel, group, draw } from "./sheet.js";
import { view, toSheet } from "./view.js";
import { edit, previewer, fetchBench } from "./server.js";
import { onBench, clearProblems } from "./bench-parts.js";
import { redraw, litAt, liveZoom } from "./marks.js";
import { pictureMatrix, seatMatrix, apply, inFrame, held, zoomed } from "./geometry.js";
import { say } from "./notes.js";
import { subject, put } from "./lit.js";

/** A slider's way from 0 to 1000 is a zoom from 50 % to 1600 %, doubling every 200. */
const toZoom = (way) => 50 * 2 ** (way / 200);
const toWay = (zoom) => 200 * Math.log2(zoom / 50);

export function press(event, at) {
  const grip = event.target.dataset?.grip;
  if (grip === "turn") return turn(at);
  if (grip === "zoom") return zoomByCorner(at);
  const id = event.target.closest?.(".panel")?.dataset.id;
  if (!id) {
    select([]);
    return null;
  }
  if (event.shiftKey && sheet.selected.length && !sheet.selected.includes(id)) {
    select([...sheet.selected, id]);
    return null;
  }
  if (!sheet.selected.includes(id)) select([id]);
  return panel(id).picture ? move(at, id) : only(id);
}

/** A click on one of several lit panels leaves it lit alone. */
function only(id) {
  if (sheet.selected.length > 1) select([id]);
  return null;
}

const withPictures = () => sheet.selected.filter((id) => panel(id).picture);

/** What is moved when these panels are lit: a vista counts once, however many of its panels are lit. */
function subjects(chosen) {
  const seen = new Set();
  return chosen.map(subject).filter(({ whole, picture }) => !whole || !seen.has(picture.id) && seen.add(picture.id));
}

/** Shows the lit pictures at other placements, one for each. */
function show(moved, placements) {
  const shown = moved.map((one, i) => put(one, placements[i]));
  if (moved.length === 1) litAt(shown[0]);
}

function move(start, pressed) {
  const chosen = withPictures();
  const moved = subjects(chosen);
  let last = null;
  const at = (event, now) => {
    let x = (now.x - start.x) / view.scale;
    let y = (now.y - start.y) / view.scale;
    if (event.shiftKey) [x, y] = Math.abs(x) > Math.abs(y) ? [x, 0] : [0, y];
    return { x, y };
  };
  const shifted = ({ placement }, by) => ({ ...placement, centre: { x: placement.centre.x + by.x, y: placement.centre.y + by.y } });
  return {
    move(event, now) {
      const by = at(event, now);
      // Every picture moves as far as the first one could, in its own frame: one drag, one edit.
      const { seat, picture } = moved[0];
      const first = held(picture, shifted(picture, inFrame(seat, by.x, by.y)));
      last = { x: first.centre.x - picture.placement.centre.x, y: first.centre.y - picture.placement.centre.y };
      show(moved, moved.map((one) => held(one.picture, shifted(one.picture, last))));
    },
    async end(wasMoved) {
      if (wasMoved && last) await edit({ kind: "move-picture", panels: chosen, dx: last.x, dy: last.y, whole: sheet.whole });
      else only(pressed);
      litAt(null);
    },
    cancel: () => back(chosen),
  };
}

function back(chosen) {
  const moved = subjects(chosen.filter((id) => panel(id).picture));
  show(moved, moved.map(({ picture }) => picture.placement));
  liveZoom("");
  litAt(null);
}

function turn(start) {
  const chosen = withPictures().slice(0, 1);
  const { seat, picture, members, whole } = subject(chosen[0]);
  const before = members.map((id) => group(id).outerHTML);
  const vistas = sheet.vistas;
  const restore = () => {
    sheet.vistas = vistas;
    members.forEach((id, i) => draw(id, before[i]));
    redraw();
  };
  const about = whole ? picture.middle : { x: 0, y: 0 };
  const heading = (p) => {
    const q = apply(seatMatrix(seat).inverse(), ...Object.values(toSheet(p)));
    return Math.atan2(q.y - about.y, q.x - about.x) * 180 / Math.PI;
  };
  const first = heading(start);
  let wanted = null;
  const live = turner(chosen);
  return {
    move(event, at) {
      let to = picture.placement.turn + heading(at) - first;
      if (event.shiftKey) to = Math.round(to / 15) * 15;
      wanted = ((to + 540) % 360) - 180;
      live.want(wanted);
    },
    async end(moved) {
      live.close();
      if (moved && wanted !== null && !await edit({ kind: "turn-picture", panels: chosen, turn: wanted, whole: sheet.whole })) restore();
      redraw();
    },
    cancel() {
      live.close();
      restore();
    },
  };
}

/** A turn needs the outline's reach along new axes: the server shows each step. */
function turner(chosen) {
  const live = previewer((result) => {
    if (result) {
      for (const part of result.changed) draw(part.id, part.board);
      sheet.vistas = result.vistas;
    }
    redraw();
  });
  return { want: (to) => live.want({ kind: "turn-picture", panels: chosen, turn: to, whole: sheet.whole }), close: live.close };
}

function zoomByCorner(start) {
  const chosen = withPictures().slice(0, 1);
  const { seat, picture, whole } = subject(chosen[0]);
  const about = whole ? picture.middle : { x: 0, y: 0 };
  const middle = apply(seatMatrix(seat), about.x, about.y);
  const far = (p) => {
    const q = toSheet(p);
    return Math.hypot(q.x - middle.x, q.y - middle.y);
  };
  let zoom = picture.zoom;
  return {
    move(_, at) {
      zoom = showZoom(chosen[0], picture.zoom * far(at) / far(start), about);
    },
    async end(moved) {
      if (moved) await edit({ kind: "zoom-picture", panels: chosen, zoom: zoom * 100, whole: sheet.whole });
      back(chosen);
    },
    cancel: () => back(chosen),
  };
}

/** Shows a zoom about an anchor in the subject's frame, its middle if there is none; answers the zoom that could be shown. */
function showZoom(id, zoom, anchor) {
  const lit = subject(id);
  const { picture, whole } = lit;
  const wanted = Math.max(picture.held ? 1 : 0.05, Math.min(50, zoom));
  const placement = held(picture, zoomed(picture.placement, wanted / picture.zoom, anchor || (whole ? picture.middle : { x: 0, y: 0 })));
  liveZoom(`${Math.round(wanted * 100)} %`);
  litAt(put(lit, placement));
  return wanted;
}

let wheeling = null;

/** Zooms the lit picture at the pointer; one edit when the wheel rests. False where no lit picture is under it. */
export function wheel(event, at) {
  const id = event.target.closest?.(".panel")?.dataset.id;
  if (!id || !panel(id).picture || !sheet.selected.length) return false;
  // Over any panel of a vista that is lit whole, the wheel zooms the vista.
  const lit = subject(id);
  if (sheet.selected[0] !== id && !(lit.whole && lit.members.includes(sheet.selected[0]))) return false;
  if (wheeling && (wheeling.id !== id || Math.hypot(at.x - wheeling.at.x, at.y - wheeling.at.y) > 6)) settleWheel();
  const { seat, picture } = lit;
  wheeling ||= { id, at, anchor: apply(seatMatrix(seat).inverse(), ...Object.values(toSheet(at))), zoom: picture.zoom };
  wheeling.zoom = showZoom(id, wheeling.zoom * Math.exp(-event.deltaY * (event.deltaMode ? 0.05 : 0.0016)), wheeling.anchor);
  clearTimeout(wheeling.timer);
  wheeling.timer = setTimeout(settleWheel, 160);
  return true;
}

async function settleWheel() {
  const { id, zoom, anchor, timer } = wheeling;
  clearTimeout(timer);
  wheeling = null;
  await edit({ kind: "zoom-picture", panels: [id], zoom: zoom * 100, atX: anchor.x, atY: anchor.y, whole: sheet.whole });
  if (!wheeling) back([id]);
}

/** Sets the focal point of the lit picture under a place in the well. */
export function focal(at) {
  const id = withPictures()[0];
  if (!id) return;
  const { seat, picture } = subject(id);
  const p = apply(pictureMatrix(seat, picture).inverse(), ...Object.values(toSheet(at)));
  const [x, y] = [p.x / picture.width, p.y / picture.height];
  if (x < 0 || y < 0 || x > 1 || y > 1) return say("Point at a spot of the picture and press f.");
  edit({ kind: "set-focal", picture: group(id).querySelector("image").dataset.picture, x, y });
}

/** Moves the pictures by keys, by mm on the sheet. */
export function nudge(dx, dy) {
  const chosen = withPictures();
  if (!chosen.length) return;
  const step = inFrame(subject(chosen[0]).seat, dx, dy);
  edit({ kind: "move-picture", panels: chosen, dx: step.x, dy: step.y, whole: sheet.whole });
}

/** Zooms the pictures by keys. */
export function zoomKey(factor) {
  const chosen = withPictures();
  if (chosen.length) edit({ kind: "zoom-picture", panels: chosen, zoom: subject(chosen[0]).picture.zoom * factor * 100, whole: sheet.whole });
}

onBench("#zoom-slider", (zoom) => {
  const number = document.getElementById("zoom-number");
  zoom.value = toWay(Number(zoom.dataset.value));
  zoom.addEventListener("input", () => {
    const id = withPictures()[0];
    number.value = `${Math.round(showZoom(id, toZoom(zoom.value) / 100) * 100)} %`;
  });
  zoom.addEventListener("change", async () => {
    const chosen = withPictures();
    const wanted = Math.max(subject(chosen[0]).picture.held ? 100 : 5, toZoom(zoom.value));
    await edit({ kind: "zoom-picture", panels: chosen, zoom: wanted, whole: sheet.whole }, zoom);
    back(chosen);
  });
  const turns = document.getElementById("turn-slider");
  let live = null;
  turns.addEventListener("input", () => {
    live ||= turner(withPictures());
    document.getElementById("turn-number").value = `${Number(turns.value).toFixed(1)}°`;
    live.want(Number(turns.value));
  });
  turns.addEventListener("change", () => {
    live?.close();
    live = null;
    edit({ kind: "turn-picture", panels: withPictures(), turn: Number(turns.value), whole: sheet.whole }, turns);
  });
});

onBench("[name=moves]", (first) => first.closest(".choice").addEventListener("change", (event) => {
  sheet.whole = event.target.value === "whole";
  sessionStorage.setItem("lantern.whole", sheet.whole ? "yes" : "no");
  redraw();
  fetchBench();
}));

/** Loosening goes for the lit panels, or for all of the vista when it is lit whole. */
onBench("#loosen", (form) => {
  const loosen = () => {
    clearProblems(form);
    const lit = subject(withPictures()[0]);
    edit({ kind: "loosen", panels: lit.whole ? lit.members : withPictures(), ...Object.fromEntries(new FormData(form)) }, form);
  };
  form.addEventListener("submit", (event) => {
    event.preventDefault();
    loosen();
  });
  form.querySelector("[data-loosen-seed]").addEventListener("click", () => {
    form.seed.value = (Number(form.seed.value) || 0) % 999999 + 1;
    form.seed.dispatchEvent(new Event("change", { bubbles: true }));
    loosen();
  });
});

document.getElementById("bench").addEventListener("click", (event) => {
  const button = event.target.closest("[data-members]");
  if (button) select(ids().filter((id) => panel(id).picture?.vista === button.dataset.members));
});
