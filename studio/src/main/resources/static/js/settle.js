// Settle: the picture inside the lit panel is moved, zoomed and turned; the panels stay put.
import { sheet, select, letGo, panel, group, image } from "./sheet.js";
import { view, toSheet } from "./view.js";
import { edit } from "./server.js";
import { redraw, litAt, liveZoom } from "./marks.js";
import { pictureMatrix, apply, inFrame, held, zoomed, union } from "./geometry.js";
import { corner, nudgeCorner, letCorner } from "./mount.js";
import { watched } from "./watched.js";
import { say } from "./notes.js";
import { subject, put, unhide, aim, inSubject, pivot, SHEET } from "./lit.js";

export function press(event, at) {
  const grip = event.target.dataset?.grip;
  if (event.target.dataset?.mount) return corner(Number(event.target.dataset.mount), at, withPictures()[0]);
  letCorner();
  if (grip === "turn") return turn(at);
  if (grip === "zoom") return zoomByCorner(at);
  const id = event.target.closest?.(".panel")?.dataset.id;
  if (!id) return beside(event, at);
  if (event.shiftKey && sheet.selected.length && !sheet.selected.includes(id)) {
    select([...sheet.selected, id]);
    return null;
  }
  if (!sheet.selected.includes(id)) select([id]);
  if (panel(id).words?.[sheet.layer]) return moveWords(at, id);
  return panel(id).picture ? move(at, id) : only(id);
}

/** A press beside all panels: between the slices of a lit vista a drag moves the vista; a click lets go of what is lit. */
function beside(event, at) {
  const [first] = withPictures();
  const lit = first && subject(first);
  const within = ({ x, y }, [left, top, right, bottom]) => x >= left && x <= right && y >= top && y <= bottom;
  if (!lit?.whole || !within(toSheet(at), union(lit.members.map((id) => panel(id).bounds)))) {
    letGo(event);
    return null;
  }
  const moving = move(at, first);
  return { ...moving, end: (moved) => (moved ? moving.end(moved) : letGo(event)) };
}

/** The chosen words of one panel, moved along its own axes. */
function moveWords(start, id) {
  const { seat, words } = panel(id);
  const { centre } = words[sheet.layer];
  const letters = group(id).querySelector(`path[data-layer="${sheet.layer}"]`);
  let step = null;
  return {
    move(event, now) {
      let [x, y] = [(now.x - start.x) / view.scale, (now.y - start.y) / view.scale];
      if (event.shiftKey) [x, y] = Math.abs(x) > Math.abs(y) ? [x, 0] : [0, y];
      letters.setAttribute("transform", `translate(${x} ${y})`);
      step = inFrame(seat, x, y);
    },
    async end(moved) {
      if (moved && step) await edit({ kind: "place-words", panels: [id], layer: sheet.layer, across: centre.x + step.x,
          down: centre.y + step.y });
      letters.removeAttribute("transform");
    },
    cancel: () => letters.removeAttribute("transform"),
  };
}

/** A click on one of several lit panels leaves it lit alone. */
function only(id) {
  if (sheet.selected.length > 1) select([id]);
  return null;
}

/** A step along the nearest axis of the sheet or of a panel turned so. */
function alongAxis({ x, y }, turn) {
  const ways = [0, 90, turn, turn + 90].map((degrees) => degrees * Math.PI / 180).map((a) => {
    const along = x * Math.cos(a) + y * Math.sin(a);
    return { x: along * Math.cos(a), y: along * Math.sin(a), long: Math.abs(along) };
  });
  return ways.reduce((best, way) => (way.long > best.long + 1e-9 ? way : best));
}

export const withPictures = () => sheet.selected.filter((id) => panel(id).picture);

/** What is moved when these panels are lit: a vista counts once, however many of its panels are lit. */
function subjects(chosen) {
  const seen = new Set();
  return chosen.map(subject).filter(({ whole, picture }) => !whole || !seen.has(picture.id) && seen.add(picture.id));
}

/** Shows the lit pictures at other placements, one for each; what is mounted the server shows. */
function show(moved, placements) {
  if (moved.some(mounted)) return;
  const shown = moved.map((one, i) => put(one, placements[i]));
  if (moved.length === 1) litAt(shown[0]);
}

const mounted = ({ picture }) => Boolean(picture.seen);

/** What is mounted moves in its plane: the place under the pointer stays under it. */
function moveMounted(start, pressed, chosen, moved) {
  const first = moved.find(mounted);
  const from = inSubject(first, toSheet(start));
  const live = watched(moved.flatMap(({ members }) => members));
  let last = null;
  return {
    move(event, now) {
      const to = inSubject(first, toSheet(now));
      if (!from || !to) return;
      last = { x: to.x - from.x, y: to.y - from.y };
      if (event.shiftKey) last = Math.abs(last.x) > Math.abs(last.y) ? { x: last.x, y: 0 } : { x: 0, y: last.y };
      live.want({ kind: "move-picture", panels: chosen, dx: last.x, dy: last.y, ...aim() });
    },
    async end(wasMoved) {
      live.close();
      if (wasMoved && last) {
        if (await edit({ kind: "move-picture", panels: chosen, dx: last.x, dy: last.y, ...aim() })) live.back();
        else live.restore();
      } else only(pressed);
      redraw();
    },
    cancel: live.restore,
  };
}

function move(start, pressed) {
  const chosen = withPictures();
  const moved = subjects(chosen);
  if (moved.some(mounted)) return moveMounted(start, pressed, chosen, moved);
  let last = null;
  const at = (event, now) => {
    let x = (now.x - start.x) / view.scale;
    let y = (now.y - start.y) / view.scale;
    return event.shiftKey ? alongAxis({ x, y }, panel(pressed).seat.turn) : { x, y };
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
      if (wasMoved && last) await edit({ kind: "move-picture", panels: chosen, dx: last.x, dy: last.y, ...aim() });
      else only(pressed);
      litAt(null);
    },
    cancel: () => back(chosen),
  };
}

export function back(chosen) {
  zooming?.restore();
  zooming = null;
  const moved = subjects(chosen.filter((id) => panel(id).picture));
  show(moved, moved.map(({ picture }) => picture.placement));
  moved.forEach(unhide);
  liveZoom("");
  litAt(null);
}

function turn(start) {
  const chosen = withPictures().slice(0, 1);
  const lit = subject(chosen[0]);
  const { picture, members } = lit;
  const live = watched(members);
  const about = pivot(lit);
  const heading = (p) => {
    const q = inSubject(lit, toSheet(p)) || about;
    return Math.atan2(q.y - about.y, q.x - about.x) * 180 / Math.PI;
  };
  const first = heading(start);
  let wanted = null;
  return {
    move(event, at) {
      let to = picture.placement.turn + heading(at) - first;
      if (event.shiftKey) to = Math.round(to / 15) * 15;
      wanted = ((to + 540) % 360) - 180;
      live.want({ kind: "turn-picture", panels: chosen, turn: wanted, ...aim() });
    },
    async end(moved) {
      live.close();
      if (moved && wanted !== null && await edit({ kind: "turn-picture", panels: chosen, turn: wanted, ...aim() })) live.back();
      else live.restore();
      redraw();
    },
    cancel: live.restore,
  };
}

/** A turn needs the outline's reach along new axes: the server shows each step. */
export function turner(chosen) {
  const live = watched(chosen);
  return { want: (to) => live.want({ kind: "turn-picture", panels: chosen, turn: to, ...aim() }), close: live.close };
}

function zoomByCorner(start) {
  const chosen = withPictures().slice(0, 1);
  const lit = subject(chosen[0]);
  const { picture } = lit;
  const about = pivot(lit);
  const far = (p) => {
    const q = inSubject(lit, toSheet(p)) || about;
    return Math.hypot(q.x - about.x, q.y - about.y);
  };
  let zoom = picture.zoom;
  return {
    move(_, at) {
      zoom = showZoom(chosen[0], picture.zoom * far(at) / far(start), about);
    },
    async end(moved) {
      if (moved) await edit({ kind: "zoom-picture", panels: chosen, zoom: zoom * 100, ...aim() });
      back(chosen);
    },
    cancel: () => back(chosen),
  };
}

/** Shows a zoom about an anchor in the subject's frame, its middle if there is none; answers the zoom that could be shown. */
export function showZoom(id, zoom, anchor) {
  const lit = subject(id);
  const { picture } = lit;
  const wanted = Math.max(picture.held ? 1 : 0.05, Math.min(50, zoom));
  const about = anchor || pivot(lit);
  if (mounted(lit)) {
    zooming ||= watched(lit.members);
    zooming.want({ kind: "zoom-picture", panels: [id], zoom: wanted * 100, atX: about.x, atY: about.y, ...aim() });
    liveZoom(`${Math.round(wanted * 100)} %`);
    return wanted;
  }
  const placement = held(picture, zoomed(picture.placement, wanted / picture.zoom, about));
  liveZoom(`${Math.round(wanted * 100)} %`);
  litAt(put(lit, placement));
  return wanted;
}

let wheeling = null;
/** While a mounted picture is zoomed: what the server shows. */
let zooming = null;

/** Zooms the lit picture at the pointer; one edit when the wheel rests. False where no lit picture is under it. */
export function wheel(event, at) {
  const id = event.target.closest?.(".panel")?.dataset.id;
  if (!id || !panel(id).picture || !sheet.selected.length) return false;
  // Over any panel of a vista that is lit whole, the wheel zooms the vista.
  const lit = subject(id);
  if (sheet.selected[0] !== id && !(lit.whole && lit.members.includes(sheet.selected[0]))) return false;
  if (wheeling && (wheeling.id !== id || Math.hypot(at.x - wheeling.at.x, at.y - wheeling.at.y) > 6)) settleWheel();
  wheeling ||= { id, at, anchor: inSubject(lit, toSheet(at)) || pivot(lit), zoom: lit.picture.zoom };
  wheeling.zoom = showZoom(id, wheeling.zoom * Math.exp(-event.deltaY * (event.deltaMode ? 0.05 : 0.0016)), wheeling.anchor);
  clearTimeout(wheeling.timer);
  wheeling.timer = setTimeout(settleWheel, 160);
  return true;
}

async function settleWheel() {
  const { id, zoom, anchor, timer } = wheeling;
  clearTimeout(timer);
  wheeling = null;
  await edit({ kind: "zoom-picture", panels: [id], zoom: zoom * 100, atX: anchor.x, atY: anchor.y, ...aim() });
  if (!wheeling) back([id]);
}

/** Two fingers over a lit picture zoom and move it; one edit when they rise. Null where no lit picture is under them. */
export function pinch(event, at) {
  const id = document.elementFromPoint(event.clientX, event.clientY)?.closest?.(".panel")?.dataset.id;
  if (!id || !panel(id).picture || !sheet.selected.includes(id)) return null;
  const lit = subject(id);
  const { picture } = lit;
  const anchor = inSubject(lit, toSheet(at)) || pivot(lit);
  let zoom = picture.zoom;
  return {
    spread(factor) {
      zoom = showZoom(id, picture.zoom * factor, anchor);
    },
    async end() {
      await edit({ kind: "zoom-picture", panels: [id], zoom: zoom * 100, atX: anchor.x, atY: anchor.y, ...aim() });
      back([id]);
    },
    cancel: () => back([id]),
  };
}

/** Sets the focal point of the lit picture under a place in the well. */
export function focal(at) {
  const id = withPictures()[0];
  if (!id) return;
  const lit = subject(id);
  const { picture } = lit;
  const there = inSubject(lit, toSheet(at));
  if (!there) return;
  const p = apply(pictureMatrix(SHEET, picture).inverse(), there.x, there.y);
  const [x, y] = [p.x / picture.width, p.y / picture.height];
  if (x < 0 || y < 0 || x > 1 || y > 1) return say("Point at a spot of the picture and press f.");
  edit({ kind: "set-focal", picture: image(id).dataset.picture, x, y });
}

/** Moves the pictures by keys, by mm on the sheet. */
export function nudge(dx, dy) {
  const chosen = withPictures();
  if (!chosen.length || nudgeCorner(chosen[0], dx, dy)) return;
  const lit = subject(chosen[0]);
  const step = mounted(lit) ? inPlane(lit, dx, dy) : inFrame(lit.seat, dx, dy);
  edit({ kind: "move-picture", panels: chosen, dx: step.x, dy: step.y, ...aim() });
}

/** A step on the sheet, taken in the middle of what is lit, as a step in its plane. */
function inPlane(lit, dx, dy) {
  const [left, top, right, bottom] = union(lit.members.map((id) => panel(id).bounds));
  const middle = { x: (left + right) / 2, y: (top + bottom) / 2 };
  const from = inSubject(lit, middle);
  const to = inSubject(lit, { x: middle.x + dx, y: middle.y + dy });
  return from && to ? { x: to.x - from.x, y: to.y - from.y } : { x: dx, y: dy };
}

/** Zooms the pictures by keys. */
export function zoomKey(factor) {
  const chosen = withPictures();
  if (chosen.length) edit({ kind: "zoom-picture", panels: chosen, zoom: subject(chosen[0]).picture.zoom * factor * 100, ...aim() });
}
