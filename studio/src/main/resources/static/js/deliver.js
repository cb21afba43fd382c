// Deliver: the form for a picture of the sheet, with its size before it is made.
import { onBench, clearProblems, problemAt } from "./bench-parts.js";
import { deliver, deliverySize } from "./server.js";

/** Nothing is selected or moved here. */
export const press = () => null;

onBench("#deliver", (form) => {
  const says = document.getElementById("deliver-says");
  form.addEventListener("change", (event) => {
    for (const part of form.querySelectorAll("[data-only]")) part.hidden = part.dataset.only !== form.format.value;
    if (event.target.name === "ppi") size();
  });
  form.addEventListener("submit", async (event) => {
    event.preventDefault();
    clearProblems(form);
    const button = form.querySelector(".btn-primary");
    button.disabled = true;
    says.textContent = "Painting every pixel …";
    const start = performance.now();
    try {
      const { name, blob } = await deliver(form);
      const link = document.createElement("a");
      link.href = URL.createObjectURL(blob);
      link.download = name;
      link.click();
      setTimeout(() => URL.revokeObjectURL(link.href), 60000);
      says.textContent = `${name}, ${(blob.size / 1e6).toFixed(1)} MB, in ${((performance.now() - start) / 1000).toFixed(1)} s.`;
    } catch (problem) {
      says.textContent = "";
      if (!problemAt(form, problem.field, problem.message)) says.textContent = problem.message;
    }
    button.disabled = false;
  });

  async function size() {
    clearProblems(form);
    try {
      const { width, height } = await deliverySize(form.ppi.value);
      document.getElementById("delivered").textContent = `${width} × ${height} px`;
    } catch (problem) {
      problemAt(form, problem.field, problem.message);
    }
  }
});
