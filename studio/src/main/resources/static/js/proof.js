// A proof as a visitor sees it: larger and smaller, notes on spots.
import { atFields } from "./fields.js";

const LARGEST = 8;
const token = document.body.dataset.token;
const csrf = document.querySelector("meta[name=csrf]").content;
const dialog = document.getElementById("note");
const form = dialog.querySelector("form");
const larger = document.getElementById("larger");
const smaller = document.getElementById("smaller");
const headers = { "X-CSRF-TOKEN": csrf, Accept: "application/json" };
let zoom = 1;
let spot = null;

function node(name, className, text) {
  const made = document.createElement(name);
  made.className = className;
  made.textContent = text;
  return made;
}

/** Notes are text and nothing else, wherever they come from. */
function show(notes) {
  for (const sheet of document.querySelectorAll(".proof-sheet")) {
    const pins = sheet.querySelector(".pins");
    const list = sheet.querySelector(".proof-notes");
    pins.replaceChildren();
    list.replaceChildren();
    notes.forEach((note, at) => {
      if (note.place !== Number(sheet.dataset.place)) return;
      const pin = node("button", "pin", at + 1);
      pin.type = "button";
      pin.style.left = `${note.x * 100}%`;
      pin.style.top = `${note.y * 100}%`;
      pin.classList.toggle("done", note.done);
      pin.setAttribute("aria-label", `Note ${at + 1}, ${note.author}`);
      const row = node("li", note.done ? "done" : "", "");
      row.append(node("b", "pin-number", at + 1), node("b", "", note.author), node("p", "", note.says));
      if (note.answer) row.append(node("p", "proof-answer", note.answer));
      pin.addEventListener("click", () => row.scrollIntoView({ block: "nearest", behavior: "smooth" }));
      pins.append(pin);
      list.append(row);
    });
  }
}

/** Pictures are fetched as sharp as they are shown. */
function zoomTo(next) {
  zoom = Math.min(LARGEST, Math.max(1, next));
  larger.disabled = zoom >= LARGEST;
  smaller.disabled = zoom <= 1;
  for (const paper of document.querySelectorAll(".proof-paper")) {
    const view = paper.parentElement;
    const x = (view.scrollLeft + view.clientWidth / 2) / view.scrollWidth;
    const y = (view.scrollTop + view.clientHeight / 2) / view.scrollHeight;
    paper.style.width = `${zoom * 100}%`;
    const image = paper.querySelector("img");
    image.sizes = `${Math.ceil(view.clientWidth * zoom)}px`;
    view.classList.toggle("zoomed", zoom > 1);
    view.scrollLeft = x * view.scrollWidth - view.clientWidth / 2;
    view.scrollTop = y * view.scrollHeight - view.clientHeight / 2;
  }
}

larger.addEventListener("click", () => zoomTo(zoom * 1.6));
smaller.addEventListener("click", () => zoomTo(zoom / 1.6));

document.getElementById("proof-sheets").addEventListener("click", (event) => {
  const paper = event.target.closest(".proof-paper");
  if (!paper || event.target.closest(".pin")) return;
  const box = paper.getBoundingClientRect();
  const place = Number(paper.closest(".proof-sheet").dataset.place);
  spot = { place, x: (event.clientX - box.left) / box.width, y: (event.clientY - box.top) / box.height };
  atFields(form, []);
  if (!form.author.value) form.author.value = localStorage.getItem("lantern.author") ?? "";
  dialog.showModal();
  form.says.focus();
});

dialog.querySelector("[data-close]").addEventListener("click", () => dialog.close());
form.addEventListener("submit", async (event) => {
  event.preventDefault();
  atFields(form, []);
  const { says, author } = Object.fromEntries(new FormData(form));
  try {
    const response = await fetch(`/proof/${token}/notes`, { method: "POST", headers: { ...headers, "Content-Type": "application/json" },
      body: JSON.stringify({ ...spot, author, says }) });
    const answer = await response.json();
    if (!response.ok) return atFields(form, [answer]);
    localStorage.setItem("lantern.author", author);
    show(answer);
    form.says.value = "";
    dialog.close();
  } catch {
    atFields(form, [{ field: "", message: "The server does not answer. Your note is still here: try again in a minute." }]);
  }
});

async function notes() {
  try {
    const response = await fetch(`/proof/${token}/notes`, { headers });
    if (response.ok) show(await response.json());
  } catch {
    // Asked again when the page is looked at next.
  }
}
document.addEventListener("visibilitychange", () => document.hidden || notes());
notes();
document.documentElement.dataset.ready = "true";
