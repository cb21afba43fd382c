// Tone: pictures are chosen here and toned from the bench. While a slider moves, the board shows what the edit would give.
import { sheet, select, ids, panel, group, pick, watch, load, display, plain, wanted } from "./sheet.js";
import { arriveNow } from "./arrival.js";
import { edit, ask, previewer } from "./server.js";
import { onBench, clearProblems, problemAt } from "./bench-parts.js";
import { say } from "./notes.js";
import { stops } from "./layers.js";
import { compare } from "./compare.js";
import { grab, homeGrab } from "./grabs.js";

const bench = document.getElementById("bench");
/** So many pictures are painted while a slider moves; others wait until it is let go. */
const LIVE = 8;
const MOST_BYTES = 16 * 2 ** 20;
/** Whether the picture behind all panels goes along with a selection. */
let paperToo = false;

/** A click chooses; only handles are dragged. */
export function press(event, at) {
  if (event.target.dataset?.grab !== undefined) return grab(event, at);
  pick(event);
  return null;
}

/** Takes tones away; glazes go themselves. A handle that was taken goes back to its place. */
export const remove = () => homeGrab() || edit(sheet.selected.length && sheet.selected.every((id) => panel(id).role === "glaze")
    ? { kind: "remove", panels: sheet.selected } : { kind: "clear-tone", of: aim() });

const aim = () => ({ panels: sheet.selected, layer: sheet.layer, whole: sheet.whole, paper: paperToo || !sheet.selected.length });

/** What a field says, without the unit that it shows. */
const told = (text) => text.replace(/\s*(stops?|mired)\s*$/i, "");

/** An edit of one value. */
function setting(row, value) {
  const { tone, of } = row.dataset;
  if (of === "blur") return { kind: "blur", panels: sheet.selected, layer: sheet.layer, blur: value };
  if (of === "look") return { kind: "set-finish", panels: sheet.selected, [tone]: value };
  return { kind: "set-tone", of: aim(), ...(of ? { part: of } : {}), [tone]: value };
}

let sliding = false;
/** Images that show what a slider would give, with what they showed before. */
const lent = new Map();
/** The images of what would change, with the addresses that they would have; shown as soon as they are painted. */
const live = previewer((seen) => {
  if (!seen || !sliding) return null;
  const next = document.createElement("template");
  const same = new Set(lent.keys());
  const loading = [];
  const paint = (shown, href) => {
    if (!lent.has(shown)) lent.set(shown, wanted(shown));
    same.delete(shown);
    loading.push(load(shown, swift(href)));
  };
  for (const { id, board } of seen.changed.slice(0, LIVE)) {
    next.innerHTML = `<svg>${board}</svg>`;
    for (const image of next.content.querySelectorAll("image[data-picture]")) {
      const shown = group(id)?.querySelector(`image[data-layer="${image.dataset.layer}"]`);
      if (shown) paint(shown, image.getAttribute("href"));
    }
  }
  if (seen.paper) {
    next.innerHTML = `<svg>${seen.paper}</svg>`;
    const shown = document.querySelector("#ground image[data-picture]");
    if (shown) paint(shown, next.content.querySelector("image[data-picture]").getAttribute("href"));
  }
  same.forEach(back);
  return Promise.all(loading);
});

/** A painting with as few pixels as will do while something moves. */
const swift = (href) => href.split("/").length > 4 ? href.replace(/[^/]+$/, "live") : href;

/** An image whose slider is where it was before shows what it did. */
function back(shown) {
  load(shown, lent.get(shown));
  lent.delete(shown);
}

/** A slider's number as its field writes it. */
function written(row, number) {
  const unit = row.querySelector(".slide-number").defaultValue.match(/\s*[%°a-z]+$/i)?.[0] || "";
  const value = Number(Number(number).toFixed(2));
  return `${value}${unit.replace(/ stops?/, Math.abs(value) === 1 ? " stop" : " stops")}`.replace("-", "−");
}

/** The slider's track is filled from its neutral value. */
function fill(row) {
  const range = row.querySelector("[type=range]");
  if (!range) return;
  const share = (value) => (value - range.min) / (range.max - range.min) * 100;
  const neutral = share(Math.max(range.min, Math.min(range.max, parseFloat(row.dataset.neutral.replace("−", "-")))));
  const now = share(range.value);
  range.style.setProperty("--from", `${Math.min(neutral, now)}%`);
  range.style.setProperty("--to", `${Math.max(neutral, now)}%`);
}

onBench("[data-tone]", (first) => first.closest("[data-part]").querySelectorAll("[data-tone]").forEach((row) => {
  const field = row.querySelector("[data-field]");
  const range = row.querySelector("[type=range]");
  const set = (value) => {
    clearProblems(row.closest("[data-part]"));
    return edit(setting(row, told(value)), field);
  };
  field.addEventListener("change", (event) => {
    event.stopPropagation();
    set(field.value);
  });
  if (!range) return;
  fill(row);
  range.addEventListener("input", () => {
    field.value = written(row, range.value);
    fill(row);
    sliding = true;
    live.want(setting(row, told(field.value)));
  });
  range.addEventListener("change", async () => {
    sliding = false;
    await set(field.value);
    // What was not drawn anew has not changed.
    if (!sliding) [...lent.keys()].forEach(back);
  });
  row.addEventListener("dblclick", (event) => {
    if (event.target === field) return;
    field.value = row.dataset.neutral;
    set(row.dataset.neutral);
  });
}));

let hue = "red";
onBench(".hues", (chips) => {
  const show = () => {
    for (const part of chips.parentElement.querySelectorAll("[data-hue-part]")) part.hidden = part.dataset.huePart !== hue;
    for (const chip of chips.querySelectorAll("[data-hue]")) {
      const part = chips.parentElement.querySelector(`[data-hue-part="${chip.dataset.hue}"]`);
      chip.classList.toggle("set", part.dataset.on === "true");
    }
    chips.querySelector(`[value=${hue}]`).checked = true;
  };
  chips.addEventListener("change", ({ target }) => {
    hue = target.value;
    show();
  });
  show();
});
onBench("#tone-mono", (box) => box.addEventListener("change", () => edit({ kind: "set-tone", of: aim(), mono: box.checked }, box)));
onBench("[data-follow-tone]", (list) => list.addEventListener("change",
    () => edit({ kind: "follow-tone", of: aim(), tone: list.value || null }, list)));
onBench("#keep-tone", (form) => form.addEventListener("submit", (event) => {
  event.preventDefault();
  clearProblems(form);
  edit({ kind: "name-tone", of: aim(), name: form.name.value }, form);
}));
onBench("#tone-match", (form) => form.addEventListener("submit", (event) => {
  event.preventDefault();
  clearProblems(form);
  const last = sheet.selected.at(-1);
  edit({ kind: "match-tone", of: { ...aim(), panels: sheet.selected.filter((id) => id !== last), paper: false },
      like: { ...aim(), panels: [last], paper: false }, strength: form.strength.value }, form);
}));

onBench("form.tone-stops", (form) => {
  const rows = () => stops(form).map(({ at, colour }) => ({ at, colour, opacity: 1 }));
  const send = (colours) => {
    clearProblems(form);
    edit({ kind: "set-tone", of: aim(), part: "brightness", stops: colours }, form);
  };
  form.addEventListener("submit", (event) => event.preventDefault());
  form.addEventListener("change", ({ target }) => {
    if (target.closest("[data-tone]")) return;
    if (target.name === "blend") edit({ kind: "set-tone", of: aim(), part: "brightness", blend: target.value }, form);
    else send(rows());
  });
  form.addEventListener("click", ({ target }) => {
    const all = rows();
    if (target.closest("[data-stop-in]")) send([...all, { ...all.at(-1), at: "100 %" }]);
    const out = target.closest("[data-stop-out]")?.closest(".stop");
    if (out) send(all.filter((_, i) => i !== [...form.querySelectorAll(".stop:not(.stop-head)")].indexOf(out)));
  });
});

onBench("#bend-form", (form) => {
  form.addEventListener("submit", (event) => event.preventDefault());
  form.addEventListener("change", () => {
    clearProblems(form);
    const bend = { ...Object.fromEntries(new FormData(form)), kind: form.dataset.kind };
    edit({ kind: "bend", panels: sheet.selected, layer: sheet.layer, bend }, form);
  });
});

bench.addEventListener("click", ({ target }) => {
  if (sheet.stage !== "tone") return;
  const on = (selector) => target.closest(selector);
  const bend = on("[data-bend]")?.dataset.bend;
  if (bend !== undefined) edit({ kind: "bend", panels: sheet.selected, layer: sheet.layer, ...(bend ? { bend: JSON.parse(bend) } : {}) });
  if (on("#bend-copy")) edit({ kind: "copy-bend", from: sheet.selected[0], layer: sheet.layer, panels: sheet.selected }, on("#bend-copy"));
  const toned = on("[data-switch-tone]");
  if (toned) edit({ kind: "switch-tone", of: aim(), off: toned.dataset.off === "true" }, toned);
  const seen = on("[data-switch-bend]");
  if (seen) edit({ kind: "switch-bend", panels: sheet.selected, layer: sheet.layer, off: seen.dataset.off === "true" }, seen);
  const copied = on("[data-copy-tone]");
  const part = document.getElementById("tone-part")?.value;
  if (copied) edit({ kind: "copy-tone", from: sheet.selected[0], layer: sheet.layer, to: copied.dataset.copyTone, panels: sheet.selected,
      parts: part ? [part] : [] }, copied);
  const cleared = on("[data-clear-tone]");
  if (cleared) edit({ kind: "clear-tone", of: aim(), parts: cleared.dataset.clearTone ? [cleared.dataset.clearTone] : [] }, cleared);
  const recoloured = on("[data-recolour]");
  if (recoloured) edit({ kind: "recolour-tone", of: aim(), colour: recoloured.dataset.recolour
      || bench.querySelector("[name=recolour]").value }, recoloured);
  if (on("[data-even]")) edit({ kind: "even-tone", of: aim() }, on("[data-even]"));
  if (on("[data-tone-out]")) edit({ kind: "forget-tone", tone: on("[data-named-tone]").dataset.namedTone });
  if (on("#tone-all")) {
    select(ids().filter((id) => panel(id).picture));
    paperToo = Boolean(document.querySelector("#ground image"));
  }
  if (on("#tone-paper")) select([]);
  const glaze = on("[data-select]")?.dataset.select;
  if (glaze) select([glaze]);
});
bench.addEventListener("change", ({ target }) => {
  const tone = target.closest("[data-named-tone]")?.dataset.namedTone;
  if (tone) edit({ kind: "name-tone", tone, name: target.value }, target);
});
watch((what) => what === "selection" && (paperToo = false));

// Before and after: a button that is held, a key that is held, a line on the board.
const painted = new Map();
function before(shown) {
  arriveNow();
  // What glazes show has all in it that is done beneath them.
  for (const glaze of document.querySelectorAll("#panels .glaze")) glaze.classList.toggle("away", shown);
  for (const image of document.querySelectorAll("#ground image[data-before], #panels image[data-before]")) {
    if (shown) {
      painted.set(image, wanted(image));
      display(image, plain(image));
    } else if (painted.has(image)) {
      load(image, painted.get(image));
    }
  }
  if (!shown) painted.clear();
}
onBench("#tone-before", (button) => {
  button.addEventListener("pointerdown", () => before(true));
  button.addEventListener("keydown", (event) => [" ", "Enter"].includes(event.key) && !event.repeat && before(true));
  for (const end of ["pointerup", "pointerleave", "pointercancel", "keyup", "blur"]) button.addEventListener(end, () => before(false));
});
let held = false;
export function beforeKey() {
  if (!held) before(true);
  held = true;
}
window.addEventListener("keyup", (event) => {
  if (event.key !== "b" || !held) return;
  held = false;
  before(false);
});
onBench("#tone-split", (button) => {
  button.ariaPressed = compare.on;
  button.addEventListener("click", () => {
    compare.toggle();
    button.ariaPressed = compare.on;
  });
});

// The histogram, of what is shown on the bench. Drawn anew it shows what it showed, until it is told better: nothing jumps.
let asked = 0;
let last = {};
async function histogram() {
  const place = document.getElementById("histogram");
  if (!place || sheet.stage !== "tone") return;
  const mine = ++asked;
  const words = new URLSearchParams({ panels: sheet.selected.slice(0, 1), layer: sheet.layer, whole: sheet.whole }).toString();
  if (last.words === words) count(place, last);
  const seen = await ask(`/sheets/${sheet.id}/histogram?${words}`).catch(() => null);
  if (mine !== asked || !seen || !place.isConnected) return;
  last = { ...seen, words };
  count(place, last);
}

function count(place, { paths, says }) {
  place.querySelector("svg").innerHTML = paths.map((d, i) => `<path class="${["red", "green", "blue"][i]}" d="${d}"/>`).join("");
  place.querySelector("p").textContent = says;
}
onBench("#histogram", histogram);
watch((what) => what === "sheet" && histogram());

// Colour tables that a member brought.
const file = Object.assign(document.createElement("input"), { type: "file", accept: ".cube", hidden: true, id: "table-file" });
document.body.append(file);
let tables = null;

function offer(list) {
  const { now = "", name } = list.dataset;
  const all = [...(tables || [])];
  if (now && !all.some((table) => table.id === now)) all.push({ id: now, name });
  list.replaceChildren(new Option("None", ""), ...all.map((table) => new Option(table.name, table.id)));
  list.value = now;
  document.getElementById("tone-unlist").hidden = !tables?.some((table) => table.id === now);
}
onBench("#tone-tables", async (list) => {
  list.addEventListener("change", () => edit({ kind: "set-table", of: aim(), table: list.value || null }, list));
  offer(list);
  tables ??= await ask("/tables").catch(() => null);
  if (list.isConnected) offer(list);
});
onBench("#tone-unlist", (deed) => deed.firstElementChild.addEventListener("click", async () => {
  const list = document.getElementById("tone-tables");
  const { now } = list.dataset;
  try {
    await ask(`/tables/${now}`, { method: "DELETE" });
    tables = tables.filter((table) => table.id !== now);
    offer(list);
    say("It is off the list. Sheets that use it go on with it.");
  } catch (problem) {
    problemAt(list, "table", problem.message);
  }
}));
onBench("#tone-bring", (button) => button.addEventListener("click", () => file.click()));
file.addEventListener("change", async () => {
  const [cube] = file.files;
  file.value = "";
  const list = document.getElementById("tone-tables");
  if (!cube || !list) return;
  clearProblems(list.closest("[data-part]"));
  try {
    if (cube.size > MOST_BYTES) throw { message: `${cube.name} is larger than 16 MB.` };
    const body = new FormData();
    body.append("file", cube);
    const table = await ask("/tables", { method: "POST", body });
    tables = [...(tables || []).filter((one) => one.id !== table.id), table];
    edit({ kind: "set-table", of: aim(), table: table.id }, list);
    say(`${table.name} is among your colour tables.`);
  } catch (problem) {
    problemAt(list, "table", problem.message);
  }
});
