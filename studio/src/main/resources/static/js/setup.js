// The sheet's own numbers and its guides. Another size asks what becomes of the panels.
import { sheet, ids } from "./sheet.js";
import { edit } from "./server.js";
import { clearProblems } from "./bench-parts.js";
import { choose } from "./ask.js";

const bench = document.getElementById("bench");

async function resize(size, at) {
  const then = !ids().length ? "leave" : await choose("The sheet gets another size. What becomes of the panels?",
    [["leave", "Leave them where they are"], ["scale", "Scale them with the sheet"], ["again", "Lay the patterns out again"]]);
  if (!then) {
    if (at?.defaultValue) at.value = at.defaultValue;
    return;
  }
  edit({ kind: "set-up-sheet", ...size, panels: then }, at);
}

bench.addEventListener("change", (event) => {
  const field = event.target;
  const { dataset } = field;
  if (dataset.size || dataset.setUp || dataset.guides) clearProblems(field.closest(".part"));
  if (dataset.size) resize({ [dataset.size]: field.value }, field);
  if (dataset.setUp) edit({ kind: "set-up-sheet", [dataset.setUp]: field.value }, field);
  if (dataset.guides) edit({ kind: "set-guides", [dataset.guides]: field.value }, field);
  if (dataset.show) edit({ kind: "set-guides", show: dataset.show }, field);
  if (dataset.snap) edit({ kind: "set-guides", snap: dataset.snap }, field);
});

bench.addEventListener("click", (event) => {
  const size = event.target.closest("[data-size-unit]");
  if (size) {
    const { sizeUnit, shorter, longer } = size.dataset;
    const wide = sheet.width > sheet.height;
    resize({ width: `${wide ? longer : shorter} ${sizeUnit}`, height: `${wide ? shorter : longer} ${sizeUnit}` });
  }
  if (event.target.closest("[data-swap-sides]")) resize({ width: sheet.height, height: sheet.width });
});
