// A series: its miniatures, its finished files.
import "./sheets.js";
import { atFields } from "./fields.js";

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

document.addEventListener("submit", (event) => {
  const question = event.target.dataset.ask;
  if (question && !window.confirm(question)) event.preventDefault();
});
