// Arrange: panels are selected, moved and sized; the grid shows itself while its numbers change.
import { sheet, select, ids, panel, group, draw, watch } from "./sheet.js";
import { view, toSheet } from "./view.js";
import { edit, preview, previewer } from "./server.js";
import { onBench, clearProblems, problemAt } from "./bench-parts.js";
import { redraw, slide, extra, frame, HANDLES } from "./marks.js";
import { svg, apply } from "./geometry.js";

const thin = { "vector-effect": "non-scaling-stroke" };

/** Starts what a press on the board means here; the answer hears the moves, the end and a cancel. */
export function press(event, at) {
  const handle = event.target.dataset?.handle;
  if (handle) return resize(handle, at);
  const id = event.target.closest?.(".panel")?.dataset.id;
  if (!id) return marquee(event, at);
  const several = event.shiftKey || event.ctrlKey || event.metaKey;
  const was = sheet.selected.includes(id);
  if (several) select(was ? sheet.selected.filter((other) => other !== id) : [...sheet.selected, id]);
  else if (!was) select([id]);
  return sheet.selected.includes(id) ? move(at, () => !several && was && select([id])) : null;
}

/** Drags the selection; {@code clicked} hears of a press that did not move. */
function move(start, clicked) {
  const chosen = sheet.selected.map(group);
  let by = { x: 0, y: 0 };
  const put = (x, y) => {
    by = { x, y };
    for (const g of chosen) g.setAttribute("transform", `translate(${x} ${y})`);
    slide(by);
  };
  return {
    move(event, at) {
      let x = (at.x - start.x) / view.scale;
      let y = (at.y - start.y) / view.scale;
      if (event.shiftKey) [x, y] = Math.abs(x) > Math.abs(y) ? [x, 0] : [0, y];
      put(x, y);
    },
    async end(moved) {
      if (!moved) return clicked();
      if (!await edit({ kind: "move-panels", panels: sheet.selected, dx: by.x, dy: by.y })) put(0, 0);
      for (const g of chosen) g.removeAttribute("transform");
      redraw();
    },
    cancel: () => put(0, 0),
  };
}

function resize(name, start) {
  const [, hx, hy] = HANDLES.find(([n]) => n === name);
  const chosen = [...sheet.selected];
  const before = chosen.map((id) => group(id).outerHTML);
  const { matrix, width, height } = frame(chosen);
  const back = matrix.inverse();
  const from = apply(back, ...Object.values(toSheet(start)));
  let wanted = null;
  const live = previewer((result) => {
    if (result) for (const part of result.changed) draw(part.id, part.board);
    redraw();
  });
  const restore = () => {
    chosen.forEach((id, i) => draw(id, before[i]));
    redraw();
  };
  return {
    move(event, at) {
      const now = apply(back, ...Object.values(toSheet(at)));
      const centred = event.altKey ? 2 : 1;
      let w = Math.max(0.1, width + (now.x - from.x) * hx * centred);
      let h = Math.max(0.1, height + (now.y - from.y) * hy * centred);
      if (event.shiftKey) {
        const factor = hx && hy ? Math.max(w / width, h / height) : hx ? w / width : h / height;
        [w, h] = [width * factor, height * factor];
      }
      wanted = { kind: "resize-panels", panels: chosen, width: w, height: h, anchorX: event.altKey ? 0 : -hx, anchorY: event.altKey ? 0 : -hy };
      live.want(wanted);
    },
    async end(moved) {
      live.close();
      if (moved && wanted && !await edit(wanted)) restore();
    },
    cancel() {
      live.close();
      restore();
    },
  };
}

function marquee(event, start) {
  const kept = event.shiftKey ? [...sheet.selected] : [];
  if (!kept.length) select([]);
  const a = toSheet(start);
  return {
    move(_, at) {
      const b = toSheet(at);
      const [left, right] = [Math.min(a.x, b.x), Math.max(a.x, b.x)];
      const [top, bottom] = [Math.min(a.y, b.y), Math.max(a.y, b.y)];
      extra(svg("rect", { class: "marquee", x: left, y: top, width: right - left, height: bottom - top, ...thin }));
      const inside = ids().filter((id) => {
        const [l, t, r, bo] = panel(id).bounds;
        return l < right && r > left && t < bottom && bo > top;
      });
      const wanted = [...new Set([...kept, ...inside])];
      if (wanted.join() !== sheet.selected.join()) select(wanted);
    },
    end: () => extra(),
    cancel: () => extra(),
  };
}

/** Moves the selection by keys. */
export const nudge = (dx, dy) => sheet.selected.length && edit({ kind: "move-panels", panels: sheet.selected, dx, dy });

watch((what) => what === "stage" && extra());

onBench("#grid", (form) => {
  let timer = 0;
  let closed = false;
  form.addEventListener("input", () => {
    clearTimeout(timer);
    timer = setTimeout(show, 90);
  });
  form.addEventListener("focusout", (event) => !form.contains(event.relatedTarget) && extra());
  form.addEventListener("submit", async (event) => {
    event.preventDefault();
    clearTimeout(timer);
    closed = true;
    clearProblems(form);
    if (await edit(wanted(form), form)) {
      extra();
      select([]);
    }
    closed = false;
  });

  async function show() {
    clearProblems(form);
    try {
      const { cells } = await preview(wanted(form));
      if (closed || !form.isConnected) return;
      const d = cells.join("");
      extra(svg("path", { class: "cell-casing", d, ...thin }), svg("path", { class: "cell", d, ...thin }));
      document.getElementById("grid-says").textContent = cells.length === 1 ? "One panel." : `${cells.length} panels. Enter makes them.`;
    } catch (problem) {
      extra();
      document.getElementById("grid-says").textContent = "";
      problemAt(form, problem.field, problem.message);
    }
  }
});

const wanted = (form) => ({ kind: "arrange-grid", ...Object.fromEntries(new FormData(form)) });
