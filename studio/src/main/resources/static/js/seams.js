// Seams: the gaps that neighbours share show themselves under the pointer.
import { sheet, watch } from "./sheet.js";
import { view, toSheet, length } from "./view.js";
import { ask } from "./server.js";
import { extra } from "./marks.js";
import { svg } from "./geometry.js";
import { text } from "./snaps.js";

const REACH = 4;
const thin = { "vector-effect": "non-scaling-stroke" };
const well = document.getElementById("well");
let seams = [];
let known = -1;
let timer = 0;
let shown = null;

/** Asks for the seams of the sheet as it is, when things are quiet. */
function learn() {
  clearTimeout(timer);
  if (sheet.stage !== "arrange" || known === sheet.version) return;
  timer = setTimeout(async () => {
    const { version } = sheet;
    seams = await ask(`/sheets/${sheet.id}/seams`).catch(() => []);
    known = version;
  }, 250);
}
watch((what) => {
  if (what === "sheet") seams = [];
  learn();
});
learn();

/** The seam under a place in the well, if there is one. */
export function seamAt(at) {
  const p = toSheet(at);
  let found = null;
  for (const seam of seams) {
    const { from, to, gap } = seam;
    const long = Math.hypot(to.x - from.x, to.y - from.y);
    const along = ((p.x - from.x) * (to.x - from.x) + (p.y - from.y) * (to.y - from.y)) / long;
    const off = Math.abs((p.x - from.x) * (to.y - from.y) - (p.y - from.y) * (to.x - from.x)) / long;
    if (along < 0 || along > long || off > Math.max(gap / 2, REACH / view.scale)) continue;
    if (!found || off < found.off) found = { seam, off };
  }
  return found && found.seam;
}

/** Shows the seam under the pointer while nothing is being done. */
export function hover(at) {
  const seam = at && seamAt(at);
  if (seam === shown) return;
  shown = seam;
  well.classList.toggle("on-seam-across", Boolean(seam) && Math.abs(seam.to.x - seam.from.x) < Math.abs(seam.to.y - seam.from.y));
  well.classList.toggle("on-seam-down", Boolean(seam) && Math.abs(seam.to.x - seam.from.x) >= Math.abs(seam.to.y - seam.from.y));
  if (!seam) return extra();
  const d = `M${seam.from.x} ${seam.from.y}L${seam.to.x} ${seam.to.y}`;
  const middle = { x: (seam.from.x + seam.to.x) / 2, y: (seam.from.y + seam.to.y) / 2 };
  extra(svg("path", { class: "seam-casing", d, ...thin }), svg("path", { class: "seam", d, ...thin }),
      text(middle, `gap ${length(seam.gap)}`));
}
