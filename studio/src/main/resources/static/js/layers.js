// The layers of the lit panels: one is chosen for what follows; words and washes have forms of their own.
import { sheet, choose } from "./sheet.js";
import { edit } from "./server.js";
import { onBench, clearProblems } from "./bench-parts.js";

onBench(".layers", (list) => list.addEventListener("click", (event) => {
  const eye = event.target.closest("[data-switch-layer]");
  if (eye) edit({ kind: "set-look", panels: sheet.selected, layer: Number(eye.dataset.layer), off: eye.dataset.off !== "true" });
  const row = event.target.closest(".layer");
  if (row) choose(Number(row.dataset.layer));
}));

/** Only what was changed is sent: the words of other panels keep the rest. */
onBench("form.words", (form) => {
  form.addEventListener("submit", (event) => event.preventDefault());
  form.addEventListener("change", ({ target }) => {
    clearProblems(form);
    const value = target.type === "checkbox" ? target.checked : target.value;
    edit({ kind: target.dataset.kind || "set-words", panels: sheet.selected, layer: Number(form.dataset.at), [target.name]: value }, form);
  });
});

const rows = (form) => [...form.querySelectorAll(".stop:not(.stop-head)")];
const stop = (row) => Object.fromEntries([...row.querySelectorAll("input")].map((input) => [input.name, input.value]));

/** The colours of a wash as its form tells them. */
export const stops = (form) => rows(form).map(stop);

onBench("form.wash", (form) => {
  const send = (colours) => {
    clearProblems(form);
    const wash = { stops: colours, turn: form.turn.value, round: form.round.checked };
    edit("at" in form.dataset ? { kind: "set-wash", panels: sheet.selected, layer: Number(form.dataset.at), ...wash }
        : { kind: "set-paper", paper: { kind: "washed", ...wash } }, form);
  };
  form.addEventListener("submit", (event) => event.preventDefault());
  form.addEventListener("change", () => send(stops(form)));
  form.addEventListener("click", ({ target }) => {
    if (target.closest("[data-stop-in]")) send([...stops(form), { ...stop(rows(form).at(-1)), at: "100 %" }]);
    const out = target.closest("[data-stop-out]")?.closest(".stop");
    if (out) send(rows(form).filter((row) => row !== out).map(stop));
  });
});
