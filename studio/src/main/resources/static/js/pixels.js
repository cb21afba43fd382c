// The delivery's own pixels around a spot of the sheet, one for one or four times as large; a drag goes on from there.
import { sheet, watch } from "./sheet.js";
import { toSheet, length } from "./view.js";
import { ask } from "./server.js";
import { hold, release, tool } from "./tools.js";
import { onBench } from "./bench-parts.js";

const dialog = document.getElementById("pixels");
const view = dialog.querySelector(".pixels-view");
const image = view.querySelector("img");
const says = view.querySelector(".says");
let spot = { x: 0, y: 0 };

const zoom = () => Number(dialog.querySelector("[name=zoom]:checked").value);
const pixel = () => 25.4 / sheet.ppi;

function paint() {
  const ratio = devicePixelRatio;
  const across = Math.min(1600, Math.ceil(view.clientWidth * ratio / zoom()));
  const down = Math.min(1600, Math.ceil(view.clientHeight * ratio / zoom()));
  const kept = dialog.querySelector("[name=when]:checked").value === "kept";
  says.textContent = "Painting every pixel …";
  image.style.translate = "";
  image.style.width = `${across * zoom() / ratio}px`;
  image.src = `/sheets/${sheet.id}/pixels?${new URLSearchParams({ x: spot.x, y: spot.y, across, down, kept, version: sheet.version })}`;
  document.getElementById("pixels-where").textContent = `${length(spot.x)}, ${length(spot.y)}`;
}
image.onload = () => (says.textContent = dialog.querySelector("[name=when]:checked").value === "kept" ? "The last saved version" : "");
image.onerror = async () => (says.textContent = await ask(image.src)
    .then(() => "This spot could not be painted.", (problem) => problem.message));

view.addEventListener("pointerdown", (event) => {
  event.preventDefault();
  view.setPointerCapture(event.pointerId);
  const start = { x: event.clientX, y: event.clientY };
  const from = spot;
  view.onpointermove = (now) => (image.style.translate = `${now.clientX - start.x}px ${now.clientY - start.y}px`);
  view.onpointerup = (now) => {
    view.onpointermove = view.onpointerup = null;
    const by = pixel() * devicePixelRatio / zoom();
    const within = (value, most) => Math.max(0, Math.min(most, value));
    spot = { x: within(from.x - (now.clientX - start.x) * by, sheet.width),
        y: within(from.y - (now.clientY - start.y) * by, sheet.height) };
    paint();
  };
});
dialog.addEventListener("change", paint);

/** The next press on the board is looked at closely. */
function look() {
  if (tool.name === "lens") return release();
  hold({ name: "lens", cursor: "crosshair", anywhere: true, press(_, at) {
    const { x, y } = toSheet(at);
    release();
    if (x < 0 || y < 0 || x > sheet.width || y > sheet.height) return null;
    spot = { x, y };
    dialog.showModal();
    paint();
    return null;
  } });
}
onBench("#look-closely", (button) => button.addEventListener("click", look));
watch((what) => what === "tool" && document.getElementById("look-closely")?.setAttribute("aria-pressed", tool.name === "lens"));
