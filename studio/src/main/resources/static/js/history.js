// The history as a list beside the board: go to a step, do ticked steps again on the selection, keep them under a name.
import { sheet, watch } from "./sheet.js";
import { ask, change } from "./server.js";
import { clearProblems, problemAt } from "./bench-parts.js";
import { say } from "./notes.js";
import { tellTimes } from "./times.js";

const panel = document.getElementById("history");
const list = document.getElementById("history-list");
const again = document.getElementById("history-again");
const form = document.getElementById("history-keep");
const opener = document.getElementById("history-open");
const address = (path) => `/sheets/${sheet.id}/${path}`;
const ticked = () => [...list.querySelectorAll(".steps input:checked")].map((box) => Number(box.closest("li").dataset.step));
let shown = 0;

function show(html) {
  const before = new Set(ticked());
  const at = list.querySelector(".steps")?.scrollTop ?? 0;
  list.innerHTML = html;
  tellTimes(list);
  for (const row of list.querySelectorAll("[data-step]"))
    if (before.has(Number(row.dataset.step))) row.querySelector("input").checked = true;
  list.querySelector(".steps").scrollTop = at;
  tell();
}

/** What the button would do. */
function tell() {
  const steps = ticked().length;
  const on = sheet.selected.length;
  again.disabled = !steps;
  const where = on > 1 ? `the ${on} selected` : on ? "the selected one" : "the sheet";
  again.textContent = steps ? `Do ${steps === 1 ? "this step" : `these ${steps} steps`} on ${where}` : "Tick steps to do them again";
  form.hidden = !steps;
}

async function fetchList() {
  if (panel.hidden) return;
  const version = (shown = sheet.version);
  try {
    const html = await ask(address("history"));
    if (version === shown) show(html);
  } catch (problem) {
    say(problem.message, { fault: true });
  }
}

let opened = () => {};
/** Tells when it is opened: two panels beside the board are one too many. */
export const whenOpened = (then) => (opened = then);

export function toggle(open = panel.hidden) {
  if (open) opened();
  panel.hidden = !open;
  opener.ariaExpanded = String(open);
  if (open) fetchList();
}

opener.addEventListener("click", () => toggle());
panel.querySelector(".strip-end").addEventListener("click", () => toggle(false));
watch((what) => {
  if (what === "sheet" && sheet.version !== shown) fetchList();
  if (what === "selection") tell();
});

list.addEventListener("change", tell);
list.addEventListener("click", async ({ target }) => {
  const row = target.closest("[data-step]");
  if (row && target.closest(".step-go")) await change(`history/${row.dataset.step}`, {});
  const kept = target.closest("[data-kept]")?.dataset.kept;
  const deed = target.closest("[data-deed]")?.dataset.deed;
  if (deed === "do") await change("again", { kept, steps: [] });
  if (deed === "forget") show(await ask(address(`steps/${kept}/forget`), { method: "POST" }));
});
again.addEventListener("click", async () => {
  if (await change("again", { steps: ticked() }))
    for (const box of list.querySelectorAll(".steps input:checked")) box.checked = false;
  tell();
});
form.addEventListener("submit", async (event) => {
  event.preventDefault();
  clearProblems(form);
  const body = new URLSearchParams(new FormData(form));
  body.set("steps", ticked());
  try {
    show(await ask(address("steps"), { method: "POST", body }));
    form.reset();
  } catch (problem) {
    problemAt(form, problem.field === "steps" ? "name" : problem.field || "name", problem.message);
  }
});
