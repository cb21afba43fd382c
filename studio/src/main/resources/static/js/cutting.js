// Cutting: a line is drawn across the board, and what it crosses is divided.
import { sheet, ids, watch } from "./sheet.js";
import { length } from "./view.js";
import { edit } from "./server.js";
import { line } from "./lines.js";
import { onBench, clearProblems } from "./bench-parts.js";
import { hold, release, tool } from "./tools.js";

function press(event, at) {
  const gap = document.getElementById("cut-gap");
  const degrees = (from, to) => Math.atan2(to.y - from.y, to.x - from.x) * 180 / Math.PI;
  const says = (from, to) => `${length(Math.hypot(to.x - from.x, to.y - from.y))}, ${degrees(from, to).toFixed(1)}°`;
  return line(event, at, "knife", says, async (ends) => {
    clearProblems(gap.closest("section"));
    await edit({ kind: "cut", ...ends, gap: gap.value, panels: sheet.selected }, gap);
  });
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
