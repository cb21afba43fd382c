// The form for a new series: pictures come in, a few at a time, and stand in the tray in the order of their files.
import Alpine from "../vendor/alpine-csp-3.15.12.min.js";
import { atFields } from "./fields.js";
import { dropped, leftOut, pictures, sendPicture } from "./files.js";

const AT_ONCE = 2;
const csrf = document.querySelector("meta[name=csrf]").content;
const headers = { "X-CSRF-TOKEN": csrf, Accept: "application/json" };

const counted = (count) => (count === 1 ? "1 picture" : `${count} pictures`);

Alpine.data("newSeries", () => ({
  told: "Or drop them on this page.",
  sending: false,
  waiting: [],
  running: 0,
  done: 0,
  all: 0,

  init() {
    document.addEventListener("dragover", (event) => event.preventDefault());
    document.addEventListener("drop", async (event) => {
      event.preventDefault();
      this.take(await dropped(event.dataTransfer));
    });
    window.addEventListener("beforeunload", (event) => this.sending && event.preventDefault());
    const marked = JSON.parse(sessionStorage.getItem("lantern.marked") || "[]");
    sessionStorage.removeItem("lantern.marked");
    for (const picture of marked) this.place(picture, this.card(picture.name));
    if (marked.length) this.tell();
  },
  bring(event) {
    this.take([...event.target.files]);
    event.target.value = "";
  },
  take(files) {
    const brought = pictures(files);
    if (files.length > brought.length) this.leave(leftOut(files.length - brought.length));
    for (const file of brought) this.waiting.push({ file, card: this.card(file.name) });
    this.all += brought.length;
    this.next();
  },
  card(name) {
    const card = document.createElement("figure");
    const says = document.createElement("span");
    card.className = "tray-picture";
    says.textContent = name;
    card.append(says);
    this.$refs.tray.append(card);
    return card;
  },
  next() {
    while (this.running < AT_ONCE && this.waiting.length) this.send1(this.waiting.shift());
    this.sending = this.running > 0;
    if (!this.sending) this.all = this.done = 0;
    this.tell();
  },
  tell() {
    const there = this.$refs.tray.querySelectorAll("[data-picture]").length;
    const waiting = there ? counted(there) : "Or drop them on this page.";
    this.told = this.sending ? `Bringing ${Math.min(this.done + 1, this.all)} of ${this.all} …` : waiting;
    this.$refs.sent.value = this.all ? this.done / this.all : 0;
  },
  async send1({ file, card }) {
    this.running++;
    try {
      this.place(await sendPicture(file, () => {}), card);
    } catch (problem) {
      card.remove();
      this.leave(problem.message);
    }
    this.running--;
    this.done++;
    this.next();
  },
  /** A picture that is there already is there once. */
  place({ id, name }, card) {
    if (this.$refs.tray.querySelector(`[data-picture="${id}"]`)) return card.remove();
    const image = new Image();
    image.src = `/pictures/${id}/small`;
    image.alt = "";
    image.loading = "lazy";
    const out = document.createElement("button");
    out.type = "button";
    out.className = "btn btn-quiet small";
    out.title = "Leave this picture out";
    out.setAttribute("aria-label", `Leave ${name} out`);
    out.innerHTML = '<i class="bi bi-x-lg" aria-hidden="true"></i>';
    out.addEventListener("click", () => {
      card.remove();
      this.tell();
    });
    card.dataset.picture = id;
    card.dataset.name = name;
    card.querySelector("span").textContent = name;
    card.prepend(image);
    card.append(out);
  },
  leave(message) {
    const line = document.createElement("li");
    line.className = "problem";
    line.setAttribute("role", "alert");
    line.textContent = message;
    this.$refs.out.append(line);
  },
  async send(event) {
    event.preventDefault();
    const { form } = this.$refs;
    const body = new FormData(form);
    const cards = [...this.$refs.tray.querySelectorAll("[data-picture]")];
    body.append("pictures", JSON.stringify(cards.map(({ dataset: { picture, name } }) => ({ id: picture, name }))));
    atFields(form, []);
    try {
      const response = await fetch("/series", { method: "POST", headers, body });
      const answer = await response.json();
      if (response.ok) window.location = answer.address;
      else atFields(form, [answer]);
    } catch {
      atFields(form, [{ field: "", message: "The server does not answer. Try again in a minute." }]);
    }
  },
}));

Alpine.start();
document.documentElement.dataset.ready = "true";
