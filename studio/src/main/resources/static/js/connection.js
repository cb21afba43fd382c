// Whether the server can be reached: a line at the top says what waits while it cannot, once, and that all is well again.
import { say } from "./notes.js";

const line = document.getElementById("away");

/** The server does not answer; so many edits wait for it. */
export function away(waiting) {
  line.hidden = false;
  const kept = waiting === 1 ? "Your last change is kept here and is" : `Your last ${waiting} changes are kept here and are`;
  line.textContent = `The connection is lost. ${waiting ? `${kept} sent as soon as it is back.` : "Trying again …"}`;
}

/** It answered. */
export function back() {
  if (line.hidden) return;
  line.hidden = true;
  say("Connected again. Nothing was lost.");
}
