// A series: its miniatures, its finished files.
import "./sheets.js";
import { atFields } from "./fields.js";
import { links } from "./links.js";
import { tellTimes } from "./times.js";

const POLL = 700;
const csrf = document.querySelector("meta[name=csrf]").content;
const files = document.getElementById("series-files");
const form = document.getElementById("series-deliver");
const again = () => window.htmx.trigger(files, "again");

/** The list of finished files is asked for again while one of them is being made. */
document.addEventListener("htmx:afterSwap", () => {
  files.closest("section").hidden = !files.querySelector("li");
  clearTimeout(again.timer);
  if (files.querySelector("progress")) again.timer = setTimeout(again, POLL);
});

files.addEventListener("click", async ({ target }) => {
  const deed = target.closest("[data-deed]");
  if (!deed) return;
  const id = deed.closest("[data-delivery]").dataset.delivery;
  await fetch(`/deliveries/${id}/${deed.dataset.deed}`, { method: "POST", headers: { "X-CSRF-TOKEN": csrf } });
  again();
});

form.addEventListener("htmx:beforeRequest", () => atFields(form, []));
form.addEventListener("htmx:responseError", ({ detail }) => {
  let problem = { message: "The server does not answer. Try again in a minute." };
  try {
    problem = JSON.parse(detail.xhr.responseText);
  } catch {
    // What came was no answer of ours.
  }
  atFields(form, [{ ...problem, field: "set" }]);
});

const proofs = document.getElementById("series-proofs");
const shown = () => {
  tellTimes(proofs);
  links(proofs);
};
proofs.addEventListener("htmx:afterSwap", shown);

async function deed(path, body = {}) {
  const response = await fetch(`/series/${document.querySelector("[data-series]").dataset.series}/proofs${path}`,
      { method: "POST", headers: { "X-CSRF-TOKEN": csrf, Accept: "text/html, application/json" }, body: new URLSearchParams(body) });
  if (!response.ok) return response.json();
  proofs.innerHTML = await response.text();
  shown();
  return null;
}
proofs.addEventListener("click", ({ target }) => {
  if (target.closest("[data-deed=withdraw]")) deed(`/${target.closest("[data-link]").dataset.link}/withdraw`);
});
proofs.addEventListener("submit", async (event) => {
  event.preventDefault();
  const problem = await deed("", new FormData(event.target));
  if (problem) atFields(event.target, [problem]);
});

document.addEventListener("submit", (event) => {
  const question = event.target.dataset.ask;
  if (question && !window.confirm(question)) event.preventDefault();
});
