// What is lit in Settle: the picture of one panel, or the whole vista that it shows a slice of.
import { sheet, ids, panel, group, image } from "./sheet.js";
import { pictureMatrix, matrixText, seatMatrix, apply, seenAt, unseen } from "./geometry.js";

/** Which picture of the lit panels an edit means. */
export const aim = () => ({ whole: sheet.whole, layer: sheet.layer });

export const SHEET = { centre: { x: 0, y: 0 }, turn: 0, mirrored: false };

/** What gestures on a panel move: where it sits, its picture's numbers, and the panels in which it is seen. */
export function subject(id) {
  const { seat, picture } = panel(id);
  const vista = sheet.whole && picture?.vista && sheet.vistas.find((v) => v.id === picture.vista);
  if (!vista) return { seat, picture, whole: false, members: [id] };
  return { seat: SHEET, picture: vista, whole: true, members: ids().filter((other) => panel(other).picture?.vista === vista.id) };
}

/** Where a place on the sheet lies in the frame of what is moved, of a mounted picture in its plane; null behind the horizon. */
export function inSubject({ seat, picture }, at) {
  const frame = apply(seatMatrix(seat).inverse(), at.x, at.y);
  return picture.seen ? seenAt(unseen(picture.seen), frame) : frame;
}

/** The corners of the plane that it is mounted in, on the sheet. */
export const cornersOf = ({ seat, picture }) => picture.plane.corners.map(({ x, y }) => apply(seatMatrix(seat), x, y));

/** About what it is turned and zoomed, in its frame or its plane. */
export const pivot = ({ picture, whole }) => (whole ? picture.middle : picture.pivot || { x: 0, y: 0 });

/** Shows hatched again what is bare, after a gesture that was given up. */
export const unhide = ({ members }) => members.forEach((id) => group(id).querySelector(".bare-area")?.removeAttribute("visibility"));

/** Shows the subject at a placement in every panel; answers the map from its pixels to the sheet. */
export function put({ seat, picture, whole, members }, placement) {
  if (picture.seen) return null;
  const matrix = pictureMatrix(seat, picture, placement);
  for (const id of members) {
    const { a, b, c, d, e, f } = whole ? panel(id).picture.through : { a: 1, b: 0, c: 0, d: 1, e: 0, f: 0 };
    group(id).querySelector(".bare-area")?.setAttribute("visibility", "hidden");
    const there = matrixText(new DOMMatrix([a, b, c, d, e, f]).multiply(matrix));
    const shown = image(id);
    shown.setAttribute("transform", there);
    // What is hidden goes along, or stays in the panel.
    if (panel(id).picture.veil === "picture") group(id).querySelector(`image[data-veil="${shown.dataset.layer}"]`)
        ?.setAttribute("transform", there);
  }
  return matrix;
}
