// Where the paper is drawn. It is a layer of its own, so that dragging all panels paints nothing anew; but what blends with it has to lie
// in one drawing with it.
const board = document.getElementById("board");
const panels = document.getElementById("panels");
const ground = document.getElementById("ground");
const below = document.getElementById("below");

/** Whether anything on the board blends with what is behind all panels. */
export const blends = () => ground.parentNode === board;

/** Puts the paper where it belongs for what is on the board now. */
export function bed() {
  const wanted = panels.querySelector(':scope > .panel > [class^="blend-"]') ? board : below;
  if (ground.parentNode === wanted) return;
  if (wanted === board) board.insertBefore(ground, panels);
  else below.prepend(ground);
}

bed();
