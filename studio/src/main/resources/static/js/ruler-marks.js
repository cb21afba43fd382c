// What tells the guides apart at the rulers: they share one colour, and each kind has a mark of its own there.
import { sheet } from "./sheet.js";

const SLATE = "#C4D3DF";
const EDGE = 18;

/**
 * How each kind is drawn at {@code at} along a ruler whose inner edge is at 18: an own guide a solid wedge, a margin a long bar, the bleed
 * a dot, the rest a short bar.
 */
const DRAWN = {
  guide: (g) => { g.moveTo(-4, EDGE - 7); g.lineTo(4, EDGE - 7); g.lineTo(0, EDGE); g.closePath(); },
  margin: (g) => g.rect(-1, EDGE - 10, 2, 10),
  bleed: (g) => g.arc(0, EDGE - 4, 2, 0, 7),
  other: (g) => g.rect(-0.5, EDGE - 6, 1, 6),
};

/** Draws the marks of the shown guides on one ruler; {@code along} gives the place of a millimetre. */
export function rulerMarks(g, across, along) {
  if (sheet.stage !== "arrange") return;
  g.fillStyle = SLATE;
  for (const { axis, at, why } of sheet.guides) {
    if ((axis === "across") !== across) continue;
    g.save();
    if (across) g.translate(along(at), 0);
    else g.transform(0, 1, 1, 0, 0, along(at));
    g.beginPath();
    (DRAWN[why] || DRAWN.other)(g);
    g.fill();
    g.restore();
  }
}
