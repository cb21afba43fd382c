// What lies behind everything, and the palette.
import { sheet } from "./sheet.js";
import { edit, ask } from "./server.js";
import { onBench, clearProblems } from "./bench-parts.js";
import { say } from "./notes.js";
import { stops } from "./layers.js";

const bench = document.getElementById("bench");

/** What each kind of paper was last on this sheet: changing back brings it back. */
const memory = (kind) => `lantern.paper ${sheet.id} ${kind}`;

function remembered(kind) {
  const before = sessionStorage.getItem(memory(kind));
  return before && JSON.parse(before);
}

/** The paper of that kind, as its form tells it. */
function paper(kind, part) {
  const form = part.querySelector(`#paper-${kind}`);
  if (kind === "plain") return { kind, colour: form.colour.value };
  if (kind === "washed") return { kind, stops: stops(form), turn: form.turn.value, round: form.round.checked };
  return kind === "pictured" ? { kind, picture: form.picture.value, blur: form.blur.value } : { kind };
}

onBench('[data-paper="plain"]', (button) => {
  const part = button.closest("[data-part]");
  const set = (kind, at) => {
    clearProblems(part);
    if (kind === "pictured" && !part.querySelector("[name=picture]").value) return say("Put a picture on the shelf first.");
    edit({ kind: "set-paper", paper: paper(kind, part) }, at);
  };
  const now = part.querySelector("[data-paper].on").dataset.paper;
  sessionStorage.setItem(memory(now), JSON.stringify(paper(now, part)));
  part.addEventListener("click", ({ target }) => {
    const kind = target.closest("[data-paper]")?.dataset.paper;
    if (!kind || kind === now) return;
    if (remembered(kind)) edit({ kind: "set-paper", paper: remembered(kind) }, part);
    else set(kind, part);
  });
  for (const form of part.querySelectorAll("form")) {
    form.addEventListener("submit", (event) => event.preventDefault());
    if (form.id !== "paper-washed") form.addEventListener("change", () => set(form.id.replace("paper-", ""), form));
  }
});

onBench("#palette-take", (button) => button.addEventListener("click", async () => {
  const picture = document.getElementById("palette-from").value;
  const colours = await ask(`/sheets/${sheet.id}/palette?${new URLSearchParams({ picture })}`)
      .catch((problem) => say(problem.message, { fault: true }));
  if (colours) edit({ kind: "add-swatches", colours });
}));

bench.addEventListener("change", ({ target }) => {
  const swatch = target.closest("[data-swatch]")?.dataset.swatch;
  if (swatch) edit({ kind: "set-swatch", swatch, [target.name]: target.value }, target);
});
bench.addEventListener("click", ({ target }) => {
  if (target.closest("[data-swatch-out]")) edit({ kind: "remove-swatch", swatch: target.closest("[data-swatch]").dataset.swatch });
});
