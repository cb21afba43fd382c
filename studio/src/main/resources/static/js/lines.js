// A straight line drawn on the board: its ends are caught by corners, or else by sides and guides; Shift keeps it to even angles.
import { sheet, ids, panel } from "./sheet.js";
import { toSheet, view } from "./view.js";
import { extra } from "./marks.js";
import { svg, apply, seatMatrix } from "./geometry.js";
import { catcher, text } from "./snaps.js";
import { evenly } from "./catches.js";

const REACH = 9;
const thin = { "vector-effect": "non-scaling-stroke" };

/** The corners that a line may start or end on: those of panels and of the sheet, and the middles between them. */
function corners() {
  const points = [[0, 0], [1, 0], [1, 1], [0, 1], [0.5, 0], [1, 0.5], [0.5, 1], [0, 0.5]]
      .map(([x, y]) => ({ x: x * sheet.width, y: y * sheet.height }));
  for (const id of ids()) {
    const { seat, corners: own } = panel(id);
    const matrix = seatMatrix(seat);
    const ring = own || [[-1, -1], [1, -1], [1, 1], [-1, 1]].map(([x, y]) => ({ x: x * seat.width / 2, y: y * seat.height / 2 }));
    ring.forEach((p, i) => {
      const q = ring[(i + 1) % ring.length];
      points.push(apply(matrix, p.x, p.y), apply(matrix, (p.x + q.x) / 2, (p.y + q.y) / 2));
    });
  }
  return points;
}

function caught(p, points, lines, event) {
  if (event.ctrlKey || event.metaKey) return p;
  const near = points.map((q) => ({ q, off: Math.hypot(q.x - p.x, q.y - p.y) * view.scale })).filter(({ off }) => off < REACH)
      .sort((a, b) => a.off - b.off)[0];
  return near ? near.q : lines.spot(p, false);
}

/** The gesture of drawing one, marked as {@code mark}: {@code says} tells its ends in words, {@code drawn} gets them. */
export function line(event, at, mark, says, drawn) {
  const points = corners();
  const lines = catcher([]);
  const start = toSheet(at);
  let from = start;
  let to = start;
  return {
    move(now, place) {
      // What catches may have been told only now.
      from = caught(start, points, lines, event);
      to = caught(toSheet(place), points, lines, now);
      if (now.shiftKey) to = evenly(from, to);
      const d = `M${from.x} ${from.y}L${to.x} ${to.y}`;
      extra(svg("path", { class: `${mark}-casing`, d, ...thin }), svg("path", { class: mark, d, ...thin }), text(to, says(from, to)));
    },
    async end(moved) {
      extra();
      if (moved) await drawn({ x1: from.x, y1: from.y, x2: to.x, y2: to.y });
    },
    cancel: () => extra(),
  };
}
