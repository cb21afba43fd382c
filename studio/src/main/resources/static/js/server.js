// Requests. Edits go one after the other; each answer patches the page; a failure puts the page back and says why.
import { sheet, draw, order, changed, ids } from "./sheet.js";
import { showBench, problemAt } from "./bench-parts.js";
import { drawCards } from "./cards.js";
import { say } from "./notes.js";
import { choose } from "./ask.js";
import { reformed } from "./view.js";

const csrf = document.querySelector("meta[name=csrf]").content;
const bench = document.getElementById("bench");
const address = (path) => `/sheets/${sheet.id}/${path}`;
let queue = Promise.resolve();
let pending = 0;
let tickets = 0;

/** A request that answers JSON or HTML; rejects with {field, message, status}. */
export async function ask(path, options = {}) {
  let response;
  try {
    response = await fetch(path, { ...options, headers: { Accept: "application/json, text/html", "X-CSRF-TOKEN": csrf, ...options.headers } });
  } catch {
    throw { message: "The server does not answer. Nothing was changed." };
  }
  if (response.status === 401 || response.status === 403) throw { message: "You are signed out. Reload the page to sign in again." };
  if (response.status === 204) return null;
  const answer = (response.headers.get("Content-Type") || "").includes("json") ? await response.json() : await response.text();
  if (!response.ok) throw { field: "", message: "Something went wrong on the server. Nothing was changed.", ...answer, status: response.status };
  return answer;
}

const post = (path, body) => ask(path, { method: "POST", body: JSON.stringify(body), headers: { "Content-Type": "application/json" } });
const around = () => ({ stage: sheet.stage, selected: sheet.selected, version: sheet.version, whole: sheet.whole, layer: sheet.layer });

/** Makes an edit; resolves to whether it was made. {@code at} is the form or field that errors belong to. */
export const edit = (what, at) => change("edits", { edit: what }, at);
export const undo = () => change("undo", {});
export const redo = () => change("redo", {});
/** Puts copied panels on the sheet. */
export const paste = (what) => change("paste", { edit: what });
/** Puts imported pictures, names by id, on the shelf. */
export const shelve = (pictures) => change("shelf", { pictures });

/** Sends what changes the sheet to one of its addresses; resolves to whether it was changed. */
export function change(path, body, at) {
  pending++;
  document.body.ariaBusy = true;
  const result = queue.then(async () => {
    try {
      const sent = looking();
      apply(await agreed(path, body), sent);
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

/** Sends a change; where it would lose something the person is asked, and only a yes sends it again. */
async function agreed(path, body) {
  try {
    return await post(address(path), { ...body, ...around() });
  } catch (problem) {
    if (problem.status !== 428) throw problem;
    if (!await choose(problem.message, [["yes", "Go on"]])) throw { kept: true };
    return post(address(path), { edit: { ...body.edit, agreed: true }, ...around() });
  }
}

async function failed(problem, at) {
  if (problem.kept) return;
  if (!problem.message) throw problem;
  const shown = at?.isConnected && problem.field && problemAt(at, problem.field, problem.message);
  if (!shown) say(problem.message, { fault: true });
  if (!at || problem.status === 409) await refresh(true);
  changed("sheet");
}

/** Takes over what another window did; with {@code force} also what this one shows wrongly. */
export async function refresh(force = false) {
  if (!force && pending) return;
  try {
    const query = new URLSearchParams({ version: force ? -1 : sheet.version, stage: sheet.stage, selected: sheet.selected, whole: sheet.whole, layer: sheet.layer });
    const answer = await ask(`${address("changes")}?${query}`);
    if (!answer) return;
    apply(answer);
    if (!force) say("Another window changed this sheet. You see it as it is now.");
  } catch (problem) {
    if (force) say(problem.message, { fault: true });
  }
}

/** What a bench is drawn for; one that was asked for something else is out of date. */
const looking = () => [sheet.stage, sheet.whole, sheet.layer, ...sheet.selected].join();

/** Takes over an answer; {@code sent} is what the page was looking at when it was asked. */
function apply(answer, sent = looking()) {
  sheet.version = answer.version;
  for (const part of answer.changed) draw(part.id, part.board);
  order(answer.order);
  drawCards(answer);
  const current = sent === looking();
  sheet.selected = (current ? answer.selected : sheet.selected).filter((id) => ids().includes(id));
  sheet.guides = answer.guides;
  sheet.vistas = answer.vistas;
  const { facts } = answer;
  const other = ["unit", "ppi", "width", "height"].some((fact) => sheet[fact] !== facts[fact]);
  Object.assign(sheet, facts);
  if (other) reformed();
  sheet.swatches = answer.swatches;
  document.getElementById("ground").innerHTML = answer.paper;
  const name = document.getElementById("sheet-name");
  if (document.activeElement !== name) name.value = answer.name;
  document.title = `${answer.name} · Plain Lantern`;
  document.getElementById("sheet-size").textContent = answer.size;
  document.getElementById("kept").textContent = `Kept ${answer.kept}`;
  step("undo", "Undo", answer.undo);
  step("redo", "Redo", answer.redo);
  changed("sheet");
  if (!current) {
    fetchBench();
    return;
  }
  tickets++;
  bench.ariaBusy = false;
  showBench(answer.bench, fetchBench);
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
    const html = await ask(`${address("bench")}?${new URLSearchParams({ stage: sheet.stage, selected: sheet.selected, whole: sheet.whole, layer: sheet.layer })}`);
    if (mine === tickets) showBench(html, fetchBench);
  } catch (problem) {
    if (mine === tickets) say(problem.message, { fault: true });
  } finally {
    if (mine === tickets) bench.ariaBusy = false;
  }
}

/** What an edit would give, without making it. Rejects with {field, message}. */
export const preview = (what) => post(address("preview"), { edit: what, ...around() });

/** Previews the latest wish only. */
export const previewer = (show) => latest(preview, show);

/** Asks for the latest wish only, one at a time, and hands each result on. */
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
        if (!closed) show(result);
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

/** Sends one file; {@code progress} hears shares from 0 to 1. Resolves to the picture, rejects with {message}. */
export function sendPicture(file, progress) {
  return new Promise((resolve, reject) => {
    const request = new XMLHttpRequest();
    const body = new FormData();
    body.append("file", file);
    request.open("POST", "/pictures");
    request.setRequestHeader("X-CSRF-TOKEN", csrf);
    request.setRequestHeader("Accept", "application/json");
    request.responseType = "json";
    request.upload.onprogress = (event) => progress(event.loaded / event.total);
    request.onerror = () => reject({ message: `${file.name} could not be sent: the server does not answer.` });
    request.onload = () => request.status === 200 ? resolve(request.response)
      : reject({ message: request.response?.message || `${file.name} could not be imported.` });
    request.send(body);
  });
}
