// Arrange: panels are dragged, copied by dragging, turned, sized; form handles and corners are pulled.
import { sheet, panel, group, drawPreview, groups, remember } from "./sheet.js";
import { view, toSheet, toScreen } from "./view.js";
import { edit, previewer } from "./server.js";
import { redraw, slide, swing, extra, frame, pulling, liveState, HANDLES } from "./marks.js";
import { apply, seatMatrix, union } from "./geometry.js";
import { catcher, boxOf, showMarks } from "./snaps.js";
import { blends } from "./bed.js";
import { stayPut } from "./staying.js";
import { shown as shownFields, told } from "./places.js";

export const held = { still: false };
/** More layers than these cost more than they save. */
const FEW = 12;
/** Whether pictures stay where they are on the sheet while forms move over them. */
const still = () => held.still || document.getElementById("still")?.checked || false;
const free = (ids) => ids.filter((id) => !panel(id).locked);
const ignoring = (event) => event.ctrlKey || event.metaKey;

/** Drags the selection; with {@code copying} a copy of it. {@code clicked} hears of a press that did not move. */
export function move(start, clicked, copying, loose = false) {
  const chosen = free(sheet.selected);
  if (!chosen.length) return { move() {}, end: (moved) => moved || clicked(), cancel() {} };
  const nodes = chosen.map(group);
  // All panels together are one layer that slides: nothing is painted anew.
  const board = document.getElementById("board");
  const whole = !copying && nodes.length === groups().length && !blends() && !stayPut.any(chosen, false);
  for (const part of whole ? [board, document.getElementById("marks")] : []) part.classList.add("sliding");
  const ghosts = copying ? nodes.map((g) => g.parentNode.appendChild(g.cloneNode(true))) : nodes;
  for (const ghost of copying ? ghosts : []) ghost.removeAttribute("data-id");
  // A few panels are layers of their own while they move: their shadows, and those around them, are painted once.
  for (const ghost of whole || ghosts.length > FEW ? [] : ghosts) ghost.classList.add("afloat");
  // A picture that stays on the sheet stays on the board, too; the server says what that leaves of it.
  let staying = copying ? null : stayPut(chosen, still());
  const box = boxOf(chosen);
  const catching = catcher(chosen);
  let by = { x: 0, y: 0 };
  const put = (to) => {
    by = to;
    if (whole) board.style.translate = `${by.x * view.scale}px ${by.y * view.scale}px`;
    else for (const g of ghosts) g.style.transform = `translate(${by.x}px, ${by.y}px)`;
    if (copying) return;
    if (staying.still !== still()) {
      staying.end();
      staying = stayPut(chosen, still());
    }
    staying.at(by);
    slide(by);
    shownFields(box[0] + by.x, box[1] + by.y);
  };
  const clear = () => {
    extra();
    staying?.end();
    liveState("");
    told();
    for (const g of ghosts) {
      if (copying) g.remove();
      g.style.transform = "";
      g.classList.remove("afloat");
    }
    for (const part of document.querySelectorAll(".sliding")) part.classList.remove("sliding");
    board.style.translate = "";
    redraw();
  };
  return {
    move(event, at) {
      let x = (at.x - start.x) / view.scale;
      let y = (at.y - start.y) / view.scale;
      if (event.shiftKey) [x, y] = Math.abs(x) > Math.abs(y) ? [x, 0] : [0, y];
      const caught = catching.moved(box, { x, y }, loose || ignoring(event));
      if (event.shiftKey) caught.by = { x: x && caught.by.x, y: y && caught.by.y };
      put(caught.by);
      showMarks(caught.marks);
    },
    async end(moved) {
      extra();
      if (!moved) {
        clear();
        return clicked();
      }
      const stays = staying?.still || false;
      await edit(copying ? { kind: "duplicate", panels: chosen, dx: by.x, dy: by.y }
          : { kind: "move-panels", panels: chosen, dx: by.x, dy: by.y, still: stays });
      clear();
    },
    cancel: clear,
  };
}

/** Shows what an edit would make of the chosen panels, again and again, until it is made or given up. */
export function live(chosen) {
  const backs = [remember(chosen)];
  const known = new Set(chosen);
  let wanted = null;
  const show = previewer((result) => {
    if (!result) return;
    for (const part of result.changed) {
      if (!known.has(part.id)) backs.push(remember([part.id]));
      known.add(part.id);
      drawPreview(part.id, part.board);
    }
    redraw();
    if (chosen.every(group)) shownFields(...boxOf(chosen));
  });
  const restore = () => {
    for (const back of backs) back();
    told();
    redraw();
  };
  return {
    want(what) {
      wanted = what;
      show.want(what);
    },
    async end(moved) {
      show.close();
      extra();
      if (moved && wanted) await edit(wanted);
      // What the answer did not draw anew is as it was.
      restore();
    },
    cancel() {
      show.close();
      extra();
      restore();
    },
  };
}

export function resize(name, start) {
  const [, hx, hy] = HANDLES.find(([n]) => n === name);
  const chosen = free(sheet.selected);
  if (!chosen.length) return null;
  const { matrix, width, height } = frame(chosen);
  const back = matrix.inverse();
  const from = apply(back, ...Object.values(toSheet(start)));
  const shown = live(chosen);
  const catching = catcher(chosen);
  const upright = Math.abs(matrix.b) < 1e-9 && matrix.a > 0;
  const middle = { x: matrix.e, y: matrix.f };
  /** The new size along one axis, its moving side caught. */
  const sized = (axis, way, size, by, centred, event) => {
    const wanted = Math.max(0.1, size + by * way * centred);
    if (!way || !upright) return { size: wanted, marks: [] };
    const m = axis === "across" ? middle.x : middle.y;
    const fixed = centred === 2 ? m : m - way * size / 2;
    const side = fixed + way * (centred === 2 ? wanted / 2 : wanted);
    const caught = catching.side(axis, side, union(chosen.map((id) => panel(id).bounds)), ignoring(event));
    return { size: Math.max(0.1, Math.abs(caught.at - fixed) * (centred === 2 ? 2 : 1)), marks: caught.marks };
  };
  return {
    move(event, at) {
      const now = apply(back, ...Object.values(toSheet(at)));
      const centred = event.altKey ? 2 : 1;
      const across = sized("across", hx, width, now.x - from.x, centred, event);
      const down = sized("down", hy, height, now.y - from.y, centred, event);
      let [w, h] = [across.size, down.size];
      // A float keeps its proportions, letters do so at their corners, unless Shift is held.
      const shaped = chosen.every((id) => panel(id).role === "float") || hx && hy && chosen.some((id) => panel(id).form === "letters");
      if (event.shiftKey !== Boolean(shaped)) {
        const factor = hx && hy ? Math.max(w / width, h / height) : hx ? w / width : h / height;
        [w, h] = [width * factor, height * factor];
      }
      showMarks(event.shiftKey ? [] : [...across.marks, ...down.marks]);
      shown.want({ kind: "resize-panels", panels: chosen, width: w, height: h,
        anchorX: event.altKey ? 0 : -hx, anchorY: event.altKey ? 0 : -hy, still: still() });
    },
    end: shown.end,
    cancel: shown.cancel,
  };
}

/** Turns the selection about its middle; with Shift in steps of 15 degrees. */
export function turn(start) {
  const chosen = free(sheet.selected);
  if (!chosen.length) return null;
  const nodes = chosen.map(group);
  const [left, top, right, bottom] = boxOf(chosen);
  const about = chosen.length === 1 ? panel(chosen[0]).seat.centre : { x: (left + right) / 2, y: (top + bottom) / 2 };
  const middle = toScreen(about);
  const heading = (p) => Math.atan2(p.y - middle.y, p.x - middle.x) * 180 / Math.PI;
  const was = chosen.length === 1 ? panel(chosen[0]).seat.turn : 0;
  const first = heading(start);
  let by = 0;
  const clear = () => {
    for (const g of nodes) g.removeAttribute("transform");
    redraw();
  };
  return {
    move(event, at) {
      by = heading(at) - first;
      if (event.shiftKey) by = Math.round((was + by) / 15) * 15 - was;
      by = ((by + 540) % 360) - 180;
      for (const g of nodes) g.setAttribute("transform", `rotate(${by} ${about.x} ${about.y})`);
      swing(by, middle, Math.hypot(right - left, bottom - top) / 2 * view.scale, `${(((was + by + 540) % 360) - 180).toFixed(1)}°`);
    },
    async end(moved) {
      if (moved && by) await edit({ kind: "turn-panels", panels: chosen, by });
      clear();
    },
    cancel: clear,
  };
}

/** Pulls a handle of the form: a corner radius, an inner ratio, a lean. With Alt that one alone. */
export function pull(grip, start) {
  const id = sheet.selected[0];
  if (panel(id).locked) return null;
  const { seat, grips } = panel(id);
  const at = grips.find((g) => g.name === grip).at;
  const back = seatMatrix(seat).inverse();
  const from = apply(back, ...Object.values(toSheet(start)));
  const shown = live([id]);
  pulling(grip);
  const letGo = (how) => (...moved) => {
    pulling(null);
    return how(...moved);
  };
  return {
    move(event, now) {
      const to = apply(back, ...Object.values(toSheet(now)));
      shown.want({ kind: "pull-outline", panel: id, grip, x: at.x + to.x - from.x, y: at.y + to.y - from.y, alone: event.altKey });
    },
    end: letGo(shown.end),
    cancel: letGo(shown.cancel),
  };
}

/** Pulls a corner of a free form, and with it those that coincide; with Alt it parts from them. */
export function corner(index, start) {
  const id = sheet.selected[0];
  if (panel(id).locked) return null;
  const from = toSheet(start);
  const at = apply(seatMatrix(panel(id).seat), ...Object.values(panel(id).corners[index]));
  const shown = live([id]);
  const catching = catcher([id]);
  return {
    move(event, now) {
      const p = toSheet(now);
      const to = catching.spot({ x: at.x + p.x - from.x, y: at.y + p.y - from.y }, ignoring(event));
      shown.want({ kind: "move-corner", panel: id, corner: index, dx: to.x - at.x, dy: to.y - at.y, apart: event.altKey });
    },
    end: shown.end,
    cancel: shown.cancel,
  };
}

/** Drags a seam square to itself; both sides follow. */
export function seam({ sides, from, to }, start) {
  const chosen = [...new Set(sides.map((side) => side.panel))];
  const a = toSheet(start);
  const long = Math.hypot(to.x - from.x, to.y - from.y);
  const square = { x: -(to.y - from.y) / long, y: (to.x - from.x) / long };
  const shown = live(chosen);
  const level = Math.abs(square.y) > 0.9999;
  const upright = Math.abs(square.x) > 0.9999;
  const catching = catcher(chosen);
  return {
    move(event, at) {
      const b = toSheet(at);
      let by = (b.x - a.x) * square.x + (b.y - a.y) * square.y;
      if (upright) by = (catching.side("across", from.x + by * square.x, [0, 0, 0, 0], ignoring(event)).at - from.x) / square.x;
      if (level) by = (catching.side("down", from.y + by * square.y, [0, 0, 0, 0], ignoring(event)).at - from.y) / square.y;
      shown.want({ kind: "move-seam", sides, dx: by * square.x, dy: by * square.y });
    },
    end: shown.end,
    cancel: shown.cancel,
  };
}
