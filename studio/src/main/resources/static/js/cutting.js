// Cutting: a line is drawn across the board, and what it crosses is divided.
import { sheet, ids, panel, watch } from "./sheet.js";
import { toSheet, view, length } from "./view.js";
import { edit } from "./server.js";
import { extra } from "./marks.js";
import { svg, apply, seatMatrix } from "./geometry.js";
import { text } from "./snaps.js";
import { onBench, clearProblems } from "./bench-parts.js";
import { hold, release, tool } from "./tools.js";

const REACH = 9;
const thin = { "vector-effect": "non-scaling-stroke" };

/** The corners that a cut may start or end on: those of panels and of the sheet, and the middles between them. */
function corners() {
  const points = [[0, 0], [1, 0], [1, 1], [0, 1], [0.5, 0], [1, 0.5], [0.5, 1], [0, 0.5]].map(([x, y]) => ({ x: x * sheet.width, y: y * sheet.height }));
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

function caught(p, points, event) {
  if (event.ctrlKey || event.metaKey) return p;
  const near = points.map((q) => ({ q, off: Math.hypot(q.x - p.x, q.y - p.y) * view.scale })).filter(({ off }) => off < REACH).sort((a, b) => a.off - b.off)[0];
  return near ? near.q : p;
}

function press(event, at) {
  const points = corners();
  const from = caught(toSheet(at), points, event);
  let to = from;
  const gap = document.getElementById("cut-gap");
  return {
    move(now, place) {
      to = caught(toSheet(place), points, now);
      if (now.shiftKey) {
        const long = Math.hypot(to.x - from.x, to.y - from.y);
        const angle = Math.round(Math.atan2(to.y - from.y, to.x - from.x) / (Math.PI / 12)) * (Math.PI / 12);
        to = { x: from.x + long * Math.cos(angle), y: from.y + long * Math.sin(angle) };
      }
      const d = `M${from.x} ${from.y}L${to.x} ${to.y}`;
      const angle = Math.atan2(to.y - from.y, to.x - from.x) * 180 / Math.PI;
      extra(svg("path", { class: "knife-casing", d, ...thin }), svg("path", { class: "knife", d, ...thin }),
        text(to, `${length(Math.hypot(to.x - from.x, to.y - from.y))}, ${angle.toFixed(1)}°`));
    },
    async end(moved) {
      extra();
      if (!moved) return;
      clearProblems(gap.closest("section"));
      await edit({ kind: "cut", x1: from.x, y1: from.y, x2: to.x, y2: to.y, gap: gap.value, panels: sheet.selected }, gap);
    },
    cancel: () => extra(),
  };
}

/** Takes the knife up, or puts it down. */
export function knife() {
  if (tool.name === "knife") release();
  else if (sheet.stage === "arrange" && ids().length) hold({ name: "knife", press, cursor: "crosshair" });
}

onBench("#cut", (button) => {
  button.addEventListener("click", knife);
  mark();
});
const mark = () => document.getElementById("cut")?.setAttribute("aria-pressed", tool.name === "knife");
watch((what) => what === "tool" && mark());
