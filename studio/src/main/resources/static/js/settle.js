// Settle: the picture inside the lit panel is moved, zoomed and turned; the panels stay put.
import { sheet, select, panel, group, draw } from "./sheet.js";
import { view, toSheet } from "./view.js";
import { edit, previewer } from "./server.js";
import { onBench } from "./bench-parts.js";
import { redraw, litAt, liveZoom } from "./marks.js";
import { pictureMatrix, seatMatrix, matrixText, apply, inFrame, held, zoomed } from "./geometry.js";

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

/** Shows the pictures of the lit panels at other placements, one for each; the last is what is shown. */
function show(chosen, placements) {
  chosen.forEach((id, i) => {
    const { seat, picture } = panel(id);
    const matrix = pictureMatrix(seat, picture, placements[i]);
    group(id).querySelector("image").setAttribute("transform", matrixText(matrix));
    if (chosen.length === 1) litAt(matrix);
  });
}

const withPictures = () => sheet.selected.filter((id) => panel(id).picture);

function move(start, pressed) {
  const chosen = withPictures();
  const pictures = chosen.map(panel);
  let last = null;
  const at = (event, now) => {
    let x = (now.x - start.x) / view.scale;
    let y = (now.y - start.y) / view.scale;
    if (event.shiftKey) [x, y] = Math.abs(x) > Math.abs(y) ? [x, 0] : [0, y];
    return { x, y };
  };
  return {
    move(event, now) {
      const by = at(event, now);
      const placements = pictures.map(({ seat, picture }) => {
        const { centre } = picture.placement;
        const step = inFrame(seat, by.x, by.y);
        return held(picture, { ...picture.placement, centre: { x: centre.x + step.x, y: centre.y + step.y } });
      });
      // Every picture moves as far as the first one could, in its own frame: one drag, one edit.
      last = { x: placements[0].centre.x - pictures[0].picture.placement.centre.x, y: placements[0].centre.y - pictures[0].picture.placement.centre.y };
      show(chosen, pictures.map(({ picture }) => held(picture, { ...picture.placement,
        centre: { x: picture.placement.centre.x + last.x, y: picture.placement.centre.y + last.y } })));
    },
    async end(moved) {
      if (moved && last) await edit({ kind: "move-picture", panels: chosen, dx: last.x, dy: last.y });
      else only(pressed);
      litAt(null);
    },
    cancel: () => back(chosen),
  };
}

function back(chosen) {
  show(chosen, chosen.map((id) => panel(id).picture.placement));
  liveZoom("");
  litAt(null);
}

function turn(start) {
  const chosen = withPictures().slice(0, 1);
  const { seat, picture } = panel(chosen[0]);
  const before = group(chosen[0]).outerHTML;
  const heading = (p) => {
    const q = apply(seatMatrix(seat).inverse(), ...Object.values(toSheet(p)));
    return Math.atan2(q.y, q.x) * 180 / Math.PI;
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
      if (moved && wanted !== null && !await edit({ kind: "turn-picture", panels: chosen, turn: wanted })) draw(chosen[0], before);
      redraw();
    },
    cancel() {
      live.close();
      draw(chosen[0], before);
      redraw();
    },
  };
}

/** A turn needs the outline's reach along new axes: the server shows each step. */
function turner(chosen) {
  const live = previewer((result) => {
    if (result) for (const part of result.changed) draw(part.id, part.board);
    redraw();
  });
  return { want: (to) => live.want({ kind: "turn-picture", panels: chosen, turn: to }), close: live.close };
}

function zoomByCorner(start) {
  const chosen = withPictures().slice(0, 1);
  const { seat, picture } = panel(chosen[0]);
  const middle = apply(seatMatrix(seat), 0, 0);
  const far = (p) => {
    const q = toSheet(p);
    return Math.hypot(q.x - middle.x, q.y - middle.y);
  };
  let zoom = picture.zoom;
  return {
    move(_, at) {
      zoom = showZoom(chosen[0], picture.zoom * far(at) / far(start), { x: 0, y: 0 });
    },
    async end(moved) {
      if (moved) await edit({ kind: "zoom-picture", panels: chosen, zoom: zoom * 100 });
      back(chosen);
    },
    cancel: () => back(chosen),
  };
}

/** Shows a zoom about an anchor in the panel's frame; answers the zoom that could be shown. */
function showZoom(id, zoom, anchor) {
  const { seat, picture } = panel(id);
  const wanted = Math.max(picture.held ? 1 : 0.05, Math.min(50, zoom));
  const placement = held(picture, zoomed(picture.placement, wanted / picture.zoom, anchor));
  const matrix = pictureMatrix(seat, picture, placement);
  group(id).querySelector("image").setAttribute("transform", matrixText(matrix));
  liveZoom(`${Math.round(wanted * 100)} %`);
  litAt(matrix);
  return wanted;
}

let wheeling = null;

/** Zooms the lit picture at the pointer; one edit when the wheel rests. False where no lit picture is under it. */
export function wheel(event, at) {
  const id = event.target.closest?.(".panel")?.dataset.id;
  if (!id || sheet.selected[0] !== id || !panel(id).picture) return false;
  if (wheeling && (wheeling.id !== id || Math.hypot(at.x - wheeling.at.x, at.y - wheeling.at.y) > 6)) settleWheel();
  const { seat, picture } = panel(id);
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
  await edit({ kind: "zoom-picture", panels: [id], zoom: zoom * 100, atX: anchor.x, atY: anchor.y });
  if (!wheeling) back([id]);
}

/** Moves the pictures by keys, by mm on the sheet. */
export function nudge(dx, dy) {
  const chosen = withPictures();
  if (!chosen.length) return;
  const step = inFrame(panel(chosen[0]).seat, dx, dy);
  edit({ kind: "move-picture", panels: chosen, dx: step.x, dy: step.y });
}

/** Zooms the pictures by keys. */
export function zoomKey(factor) {
  const chosen = withPictures();
  if (chosen.length) edit({ kind: "zoom-picture", panels: chosen, zoom: panel(chosen[0]).picture.zoom * factor * 100 });
}

onBench("#zoom-slider", (zoom) => {
  const number = document.getElementById("zoom-number");
  zoom.value = toWay(Number(zoom.dataset.value));
  zoom.addEventListener("input", () => {
    const id = withPictures()[0];
    number.value = `${Math.round(showZoom(id, toZoom(zoom.value) / 100, { x: 0, y: 0 }) * 100)} %`;
  });
  zoom.addEventListener("change", async () => {
    const chosen = withPictures();
    const wanted = Math.max(panel(chosen[0]).picture.held ? 100 : 5, toZoom(zoom.value));
    await edit({ kind: "zoom-picture", panels: chosen, zoom: wanted }, zoom);
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
    edit({ kind: "turn-picture", panels: withPictures(), turn: Number(turns.value) }, turns);
  });
});
