// Versions: the sheet as it is gets a name; saved ones are looked at beside it, and returned to.
import { sheet } from "./sheet.js";
import { ask, change } from "./server.js";
import { clearProblems, problemAt } from "./bench-parts.js";
import { say } from "./notes.js";
import { choose } from "./ask.js";
import { tellTimes } from "./times.js";

const dialog = document.getElementById("keeps");
const list = document.getElementById("keep-list");
const pair = dialog.querySelector(".keep-pair");
const form = document.getElementById("keep-now");
const address = (path = "") => `/sheets/${sheet.id}/keeps${path}`;

function show(html) {
  list.innerHTML = html;
  tellTimes(list);
  pair.hidden = true;
}

document.getElementById("kept").addEventListener("click", async () => {
  try {
    show(await ask(address()));
    clearProblems(form);
    dialog.showModal();
  } catch (problem) {
    say(problem.message, { fault: true });
  }
});

form.addEventListener("submit", async (event) => {
  event.preventDefault();
  clearProblems(form);
  try {
    show(await ask(address(), { method: "POST", body: new URLSearchParams(new FormData(form)) }));
    form.reset();
  } catch (problem) {
    problemAt(form, problem.field || "name", problem.message);
  }
});

list.addEventListener("click", async ({ target }) => {
  const deed = target.closest("[data-deed]")?.dataset.deed;
  const row = target.closest("[data-keep]");
  if (!deed) return;
  const { keep } = row.dataset;
  if (deed === "compare") {
    const [then, now] = pair.querySelectorAll("img");
    then.src = address(`/${keep}/painted?side=1000`);
    now.src = `/sheets/${sheet.id}/painted?${new URLSearchParams({ side: 1000, version: sheet.version })}`;
    pair.querySelector("figcaption").textContent = row.querySelector("b").textContent;
    pair.hidden = false;
    pair.scrollIntoView({ block: "nearest" });
  }
  if (deed === "return" && await change(`keeps/${keep}/return`, {})) dialog.close();
  if (deed !== "forget") return;
  const sure = await choose(`Delete the version “${row.querySelector("b").textContent}”? This can’t be undone.`, [["yes", "Delete it"]]);
  if (sure) show(await ask(address(`/${keep}/forget`), { method: "POST" }));
});
