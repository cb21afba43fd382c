// Arrange: what a press on the board means, and the bench's buttons that act on several panels.
import { sheet, select, letGo, ids, panel, mates } from "./sheet.js";
import { toSheet } from "./view.js";
import { edit } from "./server.js";
import { onBench, clearProblems } from "./bench-parts.js";
import { extra } from "./marks.js";
import { svg } from "./geometry.js";
import { move, resize, turn, pull, corner, seam } from "./moving.js";
import { seamAt, hover as hoverSeam } from "./seams.js";
import { guideAt, drag as dragGuide } from "./guides.js";
import { tool } from "./tools.js";
import { twice } from "./presses.js";
import "./cutting.js";
import "./pen.js";
import "./points.js";
import "./regions.js";
import "./pattern.js";
import "./setup.js";

const thin = { "vector-effect": "non-scaling-stroke" };
const bench = document.getElementById("bench");

/** Starts what a press on the board means here; the answer hears the moves, the end and a cancel. */
export function press(event, at) {
  const { dataset } = event.target;
  if (event.target.id === "ruler-top") return dragGuide(false);
  if (event.target.id === "ruler-left") return dragGuide(true);
  // A tool that is held has every press on the board, whatever lies there.
  if (tool.press) return tool.press(event, at);
  if (dataset?.handle === "turn") return turn(at);
  if (dataset?.handle) return resize(dataset.handle, at);
  if (dataset?.pull) return pull(dataset.pull, at);
  if (dataset?.corner) return corner(Number(dataset.corner), at);
  const found = seamAt(at);
  if (found && !event.shiftKey) {
    extra();
    return seam(found, at);
  }
  const id = event.target.closest?.(".panel")?.dataset.id;
  if (!id) {
    const guide = guideAt(at);
    return guide === null ? marquee(event, at) : dragGuide(upright(guide), guide);
  }
  if (event.ctrlKey || event.metaKey) return apart(event, at, id);
  const was = sheet.selected.includes(id);
  const chosen = twice() ? [id] : mates(id);
  if (event.shiftKey) select(was ? sheet.selected.filter((other) => !chosen.includes(other)) : [...sheet.selected, ...chosen], id);
  else if (!was) select(chosen, id);
  else sheet.key = id;
  return sheet.selected.includes(id) ? move(at, () => !event.shiftKey && was && select(chosen, id), event.altKey) : null;
}

/** With Ctrl a click selects what lies beneath, and a drag moves the panel that was pressed, free of snapping. */
function apart(event, at, id) {
  const clicked = () => select(mates(below(event, id)));
  if (sheet.selected.includes(id)) return move(at, clicked, false, true);
  let going = null;
  return {
    move(now, place) {
      if (!going) {
        select(mates(id), id);
        going = move(at, clicked, false, true);
      }
      going.move(now, place);
    },
    end: (moved) => (going ? going.end(moved) : clicked()),
    cancel: () => going?.cancel(),
  };
}

const upright = (index) => (sheet.guides.filter((line) => line.why === "guide")[index].axis === "across");

/** The panel under the one that is selected at the pointer, round and round. */
function below(event, id) {
  const here = document.elementsFromPoint(event.clientX, event.clientY).map((node) => node.closest?.(".panel")?.dataset.id)
      .filter((one, i, all) => one && all.indexOf(one) === i);
  const at = here.findIndex((one) => sheet.selected.includes(one));
  return here.length ? here[(at + 1) % here.length] : id;
}

/** Shows the seam under a pointer that rests on no handle. */
export function hover(event, at) {
  if (tool.hover) return tool.hover(event, at);
  const busy = tool.press || event.target.dataset?.handle || event.target.dataset?.pull || event.target.dataset?.corner;
  if (!tool.press) hoverSeam(busy ? null : at);
}

function marquee(event, start) {
  const kept = event.shiftKey ? [...sheet.selected] : [];
  letGo(event);
  const a = toSheet(start);
  return {
    move(_, at) {
      const b = toSheet(at);
      const [left, right] = [Math.min(a.x, b.x), Math.max(a.x, b.x)];
      const [top, bottom] = [Math.min(a.y, b.y), Math.max(a.y, b.y)];
      extra(svg("rect", { class: "marquee", x: left, y: top, width: right - left, height: bottom - top, ...thin }));
      const inside = ids().filter((id) => {
        const [l, t, r, bo] = panel(id).bounds;
        return !panel(id).hidden && l < right && r > left && t < bottom && bo > top;
      });
      const wanted = [...new Set([...kept, ...inside.flatMap(mates)])];
      if (wanted.join() !== sheet.selected.join()) select(wanted);
    },
    end: () => extra(),
    cancel: () => extra(),
  };
}

/** Moves the selection by keys. */
export const nudge = (dx, dy) => sheet.selected.length && edit({ kind: "move-panels", panels: sheet.selected, dx, dy });

export const alike = () => {
  const kinds = new Set(sheet.selected.map((id) => panel(id).form));
  select(ids().filter((id) => kinds.has(panel(id).form)));
};

bench.addEventListener("click", (event) => {
  const button = event.target.closest("button");
  if (!button) return;
  const { dataset } = button;
  const panels = sheet.selected;
  const key = panels.includes(sheet.key) ? sheet.key : panels[0];
  if (dataset.align) edit({ kind: "align", panels, line: dataset.align, to: bench.querySelector("[name=align-to]:checked").value, key });
  if (dataset.space) {
    const gap = document.getElementById("space-gap");
    clearProblems(gap.closest("section"));
    edit({ kind: "space", panels, how: dataset.space, gap: dataset.space.startsWith("middles") ? "" : gap.value }, gap);
  }
  if (dataset.same) edit({ kind: "same-size", panels, key, width: dataset.same.includes("width"),
      height: dataset.same.includes("height") });
  if ("swapSeats" in dataset) edit({ kind: "swap-seats", one: panels[0], other: panels[1] });
  if ("alike" in dataset) alike();
});

bench.addEventListener("change", (event) => {
  const asked = event.target.closest("[data-asked]");
  if (!asked) return;
  const outline = { kind: asked.dataset.asked };
  for (const field of asked.querySelectorAll("[data-number]")) outline[field.dataset.number] = field.value;
  for (const field of asked.querySelectorAll("[data-switch]")) outline[field.dataset.switch] = field.checked;
  clearProblems(asked);
  edit({ kind: "set-outline", panels: sheet.selected, outline }, event.target);
});

onBench("[data-forms]", (forms) => forms.querySelector(`[data-form="${forms.dataset.forms}"]`)?.classList.add("on"));

onBench("#copies", (form) => form.addEventListener("submit", (event) => {
  event.preventDefault();
  clearProblems(form);
  edit({ kind: "duplicate", panels: sheet.selected, ...Object.fromEntries(new FormData(form)) }, form);
}));
