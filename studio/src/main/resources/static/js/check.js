// Check: the faults of the sheet, the worst first, with their places and their mends; the trail counts them while one works.
import { sheet, select, ids, pick, watch } from "./sheet.js";
import { edit, ask } from "./server.js";
import { onBench, clearProblems } from "./bench-parts.js";
import { extra } from "./marks.js";
import { svg } from "./geometry.js";
import { view, reveal } from "./view.js";
import "./pixels.js";

const bench = document.getElementById("bench");
const thin = { "vector-effect": "non-scaling-stroke" };
const QUIET = { check: 60, others: 900 };
let timer = 0;
let counted = { version: -1, faults: 0, warnings: 0, says: "" };

/** A click selects; its faults are shown. */
export function press(event) {
  const id = pick(event);
  extra();
  bench.querySelector(id ? `.fault-row[data-panels~="${id}"]` : "#faults")?.scrollIntoView({ block: "nearest" });
  return null;
}

/** Shows a fault's place on the board; the board moves there where it is out of sight. */
function show(row) {
  const [left, top, right, bottom] = row.dataset.place.split(" ").map(Number);
  for (const other of bench.querySelectorAll(".fault-row.on")) other.classList.remove("on");
  row.classList.add("on");
  reveal(left, top, right, bottom);
  select(row.dataset.panels.split(" ").filter((id) => ids().includes(id)));
  // Around what is selected, so that both frames are seen.
  const room = 6 / view.scale;
  const box = { x: left - room, y: top - room, width: right - left + 2 * room, height: bottom - top + 2 * room };
  extra(svg("rect", { class: "fault-casing", ...box, ...thin }), svg("rect", { class: "fault-place", ...box, ...thin }));
}

bench.addEventListener("click", (event) => {
  const row = event.target.closest(".fault-row");
  const mend = event.target.closest("[data-mend]");
  if (mend) {
    mend.disabled = true;
    extra();
    edit(JSON.parse(mend.dataset.mend));
  } else if (row?.matches(".more")) {
    for (const hidden of row.closest("ul").querySelectorAll("[hidden]")) hidden.hidden = false;
    row.parentElement.remove();
  } else if (row) {
    show(row);
  }
});

/** Lists the faults anew. */
async function list() {
  const html = await ask(`/sheets/${sheet.id}/check`).catch(() => null);
  const place = document.getElementById("faults");
  if (!html || !place) return;
  place.innerHTML = html;
  const { faults, warnings, says = "" } = place.firstElementChild.dataset;
  counted = { version: sheet.version, faults: Number(faults), warnings: Number(warnings), says };
  count();
}

function count() {
  const place = bench.querySelector("[data-count]");
  if (!place) return;
  const { faults, warnings } = counted;
  place.textContent = faults || warnings || "";
  place.classList.toggle("grave", faults > 0);
  const count = (n, what) => `${n} ${what}${n === 1 ? "" : "s"}`;
  place.title = faults || warnings ? `${count(faults, "fault")}, ${count(warnings, "warning")}` : "";
}

/** What would spoil a file, beside the button that makes one. */
function warn() {
  const place = document.getElementById("warned");
  if (!place) return;
  place.textContent = counted.says;
  place.hidden = document.getElementById("show-faults").hidden = !counted.says;
}

async function learn() {
  if (counted.version === sheet.version && sheet.stage !== "check") return;
  if (sheet.stage === "check") return list();
  counted = await ask(`/sheets/${sheet.id}/faults`).catch(() => counted);
  count();
  warn();
}

function soon() {
  clearTimeout(timer);
  timer = setTimeout(learn, sheet.stage === "check" ? QUIET.check : QUIET.others);
}
watch((what) => (what === "sheet" || what === "stage") && soon());
watch((what) => what === "stage" && extra());
onBench("#faults", soon);
onBench("#warned", warn);
onBench("#limits", (form) => {
  form.addEventListener("submit", (event) => event.preventDefault());
  form.addEventListener("change", () => {
    clearProblems(form);
    edit({ kind: "set-limits", limits: Object.fromEntries(new FormData(form)) }, form);
  });
});
new MutationObserver(count).observe(bench, { childList: true });
soon();
