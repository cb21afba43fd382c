// Dress: things are selected here and dressed from the bench. Floats, captions and rules are dragged; a shadow is dragged by its handle.
import { sheet, select, letGo, toggled, panel, group, watch } from "./sheet.js";
import { edit, ask } from "./server.js";
import { onBench, clearProblems } from "./bench-parts.js";
import { view, toScreen, length } from "./view.js";
import { move, resize, turn } from "./moving.js";
import { castAt, LEVER } from "./marks.js";
import "./ruling.js";

const bench = document.getElementById("bench");
const loose = (id) => panel(id).role && panel(id).role !== "panel";

export function press(event, at) {
  const { handle } = event.target.dataset;
  if (handle === "cast") return cast(event.target.dataset.cast);
  if (handle === "turn") return turn(at);
  if (handle) return resize(handle, at);
  const id = event.target.closest?.(".panel")?.dataset.id;
  const several = event.shiftKey || event.ctrlKey || event.metaKey;
  const was = sheet.selected.includes(id);
  if (!id) letGo(event);
  else if (several) select(toggled(id));
  else if (!was) select([id]);
  if (!id || several) return null;
  const clicked = () => was && sheet.selected.length > 1 && select([id]);
  return sheet.selected.every(loose) ? move(at, clicked, event.altKey) : { move() {}, end: (moved) => moved || clicked(), cancel() {} };
}

/** Moves what lies on the panels by keys. */
export const nudge = (dx, dy) => sheet.selected.every(loose) && edit({ kind: "move-panels", panels: sheet.selected, dx, dy });

/** Captions and rules go; what is a panel loses its finish. */
export function remove() {
  const things = sheet.selected.filter((id) => ["caption", "rule"].includes(panel(id).role));
  if (things.length) edit({ kind: "remove", panels: things });
  else edit({ kind: "clear-finish", panels: sheet.selected });
}

/** What is drawn of a panel's shadow, behind it or inside. */
function shade(id, which) {
  const all = [...group(id).querySelectorAll(which === "inner" ? '.layers path.shade, filter[id^="inner-"] feOffset'
      : 'path.shade, image.shade, filter[id^="shade-"] feOffset')];
  return (which === "inner" ? all : all.filter((one) => !one.closest(".layers"))).at(-1);
}

/**
 * Drags a shadow of the selection, {@code which} is "shadow" or "inner": away from the middle it falls farther, around it elsewhere. With
 * Shift in steps of 15 degrees.
 */
function cast(which) {
  const chosen = sheet.selected.filter((id) => panel(id)[which]);
  const { seat, [which]: shadow } = panel(chosen[0]);
  const middle = toScreen(seat.centre);
  const falling = chosen.flatMap((id) => {
    const node = shade(id, which);
    return node ? [{ node, was: offset(panel(id)[which]) }] : [];
  });
  let now = shadow;
  const show = (to) => {
    now = to;
    const by = offset(to);
    for (const { node, was } of falling) {
      if (node.tagName !== "feOffset") node.setAttribute("transform", `translate(${by.x - was.x} ${by.y - was.y})`);
      else for (const axis of ["x", "y"]) node.setAttribute(`d${axis}`, by[axis]);
    }
    castAt(which, to, `${length(to.distance)}, ${to.direction.toFixed(0)}°`);
  };
  const back = () => {
    for (const { node, was } of falling) {
      node.removeAttribute("transform");
      if (node.tagName === "feOffset") for (const axis of ["x", "y"]) node.setAttribute(`d${axis}`, was[axis]);
    }
    castAt(which, null);
  };
  return {
    move(event, at) {
      const x = at.x - middle.x;
      const y = at.y - middle.y;
      let direction = (Math.atan2(x, -y) * 180 / Math.PI + 360) % 360;
      if (event.shiftKey) direction = Math.round(direction / 15) * 15 % 360;
      show({ distance: Math.min(500, Math.max(0, Math.hypot(x, y) - LEVER[which]) / view.scale), direction });
    },
    async end(moved) {
      if (!moved || !await edit({ kind: "set-shadow", panels: chosen, inside: which === "inner", ...now })) back();
      castAt(which, null);
    },
    cancel: back,
  };
}

const offset = ({ distance, direction }) => ({ x: Math.sin(direction * Math.PI / 180) * distance,
    y: -Math.cos(direction * Math.PI / 180) * distance });

bench.addEventListener("click", (event) => {
  const button = event.target.closest("[data-copy-finish]");
  if (!button) return;
  const part = document.getElementById("finish-part").value;
  edit({ kind: "copy-finish", from: button.closest("section").dataset.from, to: button.dataset.copyFinish, panels: sheet.selected,
      parts: part ? [part] : [] }, button);
});

onBench("[data-follow]", (list) => list.addEventListener("change",
    () => edit({ kind: "follow-finish", panels: sheet.selected, finish: list.value || null }, list)));
onBench("#keep-finish", (form) => form.addEventListener("submit", (event) => {
  event.preventDefault();
  clearProblems(form);
  edit({ kind: "name-finish", panels: sheet.selected, name: form.name.value }, form);
}));
bench.addEventListener("change", ({ target }) => {
  const finish = target.closest("[data-finish]")?.dataset.finish;
  if (finish) edit({ kind: "name-finish", finish, name: target.value }, target);
});
bench.addEventListener("click", ({ target }) => {
  if (target.closest("[data-finish-out]")) edit({ kind: "forget-finish", finish: target.closest("[data-finish]").dataset.finish });
});

/** Says how well the selected caption can be read against what is behind it now. */
async function read() {
  const place = document.getElementById("contrast");
  if (!place) return;
  const { reading } = await ask(`/sheets/${sheet.id}/contrast?${new URLSearchParams({ panel: place.dataset.panel })}`).catch(() => ({}));
  if (!place.isConnected) return;
  place.hidden = !reading;
  if (!reading) return;
  const button = place.querySelector("button");
  place.className = reading.enough ? "verdict" : "verdict soft";
  place.querySelector("p").textContent = reading.enough ? `Contrast ${reading.ratio} : 1. It can be read well everywhere.`
    : reading.opacity === null ? `Contrast ${reading.ratio} : 1 at its worst spot; text needs 4.5. `
      + "No plate is enough: choose another colour for the words."
      : `Contrast ${reading.ratio} : 1 at its worst spot; text needs 4.5. A plate of ${Math.round(reading.opacity * 100)} % is enough.`;
  button.hidden = reading.enough || reading.opacity === null;
  button.onclick = () => edit({ kind: "set-plate", panels: [place.dataset.panel], colour: reading.colour, opacity: reading.opacity });
}
onBench("#contrast", read);
let reading = 0;
watch((what) => {
  if (what !== "sheet" || sheet.stage !== "dress") return;
  clearTimeout(reading);
  reading = setTimeout(read, 200);
});
