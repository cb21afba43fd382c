// "My sheets": the dialog for a new sheet, opening a bundle, thumbnails that are still being drawn.
import Alpine from "../vendor/alpine-csp-3.15.12.min.js";

const csrf = document.querySelector("meta[name=csrf]").content;

Alpine.data("newSheet", () => ({
  failure: "",
  sending: "",

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
  openBundle(event) {
    const [file] = event.target.files;
    event.target.value = "";
    if (!file) return;
    const body = new FormData();
    body.append("file", file);
    this.failure = "";
    this.sending = `Sending ${file.name} …`;
    const request = new XMLHttpRequest();
    request.open("POST", "/bundles");
    request.responseType = "json";
    request.setRequestHeader("X-CSRF-TOKEN", csrf);
    request.setRequestHeader("Accept", "application/json");
    request.upload.onprogress = ({ loaded, total }) => (this.$refs.sent.value = loaded / total);
    request.onload = () => (request.status === 202 ? this.follow(request.response.address) : this.fail(request.response?.message));
    request.onerror = () => this.fail("The bundle could not be sent. Check the connection and try again.");
    request.send(body);
  },
  /** Asks how far the import is until it has ended. */
  async follow(address) {
    const again = () => setTimeout(() => this.follow(address), 400);
    try {
      const response = await fetch(address, { headers: { Accept: "application/json", "X-CSRF-TOKEN": csrf } });
      const state = await response.json();
      if (!response.ok || state.failed) return this.fail(state.failed || state.message);
      if (state.sheet) return (window.location = state.sheet);
      this.sending = state.told;
      this.$refs.sent.value = state.share;
      again();
    } catch {
      again();
    }
  },
  fail(message) {
    this.sending = "";
    this.failure = message || "The bundle could not be opened.";
  },
}));

/** Cards whose thumbnail is still being drawn are asked after, less and less often while none comes. */
let pause = 300;
let timer = 0;
const MOST_ASKED = 48;
async function wait() {
  const waiting = [...document.querySelectorAll("[data-waits]")].slice(0, MOST_ASKED);
  if (waiting.length) {
    try {
      const response = await fetch("/thumbnails", { method: "POST", headers: { "X-CSRF-TOKEN": csrf, Accept: "application/json" },
        body: new URLSearchParams(waiting.map((node) => ["of", node.dataset.waits])) });
      for (const { id, version, damaged, found, weight } of await response.json()) {
        pause = 200;
        show(waiting.find((node) => node.dataset.waits === id), version, damaged);
        const says = document.querySelector(`[data-of="${id}"]`);
        if (says) says.dataset.found = weight;
        if (says) says.textContent = found;
      }
    } catch {
      // Asked again below.
    }
  }
  pause = Math.min(5000, pause * 1.3);
  clearTimeout(timer);
  timer = setTimeout(wait, pause);
}

function show(node, version, damaged) {
  if (damaged) return node.replaceWith("This sheet can’t be read. Reload the page.");
  const image = new Image();
  image.alt = "";
  image.src = `/sheets/${node.dataset.waits}/thumbnail?v=${version}`;
  image.onload = () => node.replaceWith(image);
  image.onerror = () => (node.textContent = "No preview");
  delete node.dataset.waits;
}

/** Cards that come in are asked after at once. */
document.addEventListener("htmx:afterSwap", () => {
  pause = 200;
  clearTimeout(timer);
  timer = setTimeout(wait, pause);
});
document.addEventListener("error", ({ target }) => {
  if (target.matches?.(".sheet-picture img"))
    target.replaceWith(Object.assign(document.createElement("span"), { className: "sheet-waiting", textContent: "No preview" }));
}, true);

Alpine.start();
wait();
// htmx takes the page over when its content is loaded, and was asked to before this script was.
document.addEventListener("DOMContentLoaded", () => (document.documentElement.dataset.ready = "true"));
