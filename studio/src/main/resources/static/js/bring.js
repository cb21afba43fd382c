// Pictures come in: chosen, dropped, pasted, a whole folder; one line for the batch, one for each file that stays out.
import { shelve, sendPicture } from "./server.js";
import { openStage } from "./bench.js";
import { onBench } from "./bench-parts.js";
import { say } from "./notes.js";

const MOST_BYTES = 80 * 1024 * 1024;
const AT_ONCE = 2;
const PICTURE = /\.(jpe?g|jpe|jfif|png|webp|gif|bmp|dib|tiff?)$/i;

const list = document.createElement("ul");
list.className = "queue";
const line = document.createElement("li");
const words = document.createElement("span");
const bar = document.createElement("progress");
line.append(words, bar);
const queue = { waiting: [], running: new Map(), count: 0, done: 0, arrived: [], after: [] };

/** Imports files, a few at a time; {@code then} hears the pictures that came in, in the order of the files. */
export function bring(files, then) {
  if (!files.length) return;
  openStage("fill");
  if (!queue.count) list.replaceChildren(line);
  for (const file of files) queue.waiting.push({ file, at: queue.count++ });
  if (then) queue.after.push({ then, files });
  next();
}

/** Of a folder only what looks like a picture is brought; what is left out is said. */
function bringFolder(files) {
  const pictures = files.filter((file) => PICTURE.test(file.name))
      .sort((a, b) => a.webkitRelativePath.localeCompare(b.webkitRelativePath, undefined, { numeric: true }));
  const others = files.length - pictures.length;
  if (others) say(others === 1 ? "One file is no picture and was left out." : `${others} files are no pictures and were left out.`);
  bring(pictures);
}

/** The files of a drop, folders opened up. Must be called while the drop is being handled. */
export async function dropped(transfer) {
  const entries = [...transfer.items].map((item) => item.webkitGetAsEntry?.()).filter(Boolean);
  if (!entries.some((entry) => entry.isDirectory)) return [...transfer.files];
  const files = [];
  const open = async (entry) => {
    if (entry.isFile) {
      const file = await new Promise((resolve, reject) => entry.file(resolve, reject));
      if (entries.includes(entry) || PICTURE.test(file.name)) files.push(file);
      return;
    }
    const reader = entry.createReader();
    for (let some; (some = await new Promise((resolve, reject) => reader.readEntries(resolve, reject))).length;)
      for (const one of some) await open(one);
  };
  for (const entry of entries) await open(entry);
  return files;
}

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
  for (const { then, files } of after) then(arrived.filter(({ file }) => files.includes(file)).map(({ picture }) => picture.id));
}

async function send({ file, at }) {
  queue.running.set(file, 0);
  try {
    const size = (file.size / 1048576).toFixed(1);
    if (file.size > MOST_BYTES) throw { message: `${file.name} has ${size} MB; at most 80 MB can be imported.` };
    queue.arrived.push({ at, file, picture: await sendPicture(file, (share) => {
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
