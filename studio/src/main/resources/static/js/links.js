// Links of proofs: whole addresses, to be copied.

/** Makes the addresses of a part of the page whole, and their buttons copy. */
export function links(part) {
  for (const field of part.querySelectorAll("[data-address]")) {
    if (!field.value.startsWith("http")) field.value = location.origin + field.value;
    field.addEventListener("focus", () => field.select());
    const button = field.parentElement.querySelector("[data-deed=copy]");
    button.addEventListener("click", async () => {
      field.select();
      try {
        await navigator.clipboard.writeText(field.value);
        button.textContent = "Copied";
      } catch {
        button.textContent = "Ctrl C copies it";
      }
    });
  }
}
