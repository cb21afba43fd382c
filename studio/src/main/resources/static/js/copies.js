// Copies: panels travel between sheets through the browser's own store.
import { sheet, ids, panel } from "./sheet.js";
import { askForm, edit } from "./server.js";
import { even } from "./view.js";
import { say } from "./notes.js";

const STORE = "lantern.copied";

export async function copy() {
  if (!sheet.selected.length) return;
  try {
    const { panels, pictures } = await askForm(`/sheets/${sheet.id}/copy`, { panels: sheet.selected });
    localStorage.setItem(STORE, JSON.stringify({ from: sheet.id, times: 0, panels, pictures }));
    say(panels.length === 1 ? `Copied ${panels[0].basics.name}.` : `Copied ${panels.length} panels.`);
  } catch (problem) {
    say(problem.message || "That is too much to copy.", { fault: true });
  }
}

/** Pastes at the same place on another sheet, and a step aside on the same one. */
export async function paste() {
  const text = localStorage.getItem(STORE);
  if (!text) return say("Nothing was copied yet.");
  const { from, times, panels, pictures } = JSON.parse(text);
  const aside = from === sheet.id ? even(Math.min(sheet.width, sheet.height) / 40) * (times + 1) : 0;
  if (await edit({ kind: "paste", panels, pictures, dx: aside, dy: aside })) {
    localStorage.setItem(STORE, JSON.stringify({ from, times: times + 1, panels, pictures }));
  }
}

let giver = null;

/** Remembers the panel whose content is pasted into others. */
export function copyContent() {
  giver = sheet.selected[0] || null;
  if (giver) say(`Copied what ${panel(giver).name} shows.`);
}

/** Pastes content into the selected panels, placed alike, or fitted anew. */
export function pasteContent(anew) {
  if (!giver || !ids().includes(giver)) say("Copy what a panel shows first.");
  else if (sheet.selected.length) edit({ kind: "copy-content", from: giver, panels: sheet.selected, anew });
}
