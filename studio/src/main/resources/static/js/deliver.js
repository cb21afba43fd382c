// Hand over: what is made and how, its size before it is made, and what became of it.
import { sheet, pick, watch } from "./sheet.js";
import { onBench, clearProblems, problemAt } from "./bench-parts.js";
import { ask, askForm, latest } from "./server.js";
import { redraw } from "./marks.js";
import { say } from "./notes.js";
import { choose } from "./ask.js";
import { openStage } from "./bench.js";

const POLL = 500;
/** Until a server that does not answer is asked again. */
const LOST = 5000;
const PAUSE = 250;
/** An estimate paints a little first. */
const LONG = 120_000;
const place = (path) => `/sheets/${sheet.id}/${path}`;
const by = (id) => document.getElementById(id);
const mine = new Set();
let timer = 0;
let asking = 0;
let lost = false;

/** Where parts of the sheet are delivered, a click selects them. */
export function press(event) {
  if (sheet.choosing) pick(event);
  return null;
}

/** What the form says, with what is selected. */
function said(form) {
  const data = new URLSearchParams(new FormData(form));
  if (!data.has("words")) data.set("words", "outlines");
  data.set("selected", sheet.selected);
  return data;
}

/** Sets the form's fields to values by name; switches that are not named are off. */
function fill(form, values) {
  for (const field of form.elements) {
    if (!field.name || field.name === "more") continue;
    if (field.type === "radio") field.checked = field.value === values[field.name];
    else if (field.type === "checkbox") field.checked = values[field.name] === field.value;
    else if (field.name in values) field.value = values[field.name];
  }
}

const memory = () => `lantern.deliver ${sheet.id}`;

function arrange(form) {
  const { format, extent } = Object.fromEntries(new FormData(form));
  for (const part of form.querySelectorAll("[data-only], [data-extent]")) {
    const { only, extent: where } = part.dataset;
    part.hidden = Boolean(only && !only.split(" ").includes(format) || where && !where.split(" ").includes(extent));
  }
  sheet.choosing = extent !== "sheet";
  const titles = { png: "PNG", jpeg: "JPEG", pdf: "PDF", svg: "SVG", tiff: "TIFF", webp: "WebP", openraster: "layered file" };
  by("make").textContent = `Make ${titles[format]}`;
  redraw();
}

/** About how many bytes; of the answers to several questions only the last is shown. */
const estimates = latest(async ({ ticket, query }) => ({ ticket, ...await askForm(place("delivery-estimate"), query, { limit: LONG }) }),
    (about) => {
  const at = by("estimated");
  if (at && (!about || about.ticket === asking)) at.textContent = about ? about.told : "";
});

/** The size at once, then about how many bytes. */
async function size(form) {
  const ticket = ++asking;
  // A later question, or another stage, has taken this one's place.
  const over = () => ticket !== asking || !form.isConnected;
  by("estimated").textContent = "counting the bytes …";
  try {
    const { told } = await askForm(place("delivery-size"), said(form));
    if (over()) return;
    clearProblems(form);
    by("delivered").textContent = told;
    estimates.want({ ticket, query: said(form) });
  } catch (problem) {
    if (over()) return;
    clearProblems(form);
    by("delivered").textContent = by("estimated").textContent = "";
    if (!problemAt(form, problem.field, problem.message)) by("delivered").textContent = problem.message;
  }
}

let later = 0;
function soon(form) {
  clearTimeout(later);
  later = setTimeout(() => form.isConnected && size(form), PAUSE);
}

async function order(data, at) {
  clearProblems(at);
  try {
    const { ids } = await ask(place("deliveries"), { method: "POST", body: data });
    ids.forEach((id) => mine.add(id));
    await list();
  } catch (problem) {
    if (!problemAt(at, problem.field, problem.message)) say(problem.message, { fault: true });
  }
}

/** Draws the deliveries; again and again while one is open. What was ordered here is saved once it is done. */
async function list() {
  clearTimeout(timer);
  const at = by("delivery-list");
  if (!at) return;
  try {
    const html = await ask(place("deliveries"));
    if (!at.isConnected) return;
    at.innerHTML = html;
    lost = false;
  } catch (problem) {
    if (!lost) say("The list of files can't be refreshed right now. Trying again …", { fault: true });
    lost = true;
    timer = setTimeout(list, LOST);
    return;
  }
  at.closest("section").hidden = !at.querySelector("li");
  for (const row of at.querySelectorAll("li")) {
    if (row.dataset.state === "done" && mine.delete(row.dataset.delivery)) row.querySelector("a").click();
  }
  if (at.querySelector("progress")) timer = setTimeout(list, POLL);
}

onBench("#deliver", (form) => {
  const before = sessionStorage.getItem(memory());
  if (before) fill(form, JSON.parse(before));
  arrange(form);
  size(form);
  by("show-faults").addEventListener("click", () => openStage("check"));
  form.addEventListener("change", ({ target }) => {
    // Words mostly stay text in a PDF and become outlines in an SVG, which other programs paint alike everywhere.
    if (target.name === "format") form.words.checked = target.value === "pdf";
    // Parts of a sheet are mostly wanted without the paper around them.
    if (target.name === "extent") form.paper.checked = target.value === "sheet";
    sessionStorage.setItem(memory(), JSON.stringify(Object.fromEntries(new FormData(form))));
    // What was said of the old values goes at once: gone later, it would move a button from under the pointer.
    clearProblems(form);
    arrange(form);
    soon(form);
  });
  // Enter ends a field, as everywhere; only the button delivers.
  form.addEventListener("keydown", (event) => {
    if (event.key !== "Enter" || !event.target.matches("input")) return;
    event.preventDefault();
    event.target.blur();
  });
  form.addEventListener("submit", (event) => {
    event.preventDefault();
    order(said(form), form);
  });
  const others = form.querySelector(".more-sheets");
  others.addEventListener("toggle", async () => {
    if (others.open && !by("delivery-others").firstElementChild) by("delivery-others").innerHTML = await ask(place("delivery-others"));
  });
});

onBench("#delivery-list", (at) => {
  list();
  at.addEventListener("click", async ({ target }) => {
    const deed = target.closest("[data-deed]")?.dataset.deed;
    if (!deed) return;
    await ask(`/deliveries/${target.closest("li").dataset.delivery}/${deed}`, { method: "POST" })
        .catch((problem) => say(problem.message, { fault: true }));
    list();
  });
});

onBench("#delivery-sets", async (at) => {
  const show = (html) => (at.innerHTML = html);
  const keep = by("keep-set");
  at.addEventListener("click", async ({ target }) => {
    const deed = target.closest("[data-deed]");
    if (deed?.dataset.deed === "use") {
      const form = by("deliver");
      fill(form, JSON.parse(deed.dataset.settings));
      form.dispatchEvent(new Event("change"));
    }
    if (deed?.dataset.deed !== "forget") return;
    const set = deed.closest(".set");
    const sure = await choose(`Delete the settings “${set.querySelector("b").textContent}”? This can’t be undone.`,
        [["yes", "Delete them"]]);
    if (sure) show(await ask(`/delivery-sets/${set.dataset.set}/forget`, { method: "POST" }));
  });
  at.addEventListener("submit", (event) => {
    event.preventDefault();
    const data = new URLSearchParams(new FormData(event.target));
    if (!data.has("sets")) return problemAt(event.target, "sets", "Tick at least one of them.");
    for (const [name, value] of said(by("deliver"))) if (["more", "selected"].includes(name)) data.append(name, value);
    order(data, event.target);
  });
  keep.addEventListener("submit", async (event) => {
    event.preventDefault();
    clearProblems(keep);
    const data = said(by("deliver"));
    data.set("name", keep.elements.name.value);
    try {
      show(await ask("/delivery-sets", { method: "POST", body: data }));
      keep.reset();
    } catch (problem) {
      if (!problemAt(keep, problem.field, problem.message) || problem.field !== "name")
        problemAt(by("deliver"), problem.field, problem.message);
    }
  });
  show(await ask("/delivery-sets"));
});

watch((what) => {
  const form = by("deliver");
  if (form && (what === "sheet" || what === "selection" && sheet.choosing)) soon(form);
});
