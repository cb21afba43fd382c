// Requests. Edits go one after the other; each answer patches the page; a lost connection keeps them; a failure puts the page back and says
// why.
import { sheet, draw, order, changed, ids } from "./sheet.js";
import { showBench, problemAt } from "./bench-parts.js";
import { drawCards } from "./cards.js";
import { say } from "./notes.js";
import { choose } from "./ask.js";
import { reformed } from "./view.js";
import { bed } from "./bed.js";
import { away, back } from "./connection.js";
import { tellSaved } from "./times.js";

const csrf = document.querySelector("meta[name=csrf]").content;
const bench = document.getElementById("bench");
const address = (path) => `/sheets/${sheet.id}/${path}`;
/** So many milliseconds a request may take; what is painted on request may take longer. */
const LIMIT = 30_000;
/** Until what was lost is sent again. */
const AGAIN = 2_000;
/** A server that answers with an error of its own is asked so often. */
const TRIES = 3;
let queue = Promise.resolve();
let pending = 0;
let tickets = 0;
/** What was said of the last edit. */
let remarked = null;

const pause = (time) => new Promise((resolve) => setTimeout(resolve, time));

/**
 * A request that answers JSON or HTML; rejects with {field, message, status}, or {lost, message} where no answer came.
 * {@code heard} gets the response's headers.
 */
export async function ask(path, { limit = LIMIT, heard, ...options } = {}) {
  try {
    const response = await fetch(path, { signal: AbortSignal.timeout(limit), ...options,
        headers: { Accept: "application/json, text/html", "X-CSRF-TOKEN": csrf, ...options.headers } });
    if (response.status === 401 || response.status === 403)
      throw { said: { message: "You are signed out. Reload the page to sign in again." } };
    if ([502, 503, 504].includes(response.status)) {
      const { message } = await response.json().catch(() => ({}));
      throw { said: { lost: true, message: message || "The server does not answer." } };
    }
    heard?.(response.headers);
    if (response.status === 204) return null;
    const answer = (response.headers.get("Content-Type") || "").includes("json") ? await response.json() : await response.text();
    if (!response.ok) throw { said: { field: "", message: "Something went wrong on the server.", ...answer, status: response.status } };
    return answer;
  } catch (problem) {
    throw problem.said || { lost: true, message: "The server does not answer." };
  }
}

/** A question whose words may be many: they go in its body. */
export const askForm = (path, words, options = {}) => ask(path, { method: "POST", body: new URLSearchParams(words), ...options });
const post = (path, body) => ask(path, { method: "POST", body: JSON.stringify(body), headers: { "Content-Type": "application/json" } });
const around = () => ({ stage: sheet.stage, selected: sheet.selected, version: sheet.version, whole: sheet.whole, layer: sheet.layer });

/** A name for an edit that no other has: by it the server knows one that is sent again. */
function name() {
  const bytes = crypto.getRandomValues(new Uint8Array(16));
  return [...bytes].map((b, i) => ([4, 6, 8, 10].includes(i) ? "-" : "") + b.toString(16).padStart(2, "0")).join("");
}

/** Asks until it is answered: while the connection is away an edit waits, and those behind it. */
export async function sure(asking) {
  for (let failed = 0; ;) {
    try {
      const answer = await asking();
      back();
      return answer;
    } catch (problem) {
      if (!problem.lost && !(problem.status >= 500 && ++failed < TRIES)) throw problem;
      if (problem.lost) away(pending);
      await pause(problem.lost ? AGAIN : AGAIN / 4);
    }
  }
}

/** Makes an edit; resolves to whether it was made. {@code at} is the form or field that errors belong to. */
export const edit = (what, at) => change("edits", { edit: what }, at);
export const undo = () => change("undo", {});
export const redo = () => change("redo", {});
/** Puts imported pictures, names by id, on the shelf. */
export const shelve = (pictures) => change("shelf", { pictures });

/** Sends what changes the sheet to one of its addresses; resolves to whether it was changed. */
export function change(path, body, at) {
  pending++;
  document.body.ariaBusy = true;
  const named = { ...body, name: name() };
  const result = queue.then(async () => {
    try {
      const sent = looking();
      apply(await agreed(path, named), sent);
      return true;
    } catch (problem) {
      await failed(problem, at);
      return false;
    } finally {
      document.body.ariaBusy = --pending > 0;
    }
  });
  queue = result;
  return result;
}

window.addEventListener("beforeunload", (event) => pending && event.preventDefault());

/** The same each time it is sent. */
function sending(path, body) {
  const all = { ...body, ...around() };
  return () => post(address(path), all);
}

/** Sends a change; where it would lose something the person is asked, and only a yes sends it again. */
async function agreed(path, body) {
  try {
    return await sure(sending(path, body));
  } catch (problem) {
    if (problem.status !== 428) throw problem;
    if (!await choose(problem.message, [["yes", "Go on"]])) throw { kept: true };
    return sure(sending(path, { ...body, agreed: true }));
  }
}

async function failed(problem, at) {
  if (problem.kept) {
    if (at?.defaultValue) at.value = at.defaultValue;
    return;
  }
  if (!problem.message) throw problem;
  const unsure = problem.status >= 500;
  const shown = at?.isConnected && problem.field && problemAt(at, problem.field, problem.message);
  if (!shown) say(unsure ? `${problem.message} You see the sheet as it is now; what you did last may be missing.`
      : problem.message, { fault: true });
  if (!at || unsure || problem.status === 409) await refresh(true);
  changed("sheet");
}

/** Takes over what another window did; with {@code force} also what this one shows wrongly. */
export async function refresh(force = false) {
  if (!force && pending) return;
  try {
    const redrawn = (headers) => (document.getElementById("redrawn").hidden = headers.get("Lantern-Redrawn") !== "true");
    const answer = await askForm(address("changes"), { ...around(), version: force ? -1 : sheet.version }, { heard: redrawn });
    back();
    if (!answer || !force && (pending || answer.version < sheet.version)) return;
    apply(answer);
    if (!force) say("Another window changed this sheet. You see it as it is now.");
  } catch (problem) {
    if (problem.lost) away(pending);
    else if (force) say(problem.message, { fault: true });
  }
}

/** What a bench is drawn for; one that was asked for something else is out of date. */
const looking = () => [sheet.stage, sheet.whole, sheet.layer, ...sheet.selected].join();

/** Takes over an answer; {@code sent} is what the page was looking at when it was asked. */
function apply(answer, sent = looking()) {
  sheet.version = answer.version;
  const painted = Promise.all(answer.changed.map((part) => draw(part.id, part.board)));
  order(answer.order);
  drawCards(answer, painted);
  const current = sent === looking();
  const there = new Set(ids());
  sheet.selected = (current ? answer.selected : sheet.selected).filter((id) => there.has(id));
  if (current && answer.layer !== null) sheet.layer = answer.layer;
  sheet.guides = answer.guides;
  sheet.vistas = answer.vistas;
  const { facts } = answer;
  const other = ["unit", "ppi", "width", "height"].some((fact) => sheet[fact] !== facts[fact]);
  Object.assign(sheet, facts);
  if (other) reformed();
  sheet.swatches = answer.swatches;
  document.getElementById("ground").innerHTML = answer.paper;
  bed();
  const title = document.getElementById("sheet-name");
  if (document.activeElement !== title) title.value = answer.name;
  document.title = `${answer.name} · Plain Lantern`;
  document.getElementById("sheet-size").textContent = answer.size;
  tellSaved(answer.kept);
  step("undo", "Undo", answer.undo);
  step("redo", "Redo", answer.redo);
  changed("sheet");
  remark(answer.remark);
  if (!current) {
    fetchBench();
    return;
  }
  tickets++;
  bench.ariaBusy = false;
  showBench(answer.bench, fetchBench);
}

/** Says what is to be said of an edit, with a button for what is offered, until the next edit. */
function remark(told) {
  remarked?.remove();
  remarked = told && say(told.says, told.label ? { lasting: 12_000, deed: told.label, then: () => edit(told.edit) } : { lasting: 7_000 });
}

function step(id, word, title) {
  const button = document.getElementById(id);
  button.disabled = !title;
  button.title = title ? `${word} ${title}` : `Nothing to ${word.toLowerCase()}`;
}

/** The bench for the stage and the selection as they are now; an answer that something newer overtook is dropped. */
export async function fetchBench() {
  const mine = ++tickets;
  bench.ariaBusy = true;
  try {
    const html = await askForm(address("bench"), around());
    back();
    if (mine === tickets) showBench(html, fetchBench);
  } catch (problem) {
    if (mine !== tickets) return;
    if (!problem.lost) say(problem.message, { fault: true });
    else {
      away(pending);
      setTimeout(() => mine === tickets && fetchBench(), AGAIN);
    }
  } finally {
    if (mine === tickets) bench.ariaBusy = false;
  }
}

/** What an edit would give, without making it. Rejects with {field, message}. */
export const preview = (what) => post(address("preview"), { edit: what, ...around() });

/** Previews the latest wish only. */
export const previewer = (show) => latest(preview, show);

/** Asks for the latest wish only, one at a time, and hands each result on; what is shown of it may take its time. */
export function latest(asked, show) {
  let running = false;
  let wish = null;
  let closed = false;
  const run = async () => {
    running = true;
    while (wish && !closed) {
      const what = wish;
      wish = null;
      try {
        const result = await asked(what);
        if (!closed) await show(result);
      } catch (problem) {
        if (!closed) show(null, problem);
      }
    }
    running = false;
  };
  return {
    want(what) {
      wish = what;
      if (!running) run();
    },
    close() {
      closed = true;
    },
  };
}
