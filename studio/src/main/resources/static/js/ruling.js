// Rules by hand: a line is drawn on the board, and its ends are caught by what is there.
import { sheet, watch } from "./sheet.js";
import { length } from "./view.js";
import { edit } from "./server.js";
import { line } from "./lines.js";
import { onBench } from "./bench-parts.js";
import { hold, release, tool } from "./tools.js";

function press(event, at) {
  return line(event, at, "seam", (from, to) => length(Math.hypot(to.x - from.x, to.y - from.y)), async (ends) => {
    release();
    await edit({ kind: "add-rule", ...ends });
  });
}

/** Takes the ruler up, or puts it down. */
export function ruler() {
  if (tool.name === "ruler") release();
  else if (sheet.stage === "dress") hold({ name: "ruler", press, cursor: "crosshair", anywhere: true });
}

onBench("#draw-rule", (button) => {
  button.addEventListener("click", ruler);
  mark();
});
const mark = () => document.getElementById("draw-rule")?.setAttribute("aria-pressed", tool.name === "ruler");
watch((what) => what === "tool" && mark());
