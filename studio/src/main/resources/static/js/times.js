// Times as whoever looks reads them: the hour of today, with the date before that.

/** "14:05", or "3 November, 14:05". */
export function told(instant) {
  const at = new Date(instant);
  const clock = at.toLocaleTimeString("en-GB", { hour: "2-digit", minute: "2-digit" });
  const now = new Date();
  if (at.toDateString() === now.toDateString()) return clock;
  const year = at.getFullYear() === now.getFullYear() ? {} : { year: "numeric" };
  return `${at.toLocaleDateString("en-GB", { day: "numeric", month: "long", ...year })}, ${clock}`;
}

/** Fills in the times of a part of the page. */
export function tellTimes(part) {
  for (const time of part.querySelectorAll("time[datetime]")) time.textContent = told(time.dateTime);
}

const saved = document.getElementById("kept");

/** Says when the sheet was last saved. */
export function tellSaved(instant) {
  saved.dataset.at = instant;
  saved.textContent = `Saved ${told(instant)}`;
}

if (saved) tellSaved(saved.dataset.at);
