// Proofs on the board: links, and the notes that came by them, each a pin where it was put.
import { sheet, watch } from "./sheet.js";
import { ask } from "./server.js";
import { toScreen } from "./view.js";
import { say } from "./notes.js";
import { tellTimes } from "./times.js";
import { atFields } from "./fields.js";
import { links } from "./links.js";
import * as history from "./history.js";

const panel = document.getElementById("proofs");
const desk = document.getElementById("proofs-desk");
const pins = document.getElementById("pins");
const opener = document.getElementById("proofs-open");
const count = opener.querySelector("b");
const address = (path = "") => `/sheets/${sheet.id}/${path}`;

function show(html) {
  desk.innerHTML = html;
  tellTimes(desk);
  links(desk);
  tell(desk.querySelectorAll("[data-note]:not(.done)").length);
  pinned();
}

function tell(waiting) {
  count.textContent = waiting || "";
  opener.title = waiting ? `Proof: ${waiting === 1 ? "one note waits" : `${waiting} notes wait`}` : "Proof: let somebody look";
}

/** The pins stand on the sheet, wherever the board shows it. */
function pinned() {
  pins.replaceChildren(...(panel.hidden ? [] : [...desk.querySelectorAll("[data-note]")]).map((row) => {
    const pin = document.createElement("button");
    const { x, y } = toScreen({ x: row.dataset.x * sheet.width, y: row.dataset.y * sheet.height });
    pin.type = "button";
    pin.className = `pin ${row.classList.contains("done") ? "done" : ""}`;
    pin.textContent = row.querySelector(".pin-number").textContent;
    pin.style.left = `${x}px`;
    pin.style.top = `${y}px`;
    pin.addEventListener("click", () => {
      row.scrollIntoView({ block: "nearest" });
      row.querySelector("textarea").focus();
    });
    return pin;
  }));
}

async function fetchDesk() {
  try {
    show(await ask(address("proofs")));
  } catch (problem) {
    say(problem.message, { fault: true });
  }
}

function toggle(open = panel.hidden) {
  if (open) history.toggle(false);
  panel.hidden = !open;
  opener.ariaExpanded = String(open);
  if (open) fetchDesk();
  pinned();
}

async function deed(path, body = {}) {
  try {
    show(await ask(address(path), { method: "POST", body: new URLSearchParams(body) }));
    return null;
  } catch (problem) {
    return problem;
  }
}

opener.addEventListener("click", () => toggle());
panel.querySelector(".strip-end").addEventListener("click", () => toggle(false));
history.whenOpened(() => toggle(false));
watch((what) => (what === "view" || what === "sheet") && pinned());

desk.addEventListener("change", async ({ target }) => {
  const row = target.closest("[data-note]");
  if (!row) return;
  const { note } = row.dataset;
  const answer = row.querySelector("textarea").value;
  const problem = await deed(`notes/${note}`, { answer, done: row.querySelector("[name=done]").checked });
  if (problem) say(problem.message, { fault: true });
});
desk.addEventListener("click", async ({ target }) => {
  const what = target.closest("[data-deed]")?.dataset.deed;
  const note = target.closest("[data-note]")?.dataset.note;
  const link = target.closest("[data-link]")?.dataset.link;
  const path = what === "forget" && note ? `notes/${note}/forget` : what === "withdraw" ? `proofs/${link}/withdraw` : null;
  const problem = path && await deed(path);
  if (problem) say(problem.message, { fault: true });
});
desk.addEventListener("submit", async (event) => {
  event.preventDefault();
  const form = event.target;
  const problem = await deed("proofs", new FormData(form));
  if (problem) atFields(form, [problem]);
});

ask(address("proofs/waiting")).then(tell).catch(() => {});
