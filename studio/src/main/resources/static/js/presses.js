// Presses on the well that come twice at one place: pointer events do not count them.
const well = document.getElementById("well");
/** Milliseconds and pixels within which two presses belong together. */
const SOON = 450;
const NEAR = 5;
let last = null;
let second = false;

well.addEventListener("pointerdown", (event) => {
  second = Boolean(last) && event.button === last.button && event.timeStamp - last.timeStamp < SOON
      && Math.hypot(event.clientX - last.clientX, event.clientY - last.clientY) < NEAR;
  last = second ? null : event;
}, true);

// What is done in between parts them.
window.addEventListener("keydown", () => (last = null), true);

/** Whether the press at hand is the second of a double click. */
export const twice = () => second;
