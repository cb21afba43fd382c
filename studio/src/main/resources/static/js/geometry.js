// Just enough geometry to move what is on the screen; numbers that last are the server's.
const SVG = "http://www.w3.org/2000/svg";

export function svg(name, attributes = {}, ...children) {
  const node = document.createElementNS(SVG, name);
  for (const [key, value] of Object.entries(attributes)) node.setAttribute(key, value);
  node.append(...children);
  return node;
}

/** From a panel's own frame to the sheet. */
export function seatMatrix(seat) {
  return new DOMMatrix().translate(seat.centre.x, seat.centre.y).rotate(seat.turn).scale(seat.mirrored ? -1 : 1, 1);
}

/** From a picture's pixels to the sheet. */
export function pictureMatrix(seat, picture, placement = picture.placement) {
  return seatMatrix(seat).translate(placement.centre.x, placement.centre.y).rotate(placement.turn)
    .scale(placement.mirrored ? -placement.scaleX : placement.scaleX, placement.scaleY).translate(-picture.width / 2, -picture.height / 2);
}

export const matrixText = (m) => `matrix(${m.a} ${m.b} ${m.c} ${m.d} ${m.e} ${m.f})`;

export function apply(matrix, x, y) {
  const p = matrix.transformPoint({ x, y });
  return { x: p.x, y: p.y };
}

/** A place through a projective map of three rows; null where it is not before the horizon. */
export function seenAt([across, down, depth], { x, y }) {
  const at = ([a, b, c]) => a * x + b * y + c;
  return at(depth) > 0 ? { x: at(across) / at(depth), y: at(down) / at(depth) } : null;
}

/** The way back of a projective map. */
export function unseen([a, b, c]) {
  const cross = (p, q) => [p[1] * q[2] - p[2] * q[1], p[2] * q[0] - p[0] * q[2], p[0] * q[1] - p[1] * q[0]];
  const columns = [cross(b, c), cross(c, a), cross(a, b)];
  const det = a[0] * columns[0][0] + a[1] * columns[0][1] + a[2] * columns[0][2];
  return [0, 1, 2].map((i) => columns.map((column) => column[i] / det));
}

/** A step on the sheet as a step in the panel's own frame. */
export function inFrame(seat, dx, dy) {
  const m = seatMatrix(seat).inverse();
  return { x: m.a * dx + m.c * dy, y: m.b * dx + m.d * dy };
}

function turned(p, degrees) {
  return apply(new DOMMatrix().rotate(degrees), p.x, p.y);
}

const within = (low, value, high) => (low > high ? (low + high) / 2 : Math.max(low, Math.min(high, value)));

/** The nearest placement that leaves nothing bare, where the picture is held; {@code reach} came with the board. */
export function held(picture, placement) {
  if (!picture.held) return placement;
  const [left, top, right, bottom] = picture.reach;
  const grow = Math.max(1, (right - left) / (picture.width * placement.scaleX), (bottom - top) / (picture.height * placement.scaleY));
  const scaleX = placement.scaleX * grow;
  const scaleY = placement.scaleY * grow;
  const own = turned(placement.centre, -placement.turn);
  const centre = turned({
    x: within(right - picture.width * scaleX / 2, own.x, left + picture.width * scaleX / 2),
    y: within(bottom - picture.height * scaleY / 2, own.y, top + picture.height * scaleY / 2),
  }, placement.turn);
  return { ...placement, scaleX, scaleY, centre };
}

/** Zoomed by a factor with the spot under {@code anchor} (panel's frame) staying put. */
export function zoomed(placement, factor, anchor) {
  return {
    ...placement, scaleX: placement.scaleX * factor, scaleY: placement.scaleY * factor,
    centre: { x: anchor.x + (placement.centre.x - anchor.x) * factor, y: anchor.y + (placement.centre.y - anchor.y) * factor },
  };
}

/** The upright box around several [left, top, right, bottom]. */
export function union(boxes) {
  return [Math.min(...boxes.map((b) => b[0])), Math.min(...boxes.map((b) => b[1])), Math.max(...boxes.map((b) => b[2])),
      Math.max(...boxes.map((b) => b[3]))];
}
