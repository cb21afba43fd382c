// The sheet seen alone: while the key h is held nothing of the workbench lies over it.
const TYPED = ["range", "checkbox", "radio", "file", "color"].map((type) => `:not([type=${type}])`).join("");
const writes = (node) => node.matches?.(`input${TYPED}, textarea, select`);

/** Hides all marks over the board of {@code well} as long as the key is held. */
export function bare(well) {
  const show = () => well.classList.remove("bare");
  window.addEventListener("keydown", (event) => {
    if (event.key !== "h" || event.ctrlKey || event.metaKey || event.altKey || writes(event.target)
        || document.querySelector("dialog[open]")) return;
    well.classList.add("bare");
  });
  window.addEventListener("keyup", (event) => event.key.toLowerCase() === "h" && show());
  window.addEventListener("blur", show);
}
