// Pictures come in: chosen, dropped, pasted, a whole folder; one line for the batch, one for each file that stays out.
import { shelve } from "./server.js";
import * as files from "./files.js";
import { openStage } from "./bench.js";
import { onBench } from "./bench-parts.js";
import { say } from "./notes.js";

const AT_ONCE = 2;

const list = document.createElement("ul");
list.className = "queue";
const line = document.createElement("li");
const words = document.createElement("span");
const bar = document.createElement("progress");
line.append(words, bar);
const queue = { waiting: [], running: new Map(), count: 0, done: 0, arrived: [], after: [] };

/** Imports files, a few at a time; {@code then} hears the pictures that came in, in the order of the files. */
export function bring(chosen, then) {
  if (!chosen.length) return;
  openStage("fill");
  if (!queue.count) list.replaceChildren(line);
  for (const file of chosen) queue.waiting.push({ file, at: queue.count++ });
  if (then) queue.after.push({ then, chosen });
  next();
}

/** Of a folder only what looks like a picture is brought; what is left out is said. */
function bringFolder(all) {
  const pictures = files.pictures(all);
  if (all.length > pictures.length) say(files.leftOut(all.length - pictures.length));
  bring(pictures);
}

/** The files of a drop: of folders their pictures. Must be called while the drop is being handled. */
export const dropped = (transfer) => files.dropped(transfer, files.isPicture);

function show() {
  line.hidden = queue.done === queue.count;
  words.textContent = queue.count === 1 ? [...queue.running.keys()].map((file) => file.name).join()
      : `${Math.min(queue.done + 1, queue.count)} of ${queue.count} pictures`;
  bar.max = queue.count;
  bar.value = queue.done + [...queue.running.values()].reduce((sum, share) => sum + share * 0.8, 0);
}

function next() {
  while (queue.running.size < AT_ONCE && queue.waiting.length) send(queue.waiting.shift());
  show();
  if (!queue.running.size && !queue.waiting.length && queue.count) finish();
}

/** On the shelf they stand as they were chosen, whichever was faster. */
async function finish() {
  const arrived = queue.arrived.sort((a, b) => a.at - b.at);
  const { after } = queue;
  Object.assign(queue, { count: 0, done: 0, arrived: [], after: [] });
  line.remove();
  if (!arrived.length) return;
  const before = new Set([...document.querySelectorAll(".shelf-picture")].map((node) => node.dataset.picture));
  const fresh = new Map(arrived.map(({ picture }) => [picture.id, picture.name]));
  const twice = arrived.length - [...fresh.keys()].filter((id) => !before.has(id)).length;
  if (await shelve(Object.fromEntries(fresh)) && twice)
    say(twice === 1 ? "One of them was on the shelf already." : `${twice} of them were on the shelf already.`);
  for (const { then, chosen } of after) then(arrived.filter(({ file }) => chosen.includes(file)).map(({ picture }) => picture.id));
}

async function send({ file, at }) {
  queue.running.set(file, 0);
  try {
    queue.arrived.push({ at, file, picture: await files.sendPicture(file, (share) => {
      queue.running.set(file, share);
      show();
    }) });
  } catch (problem) {
    const out = document.createElement("li");
    out.className = "problem";
    out.setAttribute("role", "alert");
    out.textContent = problem.message;
    list.append(out);
  }
  queue.running.delete(file);
  queue.done++;
  next();
}

onBench("#bring", (chooser) => {
  const folder = document.getElementById("bring-folder");
  chooser.addEventListener("change", () => {
    bring([...chooser.files]);
    chooser.value = "";
  });
  folder.addEventListener("change", () => {
    bringFolder([...folder.files]);
    folder.value = "";
  });
  chooser.closest(".bring-row").after(list);
});

window.addEventListener("beforeunload", (event) => queue.count && event.preventDefault());
