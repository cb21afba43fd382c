// Where the tag stands: beside what it speaks of, never on it, and never on a measure or a handle.
const well = document.getElementById("well");
const GAP = 14;
const EDGE = 24;
const FAR = 6;

/**
 * Puts the tag below, above, right or left of {@code about}, a box in the well, or in a corner of the well, clear of the marks where that
 * can be.
 */
export function place(tag, about, marks) {
  const width = tag.offsetWidth;
  const height = tag.offsetHeight;
  const right = well.clientWidth - width - FAR;
  const bottom = well.clientHeight - height - FAR;
  const within = (value, low, high) => Math.max(low, Math.min(high, value));
  const x = within((about.left + about.right - width) / 2, EDGE, right);
  const y = within((about.top + about.bottom - height) / 2, EDGE, bottom);
  const origin = well.getBoundingClientRect();
  const taken = marks.map((mark) => mark.getBoundingClientRect())
      .map((b) => ({ left: b.left - origin.left, top: b.top - origin.top, right: b.right - origin.left, bottom: b.bottom - origin.top }));
  const room = (p) => ({ left: p.x, top: p.y, right: p.x + width, bottom: p.y + height });
  const meets = (a, b) => a.left < b.right + 2 && b.left < a.right + 2 && a.top < b.bottom + 2 && b.top < a.bottom + 2;
  const clear = (p) => p.x >= EDGE && p.y >= EDGE && p.x <= right && p.y <= bottom && !meets(room(p), about)
      && !taken.some((b) => meets(room(p), b));
  // A measure below pushes the tag below the measure.
  const steps = [GAP, GAP + 22, GAP + 44, GAP + 66];
  const beside = steps.flatMap((gap) => [{ x, y: about.bottom + gap }, { x, y: about.top - gap - height }, { x: about.right + gap, y },
      { x: about.left - gap - width, y }]);
  const below = steps.map((gap) => ({ x, y: about.bottom + gap }));
  const corners = [{ x: right, y: bottom }, { x: EDGE, y: bottom }, { x: right, y: EDGE }, { x: EDGE, y: EDGE }];
  const found = below.find(clear) || beside.find(clear) || corners.find((p) => !taken.some((b) => meets(room(p), b))) || corners[0];
  tag.style.transform = `translate(${found.x}px, ${found.y}px)`;
}
