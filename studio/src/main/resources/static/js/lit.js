// What is lit in Settle: the picture of one panel, or the whole vista that it shows a slice of.
import { sheet, ids, panel, group, image } from "./sheet.js";
import { pictureMatrix, matrixText } from "./geometry.js";

/** Which picture of the lit panels an edit means. */
export const aim = () => ({ whole: sheet.whole, layer: sheet.layer });

const SHEET = { centre: { x: 0, y: 0 }, turn: 0, mirrored: false };

/** What gestures on a panel move: where it sits, its picture's numbers, and the panels in which it is seen. */
export function subject(id) {
  const { seat, picture } = panel(id);
  const vista = sheet.whole && picture?.vista && sheet.vistas.find((v) => v.id === picture.vista);
  if (!vista) return { seat, picture, whole: false, members: [id] };
  return { seat: SHEET, picture: vista, whole: true, members: ids().filter((other) => panel(other).picture?.vista === vista.id) };
}

/** Shows the subject at a placement in every panel; answers the map from its pixels to the sheet. */
/** Shows hatched again what is bare, after a gesture that was given up. */
export const unhide = ({ members }) => members.forEach((id) => group(id).querySelector(".bare-area")?.removeAttribute("visibility"));

export function put({ seat, picture, whole, members }, placement) {
  const matrix = pictureMatrix(seat, picture, placement);
  for (const id of members) {
    const { a, b, c, d, e, f } = whole ? panel(id).picture.through : { a: 1, b: 0, c: 0, d: 1, e: 0, f: 0 };
    group(id).querySelector(".bare-area")?.setAttribute("visibility", "hidden");
    image(id).setAttribute("transform", matrixText(new DOMMatrix([a, b, c, d, e, f]).multiply(matrix)));
  }
  return matrix;
}
