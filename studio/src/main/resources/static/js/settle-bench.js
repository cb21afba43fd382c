// The bench of Settle: sliders, what moves, loosening, nudges, covering all again.
import { sheet, select, ids, panel } from "./sheet.js";
import { edit, fetchBench } from "./server.js";
import { onBench, clearProblems } from "./bench-parts.js";
import { redraw } from "./marks.js";
import { subject, aim } from "./lit.js";
import { withPictures, showZoom, turner, back } from "./settle.js";

/** A slider's way from 0 to 1000 is a zoom from 50 % to 1600 %, doubling every 200. */
const toZoom = (way) => 50 * 2 ** (way / 200);
const toWay = (zoom) => 200 * Math.log2(zoom / 50);

onBench("#zoom-slider", (zoom) => {
  const number = document.getElementById("zoom-number");
  zoom.value = toWay(Number(zoom.dataset.value));
  zoom.addEventListener("input", () => {
    const id = withPictures()[0];
    number.value = `${Math.round(showZoom(id, toZoom(zoom.value) / 100) * 100)} %`;
  });
  zoom.addEventListener("change", async () => {
    const chosen = withPictures();
    const wanted = Math.max(subject(chosen[0]).picture.held ? 100 : 5, toZoom(zoom.value));
    await edit({ kind: "zoom-picture", panels: chosen, zoom: wanted, ...aim() }, zoom);
    back(chosen);
  });
  const turns = document.getElementById("turn-slider");
  let live = null;
  turns.addEventListener("input", () => {
    live ||= turner(withPictures());
    document.getElementById("turn-number").value = `${Number(turns.value).toFixed(1)}°`;
    live.want(Number(turns.value));
  });
  turns.addEventListener("change", () => {
    live?.close();
    live = null;
    edit({ kind: "turn-picture", panels: withPictures(), turn: Number(turns.value), ...aim() }, turns);
  });
});

onBench("[name=moves]", (first) => first.closest(".choice").addEventListener("change", (event) => {
  sheet.whole = event.target.value === "whole";
  sessionStorage.setItem("lantern.whole", sheet.whole ? "yes" : "no");
  redraw();
  fetchBench();
}));

/** Loosening goes for the lit panels, or for all of the vista when it is lit whole. */
onBench("#loosen", (form) => {
  const loosen = () => {
    clearProblems(form);
    const lit = subject(withPictures()[0]);
    edit({ kind: "loosen", panels: lit.whole ? lit.members : withPictures(), ...Object.fromEntries(new FormData(form)) }, form);
  };
  form.addEventListener("submit", (event) => {
    event.preventDefault();
    loosen();
  });
  form.querySelector("[data-loosen-seed]").addEventListener("click", () => {
    form.seed.value = (Number(form.seed.value) || 0) % 999999 + 1;
    form.seed.dispatchEvent(new Event("change", { bubbles: true }));
    loosen();
  });
});

/** Gives the nudge of the slice that was lit first to the others that are lit. */
function nudgeAlike() {
  const [from, ...others] = withPictures();
  edit({ kind: "copy-nudge", from, panels: others });
}

document.getElementById("bench").addEventListener("click", (event) => {
  const all = event.target.closest("[data-cover-all]");
  if (all) edit({ kind: "cover-again", panels: all.dataset.panels.split(" "), whole: true });
  if (event.target.closest("[data-copy-nudge]")) nudgeAlike();
  const button = event.target.closest("[data-members]");
  if (button) select([...sheet.selected, ...ids().filter((id) => panel(id).picture?.vista === button.dataset.members)]);
});
