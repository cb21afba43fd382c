// Snapping: the server says which lines and equal gaps catch; here a drag is caught by the nearest within a few pixels.
import { sheet, panel } from "./sheet.js";
import { view, toScreen, length } from "./view.js";
import { askForm } from "./server.js";
import { svg, union } from "./geometry.js";
import { extra } from "./marks.js";

const REACH = 6;
const thin = { "vector-effect": "non-scaling-stroke" };

/** What catches the panels {@code moving}; until the answer is there, nothing does. */
export function catcher(moving) {
  let snaps = { lines: [], evens: [] };
  askForm(`/sheets/${sheet.id}/snaps`, { moving }).then((answer) => (snaps = answer)).catch(() => {});
  return {
    /** The step nearest to {@code by} at which the box is caught, with the marks that say why. */
    moved(box, by, free) {
      if (free) return { by, marks: [] };
      const across = nearest(snaps, "across", box, by.x, by.y);
      const down = nearest(snaps, "down", box, by.y, by.x);
      const caught = { x: across ? across.to : by.x, y: down ? down.to : by.y };
      const there = [box[0] + caught.x, box[1] + caught.y, box[2] + caught.x, box[3] + caught.y];
      return { by: caught, marks: [...reason(across, there), ...reason(down, there)] };
    },
    /** Where a side at {@code at} mm along the axis is caught, with its marks. */
    side(axis, at, box, free) {
      const found = free ? null : best(snaps.lines.filter((l) => l.axis === axis && l.catches !== "MIDDLE")
          .map((line) => ({ off: line.at - at, line })));
      return found ? { at: found.line.at, marks: reason({ line: found.line }, box) } : { at, marks: [] };
    },
    /** The spot nearest to {@code p} that a line across, a line down or both catch. */
    spot(p, free) {
      const x = this.side("across", p.x, [p.x, p.y, p.x, p.y], free);
      const y = this.side("down", p.y, [p.x, p.y, p.x, p.y], free);
      return { x: x.at, y: y.at };
    },
  };
}

const best = (found) => found.filter((f) => Math.abs(f.off) <= REACH / view.scale).sort((a, b) => Math.abs(a.off) - Math.abs(b.off))[0]
    || null;

function nearest(snaps, axis, box, by, other) {
  const i = axis === "across" ? 0 : 1;
  const [start, end] = [box[i] + by, box[i + 2] + by];
  const found = [];
  for (const line of snaps.lines) {
    if (line.axis !== axis) continue;
    if (line.catches !== "MIDDLE") found.push({ off: line.at - start, line }, { off: line.at - end, line });
    if (line.catches !== "SIDES") found.push({ off: line.at - (start + end) / 2, line });
  }
  const [low, high] = [box[1 - i] + other, box[3 - i] + other];
  for (const even of snaps.evens) {
    if (even.axis === axis && low < even.to && high > even.from) found.push({ off: even.start - start, even });
  }
  const chosen = best(found);
  return chosen && { ...chosen, to: by + chosen.off };
}

/** The line that caught, with what it is; or the equal gaps, with their size. */
function reason(found, box) {
  if (!found) return [];
  if (found.even) return even(found.even, box);
  const { line } = found;
  const i = line.axis === "across" ? 0 : 1;
  const [low, high] = [Math.min(line.from, box[1 - i]), Math.max(line.to, box[3 - i])];
  const gap = box[1 - i] > line.to ? box[1 - i] - line.to : line.from > box[3 - i] ? line.from - box[3 - i] : 0;
  const d = i === 0 ? `M${line.at} ${low}V${high}` : `M${low} ${line.at}H${high}`;
  const at = i === 0 ? { x: line.at, y: (box[1] + box[3]) / 2 } : { x: (box[0] + box[2]) / 2, y: line.at };
  return [...stroke(d), text(at, gap > 0.005 ? `${line.why}, ${length(gap)}` : line.why)];
}

function even({ axis, gap, from, to, gaps }, box) {
  const middle = (Math.max(from, axis === "across" ? box[1] : box[0]) + Math.min(to, axis === "across" ? box[3] : box[2])) / 2;
  const marks = [];
  for (let i = 0; i < gaps.length; i += 2) {
    const d = axis === "across" ? `M${gaps[i]} ${middle}H${gaps[i + 1]}` : `M${middle} ${gaps[i]}V${gaps[i + 1]}`;
    const half = (gaps[i] + gaps[i + 1]) / 2;
    marks.push(...stroke(d), text(axis === "across" ? { x: half, y: middle } : { x: middle, y: half }, length(gap)));
  }
  return marks;
}

const stroke = (d) => ["catch-casing", "catch"].map((name) => svg("path", { class: name, d, ...thin }));

/** A label in the size of the screen's text, whatever the zoom. */
export function text(at, words) {
  const right = toScreen(at).x > document.getElementById("well").clientWidth - 160;
  const node = svg("text", { class: "catch-text", x: at.x + (right ? -4 : 4) / view.scale, y: at.y - 4 / view.scale, "text-anchor": right
      ? "end" : "start",
    "font-size": 11 / view.scale, "stroke-width": 3 / view.scale });
  node.textContent = words;
  return node;
}

/** The upright box around panels, as [left, top, right, bottom]. */
export const boxOf = (ids) => union(ids.map((id) => panel(id).bounds));

export const showMarks = (marks) => extra(...marks);
