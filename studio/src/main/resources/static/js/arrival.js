// A page of very many panels begins with their forms alone. The rest stands in its text, a line each, and is put in once the page is there,
// some panels in each frame, from the back to the front, or at once where somebody asks for one.
/** So many in one frame: each frame that changes some has the browser paint all of them. */
const EACH = 1000;

const text = document.getElementById("arriving");
const groups = document.getElementById("panels").children;
const rests = text ? text.textContent.split("\n").map((line) => line.split("\t")) : [];
const waiting = new Map([...rests.keys()].map((i) => [groups[i], rests[i]]));
text?.remove();

/** The numbers that the server sent with a panel's group, as JSON. */
export const numbers = (group) => group.dataset.panel ?? waiting.get(group)[0];

/** A panel's group with all that belongs into it. */
export function whole(group) {
  const rest = waiting.get(group);
  if (!rest) return group;
  waiting.delete(group);
  group.dataset.panel = rest[0];
  group.insertAdjacentHTML("beforeend", rest[1]);
  return group;
}

/** Has everything arrive now: for what is done with all panels at once. */
export const arriveNow = () => [...waiting.keys()].forEach(whole);

/** Has everything arrive that waits, if anything does; {@code then} is called when it is there. */
export function arrive(then) {
  [...waiting.keys()].slice(0, EACH).forEach(whole);
  if (waiting.size) requestAnimationFrame(() => arrive(then));
  else then();
}
