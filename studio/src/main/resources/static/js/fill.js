// Fill: pictures come onto the shelf and go into panels; what a panel shows can be swapped with another's.
import { sheet, select, panel, form } from "./sheet.js";
import { edit, shelve, sendPicture } from "./server.js";
import { openStage } from "./bench.js";
import { onBench } from "./bench-parts.js";
import { extra } from "./marks.js";
import { svg, union } from "./geometry.js";
import { toSheet, place } from "./view.js";
import { say } from "./notes.js";

const bench = document.getElementById("bench");
const note = document.getElementById("drop-note");
const MOST_BYTES = 80 * 1024 * 1024;
const AT_ONCE = 2;
let carried = null;

export function press(event) {
  const id = event.target.closest?.(".panel")?.dataset.id;
  if (!id) {
    select([]);
    return null;
  }
  const several = event.shiftKey || event.ctrlKey || event.metaKey;
  const was = sheet.selected.includes(id);
  if (several) select(was ? sheet.selected.filter((other) => other !== id) : [...sheet.selected, id]);
  else if (!was || sheet.selected.length > 1) select([id]);
  if (!panel(id).picture) return null;
  let over = null;
  return {
    move(now) {
      over = panelAt(now);
      target(over === id ? null : over);
    },
    end() {
      target(null);
      if (over && over !== id) edit({ kind: "swap", one: id, other: over });
    },
    cancel: () => target(null),
  };
}

const panelAt = (event) => document.elementFromPoint(event.clientX, event.clientY)?.closest?.(".panel")?.dataset.id;

const targets = (chosen) => extra(...chosen.map((id) => svg("path", { class: "target", d: form(id), "vector-effect": "non-scaling-stroke" })));
const target = (id) => targets(id ? [id] : []);

/** Whether a dragged picture goes behind all of the selection: with Alt, as chosen on the bench, or over the gap between its panels. */
function through(event, id) {
  if (sheet.selected.length < 2) return false;
  if (id) return sheet.selected.includes(id) && (event.altKey || behind());
  const p = toSheet(place(event));
  const [left, top, right, bottom] = union(sheet.selected.map((one) => panel(one).bounds));
  return p.x > left && p.x < right && p.y > top && p.y < bottom;
}

/** Whether a picture goes behind all of the selection as one vista. */
const behind = () => document.querySelector("[name=goes][value=vista]")?.checked;

/** Puts a picture into the selected panels; says what is missing where none is selected. */
function fill(picture) {
  if (!sheet.selected.length) say("Select the panels first, or drag the picture onto one.");
  else if (behind()) vista(picture);
  else edit({ kind: "fill", panels: sheet.selected, picture });
}

/** One picture behind the selection; where that is one vista already, its picture is replaced in register. */
function vista(picture) {
  const shown = new Set(sheet.selected.map((id) => panel(id).picture?.vista));
  const [only] = shown;
  edit(shown.size === 1 && only ? { kind: "replace-vista", vista: only, picture } : { kind: "make-vista", panels: sheet.selected, picture });
}

bench.addEventListener("click", (event) => {
  const picture = event.target.closest(".shelf-picture");
  if (picture) fill(picture.dataset.picture);
  const off = event.target.closest("[data-unshelve]");
  if (off) edit({ kind: "unshelve", pictures: [off.dataset.unshelve] });
});

bench.addEventListener("dragstart", (event) => {
  const picture = event.target.closest(".shelf-picture");
  if (!picture) return;
  carried = picture.dataset.picture;
  event.dataTransfer.effectAllowed = "copy";
  event.dataTransfer.setData("text/plain", picture.title);
  event.dataTransfer.setDragImage(picture.querySelector("img"), 40, 34);
});
bench.addEventListener("dragend", () => {
  carried = null;
  target(null);
});

const files = (event) => [...(event.dataTransfer?.types || [])].includes("Files");

window.addEventListener("dragover", (event) => {
  if (carried) {
    const id = panelAt(event);
    const all = through(event, id);
    if (all) targets(sheet.selected);
    else target(id);
    if (id || all) event.preventDefault();
  } else if (files(event)) {
    event.preventDefault();
    event.dataTransfer.dropEffect = "copy";
    note.hidden = false;
  }
});
window.addEventListener("dragleave", (event) => event.relatedTarget || (note.hidden = true));
window.addEventListener("drop", (event) => {
  note.hidden = true;
  if (carried) {
    event.preventDefault();
    const id = panelAt(event);
    if (through(event, id)) vista(carried);
    else if (id) edit({ kind: "fill", panels: sheet.selected.includes(id) ? sheet.selected : [id], picture: carried });
    target(null);
  } else if (files(event)) {
    event.preventDefault();
    bring([...event.dataTransfer.files]);
  }
});
window.addEventListener("paste", (event) => {
  const pasted = [...(event.clipboardData?.files || [])];
  if (!pasted.length) return;
  event.preventDefault();
  bring(pasted);
});

onBench("#bring", (chooser) => {
  chooser.addEventListener("change", () => {
    bring([...chooser.files]);
    chooser.value = "";
  });
  chooser.closest("label").after(queue.list);
});

/** The files on their way in: one line each, with progress, or with the reason why it stays out. */
const queue = { list: document.createElement("ul"), waiting: [], running: 0, count: 0, arrived: [] };
queue.list.className = "queue";

/** Imports files, a few at a time; whatever fails is listed by name, the rest goes on. */
function bring(chosen) {
  if (!chosen.length) return;
  openStage("fill");
  for (const old of queue.list.querySelectorAll(".problem")) old.closest("li").remove();
  for (const file of chosen) {
    const line = document.createElement("li");
    const bar = document.createElement("progress");
    bar.max = 1;
    bar.value = 0;
    line.append(file.name, bar);
    queue.list.append(line);
    queue.waiting.push({ file, line, bar, at: queue.count++ });
  }
  next();
}

function next() {
  while (queue.running < AT_ONCE && queue.waiting.length) send(queue.waiting.shift());
  if (queue.running || queue.waiting.length || !queue.arrived.length) return;
  // On the shelf they stand as they were chosen, whichever was faster.
  const pictures = queue.arrived.sort((a, b) => a.at - b.at).map(({ picture }) => [picture.id, picture.name]);
  queue.arrived = [];
  shelve(Object.fromEntries(pictures));
}

async function send({ file, line, bar, at }) {
  queue.running++;
  try {
    if (file.size > MOST_BYTES) throw { message: `${file.name} has ${(file.size / 1048576).toFixed(1)} MB; at most 80 MB can be imported.` };
    const picture = await sendPicture(file, (share) => (share < 1 ? (bar.value = share) : bar.removeAttribute("value")));
    queue.arrived.push({ at, picture });
    line.remove();
  } catch (problem) {
    const words = document.createElement("em");
    words.className = "problem";
    words.setAttribute("role", "alert");
    words.textContent = problem.message;
    line.replaceChildren(words);
  }
  queue.running--;
  next();
}

window.addEventListener("beforeunload", (event) => (queue.running || queue.waiting.length) && event.preventDefault());
