// The bench: stages open and close; any field or button that names an edit makes it for the selection.
import { sheet, select, ids, changed } from "./sheet.js";
import { edit, fetchBench } from "./server.js";
import { clearProblems } from "./bench-parts.js";
import { aim, subject } from "./lit.js";

const bench = document.getElementById("bench");

/** Opens a stage. It is no page of its own: Back leads to where the sheet was opened from. */
export function openStage(stage) {
  if (stage === sheet.stage) return;
  sheet.stage = stage;
  document.body.dataset.stage = stage;
  history.replaceState(null, "", `?stage=${stage}`);
  bench.scrollTop = 0;
  changed("stage");
  fetchBench();
}

/** The next or previous panel, round and round. */
export function step(by) {
  const all = ids();
  if (!all.length) return;
  const at = all.indexOf(sheet.selected[0]);
  select([all[at < 0 ? (by > 0 ? 0 : all.length - 1) : (at + by + all.length) % all.length]]);
}

/** How a typed size is meant: what stays put, whether proportions stay, whether pictures do. */
function seating() {
  const [anchorX, anchorY] = (bench.querySelector("[name=anchor]:checked")?.value || "-1 -1").split(" ").map(Number);
  return { anchorX, anchorY, alike: bench.querySelector("#alike-sides")?.checked || false, still: bench.querySelector("#still")?.checked
      || false };
}

const PICTURE = ["move-picture", "centre-picture", "zoom-picture", "turn-picture", "mirror-picture", "cover-again",
    "hold-covered", "place-focal", "mount", "lay-flat", "set-corner", "set-proportions", "find-edges"];

function target(name) {
  if (name === "back-vista") return {};
  if (["set-fit", "move-out", "set-veil", "unveil"].includes(name)) return { panels: sheet.selected, layer: sheet.layer };
  if (name === "carry" && sheet.whole) return { panels: [...new Set(sheet.selected.flatMap((id) => subject(id).members))] };
  if (name === "set-look") return { panels: sheet.selected, layer: Number(bench.querySelector(".layers .on .layer").dataset.layer) };
  if (PICTURE.includes(name)) return { panels: sheet.selected, ...aim() };
  if (name === "seat-panels") return { panels: sheet.selected, ...seating() };
  return name === "rename" ? { panel: sheet.selected[0] } : { panels: sheet.selected };
}

bench.addEventListener("click", (event) => {
  const stage = event.target.closest(".stage");
  if (stage) openStage(stage.dataset.stage);
  const button = event.target.closest("button[data-edit]");
  if (!button) return;
  const args = JSON.parse(button.dataset.args || "{}");
  edit({ kind: button.dataset.edit, ...(button.dataset.edit === "add-caption" ? {} : target(button.dataset.edit)), ...args }, button);
});

bench.addEventListener("change", (event) => {
  const field = event.target;
  if (field.matches("[data-edit]")) {
    clearProblems(field.closest("[data-part]"));
    const sent = field.value;
    const said = field.type === "checkbox" ? field.checked : sent;
    edit({ kind: field.dataset.edit, ...target(field.dataset.edit), ...JSON.parse(field.dataset.args || "{}"),
        [field.dataset.field]: said }, field).then((made) => {
      // What was there already is not drawn anew: it is written as the bench writes it.
      if (made && field.matches("[type=text], input:not([type])") && field.value === sent) field.value = field.defaultValue;
    });
  }
  if (field.matches("[data-radius]")) radii(field);
  if (field.matches("#held")) edit({ kind: "hold-covered", ...target("hold-covered"), held: field.checked }, field);
});

/** Enter ends a field, except where it presses the button of its form; Escape puts back what stood there. */
bench.addEventListener("keydown", (event) => {
  const field = event.target;
  if (event.key === "Enter" && field.matches("input:not([type=checkbox], [type=radio])")
      && !field.form?.querySelector("button:not([type=button])")) {
    // What is asked now is not answered by the same key.
    event.preventDefault();
    field.blur();
  }
  if (event.key !== "Escape" || !field.matches("input")) return;
  field.value = field.defaultValue;
  field.blur();
  event.stopPropagation();
});

function radii(field) {
  const group = field.closest("[data-part]");
  const alike = group.querySelector("[data-same-radii]").checked;
  const outline = { kind: "rectangle" };
  for (const input of group.querySelectorAll("[data-radius]")) outline[input.dataset.radius] = alike ? field.value : input.value;
  clearProblems(group);
  edit({ kind: "set-outline", panels: sheet.selected, outline }, field);
}
