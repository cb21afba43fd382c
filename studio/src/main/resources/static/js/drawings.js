// Drawings made elsewhere: an SVG file that is chosen, dropped or pasted, or pasted path data.
import { sheet } from "./sheet.js";
import { change } from "./server.js";
import { openStage } from "./bench.js";
import { say } from "./notes.js";
import { onBench } from "./bench-parts.js";

const MOST_BYTES = 10_000_000;
const file = Object.assign(document.createElement("input"), { type: "file", accept: ".svg,image/svg+xml", hidden: true, id: "svg-file" });
document.body.append(file);

export const isDrawing = ({ name, type }) => type === "image/svg+xml" || /\.svg$/i.test(name);
/** Whether a text is a drawing: SVG, or path data that begins with a move. */
export const drawn = (text) => /^\s*(<\?xml[\s\S]*?)?(<!--[\s\S]*?-->\s*|<!DOCTYPE[\s\S]*?>\s*)*<svg[\s>]/i.test(text)
    || /^\s*[Mm]\s*[-+.\d][-+.,\s\deEMmZzLlHhVvCcSsQqTtAa]*$/.test(text) && /[LlHhVvCcSsQqTtAaZz]/.test(text);

/** Brings the drawing in a text. */
async function bringText(text) {
  if (sheet.stage !== "arrange") openStage("arrange");
  await change("drawing", { svg: text, fit: document.getElementById("drawing-fit")?.checked || false });
}

export async function bringDrawing(one) {
  if (one.size > MOST_BYTES) return say(`${one.name} has more than 10 MB.`, { fault: true });
  return bringText(await one.text());
}

file.addEventListener("change", async () => {
  const [one] = file.files;
  file.value = "";
  if (one) await bringDrawing(one);
});
onBench("#bring-drawing", (button) => button.addEventListener("click", () => file.click()));

/** Takes a pasted text that is a drawing; true where it was one. */
export function pasteDrawing(text) {
  if (!drawn(text)) return false;
  bringText(text);
  return true;
}
