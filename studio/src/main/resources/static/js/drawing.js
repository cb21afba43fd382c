// One panel by hand: a form chosen on the bench is drawn on the board, or set there in its usual size.
import { sheet, watch } from "./sheet.js";
import { toSheet, view, length } from "./view.js";
import { edit } from "./server.js";
import { extra } from "./marks.js";
import { svg } from "./geometry.js";
import { hold, release, tool } from "./tools.js";
import { catcher, text } from "./snaps.js";
import { onBench } from "./bench-parts.js";

const thin = { "vector-effect": "non-scaling-stroke" };
const bench = document.getElementById("bench");
let form = null;

/** The box from one corner to the other; with Shift in the form's own proportions, with Alt around the first. */
function box(from, to, event) {
  let [x, y] = [to.x - from.x, to.y - from.y];
  if (event.shiftKey) {
    const wide = Math.max(Math.abs(x), Math.abs(y) * form.aspect);
    [x, y] = [Math.sign(x || 1) * wide, Math.sign(y || 1) * wide / form.aspect];
  }
  const both = event.altKey ? 2 : 1;
  const width = Math.abs(x) * both;
  const height = Math.abs(y) * both;
  const middle = event.altKey ? from : { x: from.x + x / 2, y: from.y + y / 2 };
  return { x: middle.x, y: middle.y, width, height };
}

function press(event, at) {
  const catching = catcher([]);
  const start = toSheet(at);
  let drawn = null;
  const free = (now) => now.ctrlKey || now.metaKey;
  return {
    move(now, place) {
      drawn = box(catching.spot(start, free(now)), catching.spot(toSheet(place), free(now)), now);
      const { x, y, width, height } = drawn;
      const d = `translate(${x} ${y}) scale(${width / form.width} ${height / form.height})`;
      extra(svg("rect", { class: "cell-casing", x: x - width / 2, y: y - height / 2, width, height, ...thin }),
          svg("path", { class: "cell", d: form.path, "fill-rule": "evenodd", transform: d, ...thin }),
        text({ x: x + width / 2, y: y + height / 2 + 16 / view.scale }, `${length(width)} × ${length(height)}`));
    },
    async end(moved) {
      extra();
      const { outline } = form;
      const usual = { x: start.x, y: start.y };
      release();
      await edit({ kind: "add-panel", outline, ...(moved && drawn.width > 0.1 && drawn.height > 0.1 ? drawn : usual) });
    },
    cancel: () => extra(),
  };
}

function take(button) {
  if (tool.name === "form" && form.button === button.dataset.add) return release();
  const shown = button.querySelector("path").getBBox();
  form = { button: button.dataset.add, outline: JSON.parse(button.dataset.outline), path: button.querySelector("path").getAttribute("d"),
      width: shown.width, height: shown.height, aspect: Number(button.dataset.aspect) };
  hold({ name: "form", press, cursor: "crosshair" });
}

bench.addEventListener("click", (event) => {
  const button = event.target.closest("[data-add]");
  if (button) take(button);
});
// By keys alone: Enter on the button takes the form up, Enter once more sets it in the middle of the sheet.
bench.addEventListener("keydown", (event) => {
  const button = event.target.closest("[data-add]");
  if (event.key !== "Enter" || !button || tool.name !== "form" || form.button !== button.dataset.add) return;
  event.preventDefault();
  const { outline } = form;
  release();
  edit({ kind: "add-panel", outline });
});

function mark() {
  for (const button of bench.querySelectorAll("[data-add]"))
    button.setAttribute("aria-pressed", tool.name === "form" && form.button === button.dataset.add);
  const hint = document.getElementById("draw-hint");
  if (hint) hint.hidden = tool.name !== "form";
}
onBench("[data-add]", mark);
watch((what) => what === "tool" && mark());
