// The sheet seen alone: while the key h is held nothing of the workbench lies over it.
import { writing } from "./keys.js";

/** Hides all marks over the board of {@code well} as long as the key is held. */
export function bare(well) {
  const show = () => well.classList.remove("bare");
  window.addEventListener("keydown", (event) => {
    if (event.key !== "h" || event.ctrlKey || event.metaKey || event.altKey || writing(event.target)
        || document.querySelector("dialog[open]")) return;
    well.classList.add("bare");
  });
  window.addEventListener("keyup", (event) => event.key.toLowerCase() === "h" && show());
  window.addEventListener("blur", show);
}
