// Letters as forms: their words and typeface, a panel for each letter, and typefaces that a member brings.
import { sheet } from "./sheet.js";
import { edit, ask } from "./server.js";
import { onBench, clearProblems, problemAt } from "./bench-parts.js";
import { say } from "./notes.js";

const MOST_BYTES = 20_000_000;
const OWN = "own ";
const file = Object.assign(document.createElement("input"), { type: "file", accept: ".ttf,.otf", hidden: true });
file.id = "typeface-file";
document.body.append(file);
let own = null;
let asking = null;

/** The member's own typefaces, asked for once. */
async function mine() {
  own ??= await ask("/typefaces");
  return own;
}

const named = (face) => (face.style === "Regular" ? face.family : `${face.family} ${face.style}`);

/** Puts the member's own typefaces into the choice, and the way to bring one. */
function offer(form, faces) {
  const choice = form.elements.family;
  choice.querySelector("optgroup")?.remove();
  const group = document.createElement("optgroup");
  group.label = "Yours";
  for (const face of faces) group.append(new Option(named(face), OWN + face.id));
  const missing = choice.dataset.own && !faces.some((face) => face.id === choice.dataset.own);
  if (missing) group.append(new Option(choice.dataset.family, OWN + choice.dataset.own));
  group.append(new Option("Bring a typeface\u2026", "bring"));
  choice.append(group);
  if (choice.dataset.own) choice.value = OWN + choice.dataset.own;
  tell(form, faces);
}

/** What is to be said of an own typeface: what its maker allows, or that it is missing. */
function tell(form, faces) {
  const choice = form.elements.family;
  const place = form.querySelector(".own-face");
  const id = choice.value.startsWith(OWN) ? choice.value.slice(OWN.length) : "";
  const face = faces.find((one) => one.id === id);
  place.hidden = !id;
  place.classList.toggle("warns", !face);
  place.replaceChildren(face ? `${face.says} ` : `${choice.dataset.family} is not among your typefaces. The letters stay as they are; `
      + "bring its file to change them, or choose another typeface.");
  if (!face) return;
  const remove = Object.assign(document.createElement("button"), { type: "button", className: "btn btn-plain small" });
  remove.append("Delete typeface");
  remove.onclick = async () => {
    await ask(`/typefaces/${face.id}`, { method: "DELETE" });
    own = own.filter((one) => one !== face);
    say(`${named(face)} was deleted. Letters set in it stay as they are.`);
    // The form may have been drawn anew meanwhile.
    for (const shown of document.querySelectorAll("form.letters")) offer(shown, own);
  };
  place.append(remove);
}

/** What was chosen as an edit tells it. */
function chosen(form) {
  const value = form.elements.family.value;
  if (!value.startsWith(OWN)) return { family: value, own: "" };
  const id = value.slice(OWN.length);
  const face = own?.find((one) => one.id === id);
  return { family: face ? named(face) : form.elements.family.dataset.family, own: id };
}

/** The weights of the typeface that new letters are to have. */
function weights(form) {
  const { weight, family } = form.elements;
  const told = family.selectedOptions[0]?.dataset.weights?.split(",") || [];
  weight.replaceChildren(...told.map((one) => new Option(one.slice(one.indexOf(" ") + 1), parseInt(one, 10))));
  weight.selectedIndex = told.length - 1;
  weight.closest(".field").hidden = told.length < 2;
}

async function brought() {
  const [font] = file.files;
  const form = asking?.isConnected ? asking : document.querySelector("form.letters");
  file.value = "";
  if (!font || !form) return;
  clearProblems(form);
  try {
    if (font.size > MOST_BYTES) throw { message: "A typeface's file has at most 20 MB." };
    const body = new FormData();
    body.append("file", font);
    const face = await ask("/typefaces", { method: "POST", body });
    own = [...(await mine()).filter((one) => one.id !== face.id), face];
    offer(form, own);
    form.elements.family.value = OWN + face.id;
    pick(form);
    say(`${named(face)} is among your typefaces. ${face.says}`);
  } catch (problem) {
    offer(form, own || []);
    problemAt(form, "family", problem.message);
  }
}
file.addEventListener("change", brought);
file.addEventListener("cancel", () => asking?.isConnected && offer(asking, own || []));

/** Another typeface was chosen. */
function pick(form) {
  if (form.elements.family.value === "bring") {
    asking = form;
    const { dataset } = form.elements.family;
    form.elements.family.value = dataset.own ? OWN + dataset.own : dataset.family;
    file.click();
    return;
  }
  tell(form, own || []);
  if (form.dataset.letters === "set") edit({ kind: "set-letters", panels: sheet.selected, ...chosen(form) }, form);
  else weights(form);
}

onBench("form.letters", async (form) => {
  form.addEventListener("change", (event) => {
    clearProblems(form);
    const { name, value } = event.target;
    if (name === "family") pick(form);
    else if (form.dataset.letters === "set" && name !== "through") edit({ kind: "set-letters", panels: sheet.selected, [name]: value },
            form);
  });
  const add = (panel) => {
    clearProblems(form);
    const { text, weight, side, leading, tracking } = form.elements;
    edit({ kind: "add-letters", panel, spelling: { text: text.value, side: side.value, leading: leading.value, tracking: tracking.value,
        face: { ...chosen(form), weight: weight.value } } }, form);
  };
  form.addEventListener("submit", (event) => {
    event.preventDefault();
    if (form.dataset.letters === "new") add("");
  });
  form.querySelector("[data-letters-form]")?.addEventListener("click", () => add(sheet.selected[0]));
  form.querySelector("[data-part-letters]")?.addEventListener("click", () => {
    clearProblems(form);
    edit({ kind: "part-letters", panel: sheet.selected[0], through: form.elements.through.checked }, form);
  });
  if (form.dataset.letters === "new") weights(form);
  offer(form, own || []);
  if (!own) offer(form, await mine().catch(() => []));
});
