// "My sheets": the dialog for a new sheet, and opening a bundle.
import Alpine from "/vendor/alpine-csp-3.15.12.min.js";

Alpine.data("newSheet", () => ({
  failure: "",

  init() {
    if (this.$el.dataset.open === "true") this.show();
  },
  show() {
    this.$refs.dialog.showModal();
    this.$refs.name.select();
  },
  hide() {
    this.$refs.dialog.close();
  },
  choose(event) {
    const { unit, shorter, longer } = event.currentTarget.dataset;
    const onScreen = unit === "px";
    this.$refs.unit.value = unit;
    this.$refs.width.value = Number(longer);
    this.$refs.height.value = Number(shorter);
    this.$refs.ppi.value = onScreen ? "96" : "300";
    for (const button of event.currentTarget.parentElement.children) button.classList.toggle("on", button === event.currentTarget);
  },
  swapSides() {
    [this.$refs.width.value, this.$refs.height.value] = [this.$refs.height.value, this.$refs.width.value];
  },
  async openBundle(event) {
    const [file] = event.target.files;
    if (!file) return;
    const body = new FormData();
    body.append("file", file);
    this.failure = "";
    try {
      const response = await fetch("/bundles", {
        method: "POST", body,
        headers: { "X-CSRF-TOKEN": document.querySelector("meta[name=csrf]").content, Accept: "application/json" },
      });
      const answer = await response.json();
      if (!response.ok) throw new Error(answer.message);
      window.location = answer.address;
    } catch (problem) {
      this.failure = problem.message || "The bundle could not be sent.";
    }
    event.target.value = "";
  },
}));

Alpine.start();
// htmx takes the page over when its content is loaded, and was asked to before this script was.
document.addEventListener("DOMContentLoaded", () => (document.documentElement.dataset.ready = "true"));
