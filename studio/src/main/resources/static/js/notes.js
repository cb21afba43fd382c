// Short messages over the line-up.

/** Shows {@code text} for a while; the message itself, to take it away sooner. */
export function say(text, { fault = false, lasting = fault ? 9000 : 4000, deed = "", then = null } = {}) {
  const note = document.createElement("div");
  note.className = fault ? "say fault" : "say";
  note.append(text);
  if (deed) {
    const button = document.createElement("button");
    button.type = "button";
    button.className = "say-deed";
    button.append(deed);
    button.onclick = () => {
      note.remove();
      then();
    };
    note.append(button);
  }
  const close = document.createElement("button");
  close.type = "button";
  close.ariaLabel = "Close";
  close.append("×");
  close.onclick = () => note.remove();
  note.append(close);
  const notes = document.getElementById("notes");
  notes.replaceChildren(...[...notes.children].slice(-2), note);
  setTimeout(() => note.remove(), lasting);
  return note;
}
