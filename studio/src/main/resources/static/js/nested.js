// Sheets as pictures: another sheet is drawn and put on the shelf.
import { sheet } from "./sheet.js";
import { ask, askForm, shelve } from "./server.js";
import { onBench, clearProblems, problemAt } from "./bench-parts.js";
import { say } from "./notes.js";

/** A sheet of many pictures takes its time. */
const LONG = 180_000;
const place = `/sheets/${sheet.id}/nested`;

onBench("#bring-sheet", (details) => {
  const list = details.querySelector("#nested-list");
  details.addEventListener("toggle", async () => {
    if (details.open && !list.firstElementChild) list.innerHTML = await ask(place);
  });
  list.addEventListener("click", async ({ target }) => {
    const button = target.closest("[data-nest]");
    if (!button || list.ariaBusy === "true") return;
    clearProblems(list);
    list.ariaBusy = "true";
    const name = button.textContent;
    button.textContent = `Drawing ${name} …`;
    try {
      const picture = await askForm(place, { sheet: button.dataset.nest }, { limit: LONG });
      await shelve({ [picture.id]: picture.name });
    } catch (problem) {
      if (!problemAt(list.firstElementChild, problem.field, problem.message)) say(problem.message, { fault: true });
    } finally {
      list.ariaBusy = "false";
      button.textContent = name;
    }
  });
});

document.getElementById("closer").addEventListener("click", async ({ target }) => {
  const button = target.closest("[data-settle]");
  if (!button) return;
  await ask(`${place}/${button.dataset.settle}/settle`, { method: "POST" }).catch((problem) => say(problem.message, { fault: true }));
  button.closest("p").remove();
});
