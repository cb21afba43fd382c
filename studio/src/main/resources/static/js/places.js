// The fields that tell a place follow a drag while it runs.
import { length } from "./view.js";

const bench = document.getElementById("bench");

/** Shows where the left and the top of what is dragged are, mm. */
export function shown(left, top) {
  for (const [name, at] of [["left", left], ["top", top]]) {
    const field = bench.querySelector(`input[data-edit="seat-panels"][data-field="${name}"]`);
    if (field && document.activeElement !== field) field.value = length(at);
  }
}

/** Back to what the server said, where nothing came of the drag. */
export function told() {
  for (const field of bench.querySelectorAll('input[data-edit="seat-panels"]'))
    if (document.activeElement !== field) field.value = field.defaultValue;
}
