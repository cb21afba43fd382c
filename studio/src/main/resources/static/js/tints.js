// Colours: every colour field opens one small dialog, with the sheet's palette, a text in CSS notation, a mixer and a picker for the board.
import { sheet, watch } from "./sheet.js";
import { edit, ask } from "./server.js";
import { toSheet } from "./view.js";
import { say } from "./notes.js";
import { hold, release } from "./tools.js";

const dialog = document.getElementById("tints");
const text = document.getElementById("tint-text");
const mixer = dialog.querySelector("[type=color]");
const swatches = dialog.querySelector(".tint-swatches");
let opened = null;

/** A field by where it stands: the bench may have been drawn anew meanwhile. */
function address(field) {
  const part = field.closest("[data-part]");
  const scope = () => (part ? document.querySelector(`#bench [data-part="${part.dataset.part}"]`) : field.closest("form"));
  const place = [...scope().querySelectorAll(".tint")].indexOf(field.closest(".tint"));
  return () => scope()?.querySelectorAll(".tint")[place]?.querySelector("[type=hidden]");
}

const plain = (value) => value.split("@")[0];

function open(chip) {
  const field = chip.parentElement.querySelector("[type=hidden]");
  opened = address(field);
  text.value = plain(field.value);
  mixer.value = plain(field.value);
  swatches.replaceChildren(...sheet.swatches.map((swatch) => {
    const button = document.createElement("button");
    button.type = "button";
    button.title = swatch.name;
    button.ariaLabel = swatch.name;
    button.style.background = swatch.colour;
    button.classList.toggle("on", field.value.endsWith(`@${swatch.id}`));
    button.onclick = () => choose(`${swatch.colour}@${swatch.id}`);
    return button;
  }));
  // Where a dialog lies over the board there is nothing to pick from.
  dialog.querySelector("[data-tint=pick]").hidden = Boolean(document.querySelector("dialog[open]"));
  dialog.showModal();
  const box = chip.getBoundingClientRect();
  dialog.style.left = `${Math.min(box.left, innerWidth - dialog.offsetWidth - 8)}px`;
  dialog.style.top = `${box.bottom + 6 + dialog.offsetHeight > innerHeight ? box.top - 6 - dialog.offsetHeight : box.bottom + 6}px`;
}

function choose(value, stay = false) {
  const field = opened?.();
  if (!stay) dialog.close();
  if (!field || field.value === value) return;
  field.value = value;
  if (/^#[0-9a-f]{6}/i.test(value)) field.parentElement.querySelector("rect").setAttribute("fill", plain(value));
  field.dispatchEvent(new Event("change", { bubbles: true }));
}

document.addEventListener("click", (event) => {
  const chip = event.target.closest(".tint-chip");
  if (chip) open(chip);
});
dialog.addEventListener("click", async (event) => {
  if (event.target === dialog) dialog.close();
  const deed = event.target.closest("[data-tint]")?.dataset.tint;
  if (deed === "pick") pick();
  if (deed === "keep" && await edit({ kind: "add-swatches", colours: [text.value] }, null)) dialog.close();
});
text.addEventListener("keydown", (event) => {
  if (event.key !== "Enter") return;
  event.preventDefault();
  choose(text.value);
});
text.addEventListener("change", () => dialog.open && choose(text.value, true));
mixer.addEventListener("input", () => (text.value = mixer.value.toUpperCase()));
mixer.addEventListener("change", () => choose(mixer.value.toUpperCase()));

/** The next press on the board takes the colour there, as it is delivered. */
function pick() {
  dialog.close();
  hold({ name: "picker", cursor: "crosshair", anywhere: true, press(_, at) {
    const { x, y } = toSheet(at);
    release();
    ask(`/sheets/${sheet.id}/colour?${new URLSearchParams({ x, y })}`).then((colour) => choose(colour))
        .catch((problem) => say(problem.message, { fault: true }));
    return null;
  } });
}
watch((what) => what === "stage" && dialog.close());
