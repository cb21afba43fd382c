// What catches a point that is drawn or dragged: points of forms first, then their sides, then guides and lines.
import { sheet } from "./sheet.js";
import { view } from "./view.js";
import { askForm } from "./server.js";
import { catcher } from "./snaps.js";

const NEAR = 9;
const ON = 7;
const SAMPLES = 24;
const STEPS = 30;

const apart = (p, q) => Math.hypot(p.x - q.x, p.y - q.y);

/** A place on a side, straight or curved, at a parameter from 0 to 1. */
function at(side, t) {
  const u = 1 - t;
  if (side.length === 4) return { x: side[0] * u + side[2] * t, y: side[1] * u + side[3] * t };
  const by = [u * u * u, 3 * u * u * t, 3 * u * t * t, t * t * t];
  return { x: by.reduce((sum, b, i) => sum + b * side[2 * i], 0), y: by.reduce((sum, b, i) => sum + b * side[2 * i + 1], 0) };
}

/** The place on a side that is nearest to a point. */
function nearest(side, p) {
  let best = 0;
  for (let i = 1; i <= SAMPLES; i++) if (apart(at(side, i / SAMPLES), p) < apart(at(side, best / SAMPLES), p)) best = i;
  let [low, high] = [Math.max(0, best - 1) / SAMPLES, Math.min(SAMPLES, best + 1) / SAMPLES];
  for (let i = 0; i < STEPS; i++) {
    const [a, b] = [low + (high - low) / 3, high - (high - low) / 3];
    if (apart(at(side, a), p) < apart(at(side, b), p)) high = b;
    else low = a;
  }
  return at(side, (low + high) / 2);
}

const inReach = ([a, b, ...rest], p, reach) => {
  const xs = [a, ...rest.filter((_, i) => i % 2 === 0)];
  const ys = [b, ...rest.filter((_, i) => i % 2 === 1)];
  return p.x > Math.min(...xs) - reach && p.x < Math.max(...xs) + reach && p.y > Math.min(...ys) - reach && p.y < Math.max(...ys) + reach;
};

/** Asks what catches; until the answer is there, only guides and lines do. */
export function pointCatcher() {
  let known = { points: [], sides: [] };
  askForm(`/sheets/${sheet.id}/catches`, {}).then((answer) => (known = answer)).catch(() => {});
  const lines = catcher([]);
  /** The place that catches {@code p}; {@code others} are points that catch, too. */
  return (p, event, others = []) => {
    if (event.ctrlKey || event.metaKey) return p;
    const near = [...others, ...known.points].map((q) => [q, apart(p, q) * view.scale]).filter(([, off]) => off < NEAR)
        .sort((a, b) => a[1] - b[1])[0];
    if (near) return { ...near[0] };
    const reach = ON / view.scale;
    const on = known.sides.filter((side) => inReach(side, p, reach)).map((side) => nearest(side, p)).map((q) => [q, apart(p, q)])
        .filter(([, off]) => off < reach).sort((a, b) => a[1] - b[1])[0];
    return on ? on[0] : lines.spot(p, false);
  };
}

/** The end of a line brought to a multiple of 15 degrees. */
export function evenly(from, to) {
  const long = apart(from, to);
  const angle = Math.round(Math.atan2(to.y - from.y, to.x - from.x) / (Math.PI / 12)) * (Math.PI / 12);
  return { x: from.x + long * Math.cos(angle), y: from.y + long * Math.sin(angle) };
}
