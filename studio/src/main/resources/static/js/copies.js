// Copies: panels travel between sheets through the browser's own store.
import { sheet } from "./sheet.js";
import { ask, paste as pasted } from "./server.js";
import { say } from "./notes.js";

const STORE = "lantern.copied";

export async function copy() {
  if (!sheet.selected.length) return;
  try {
    const { panels, pictures } = await ask(`/sheets/${sheet.id}/copy?${new URLSearchParams({ panels: sheet.selected })}`);
    localStorage.setItem(STORE, JSON.stringify({ from: sheet.id, times: 0, panels, pictures }));
    say(panels.length === 1 ? `Copied ${panels[0].name}.` : `Copied ${panels.length} panels.`);
  } catch (problem) {
    say(problem.message || "That is too much to copy.", { fault: true });
  }
}

/** Pastes at the same place on another sheet, and a step aside on the same one. */
export async function paste() {
  const text = localStorage.getItem(STORE);
  if (!text) return say("Nothing was copied yet.");
  const { from, times, panels, pictures } = JSON.parse(text);
  const aside = from === sheet.id ? Math.min(sheet.width, sheet.height) / 40 * (times + 1) : 0;
  if (await pasted({ kind: "paste", panels, pictures, dx: aside, dy: aside })) {
    localStorage.setItem(STORE, JSON.stringify({ from, times: times + 1, panels, pictures }));
  }
}
