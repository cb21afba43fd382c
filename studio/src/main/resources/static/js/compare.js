// A line on the board: left of it the pictures are as they were before their tones. It is moved by its handle.
import { sheet, watch, display, plain, wanted } from "./sheet.js";
import { arriveNow } from "./arrival.js";
import { view, toScreen, sharpen } from "./view.js";

const well = document.getElementById("well");
const board = document.getElementById("board");
const SVG = "http://www.w3.org/2000/svg";
/** So far an arrow key moves the line, mm. */
const STEP = 2;

const line = Object.assign(document.createElement("div"), { id: "compare", hidden: true, tabIndex: 0 });
line.setAttribute("role", "separator");
line.setAttribute("aria-label", "Before on the left, after on the right");
line.innerHTML = "<span>Before</span><i aria-hidden=\"true\"></i><span>After</span>";
well.append(line);
let at = sheet.width / 2;
let waiting = 0;

export const compare = {
  on: false,
  toggle() {
    compare.on = !compare.on;
    line.hidden = !compare.on;
    draw();
    place();
  },
};

/** A copy of what is painted, without its tones, cut off at the line. */
function draw() {
  board.querySelector("#before")?.remove();
  if (!compare.on || sheet.stage !== "tone") return;
  const before = document.createElementNS(SVG, "g");
  before.id = "before";
  before.innerHTML = "<clipPath id=\"before-clip\"><rect/></clipPath><g clip-path=\"url(#before-clip)\"></g>";
  arriveNow();
  const ground = document.getElementById("ground").cloneNode(true);
  const panels = document.getElementById("panels").cloneNode(true);
  before.lastElementChild.append(...ground.childNodes, panels);
  // What the copy refers to is what the board refers to: two of one name would be one too many for scripts.
  for (const node of before.lastElementChild.querySelectorAll("[id]")) node.removeAttribute("id");
  for (const node of before.querySelectorAll("[data-id]")) node.removeAttribute("data-id");
  for (const image of before.querySelectorAll("image[data-picture]")) display(image, image.dataset.before ? plain(image) : wanted(image));
  for (const glaze of before.querySelectorAll(".glaze")) glaze.remove();
  board.append(before);
  sharpen();
  cut();
}

function cut() {
  const rect = board.querySelector("#before-clip rect");
  if (!rect) return;
  rect.setAttribute("height", sheet.height);
  rect.setAttribute("width", at);
}

function place() {
  line.hidden = !compare.on || sheet.stage !== "tone";
  line.style.left = `${toScreen({ x: at, y: 0 }).x}px`;
}

function moveTo(x) {
  at = Math.max(0, Math.min(sheet.width, x));
  cut();
  place();
}

line.addEventListener("pointerdown", (event) => {
  event.stopPropagation();
  event.preventDefault();
  line.focus({ preventScroll: true });
  line.setPointerCapture(event.pointerId);
});
line.addEventListener("pointermove", (event) => line.hasPointerCapture(event.pointerId)
    && moveTo((event.clientX - well.getBoundingClientRect().left - view.x) / view.scale));
line.addEventListener("keydown", (event) => {
  const way = { ArrowLeft: -1, ArrowRight: 1 }[event.key];
  if (!way) return;
  event.preventDefault();
  event.stopPropagation();
  moveTo(at + way * STEP * (event.shiftKey ? 5 : 1));
});
watch((what) => {
  if (what === "view" || what === "stage") place();
  if (!compare.on || !["sheet", "stage"].includes(what)) return;
  clearTimeout(waiting);
  waiting = setTimeout(draw, 60);
});
