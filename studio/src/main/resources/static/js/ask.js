// Questions before something that cannot be guessed: one dialog, a few answers.
const dialog = document.getElementById("ask");

/** Resolves to the key of the chosen answer, or to null where the person backs out. */
export function choose(question, answers) {
  dialog.querySelector("p").textContent = question;
  const place = dialog.querySelector(".answers");
  place.replaceChildren(...answers.map(([key, words], i) => {
    const button = document.createElement("button");
    button.value = key;
    button.className = `btn ${i ? "btn-plain" : "btn-primary"}`;
    button.textContent = words;
    return button;
  }));
  dialog.returnValue = "";
  dialog.showModal();
  return new Promise((resolve) => dialog.addEventListener("close", () => resolve(dialog.returnValue || null), { once: true }));
}
