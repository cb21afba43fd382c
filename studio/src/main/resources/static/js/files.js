// Files that people bring: which are pictures, what a drop holds, sending one.
const MOST_BYTES = 80 * 1024 * 1024;
const csrf = document.querySelector("meta[name=csrf]").content;

export const isPicture = (file) => /\.(jpe?g|jpe|jfif|png|webp|gif|bmp|dib|tiff?)$/i.test(file.name);

/** Those that look like pictures, by their places in their folders, numbers as numbers. */
export function pictures(files) {
  const place = (file) => file.webkitRelativePath || file.name;
  return files.filter(isPicture).sort((a, b) => place(a).localeCompare(place(b), undefined, { numeric: true }));
}

/** What is said of so many files that are none. */
export const leftOut = (count) => (count === 1 ? "One file is no picture and was left out."
  : `${count} files are no pictures and were left out.`);

/**
 * The files of a drop, folders opened up. Must be called while the drop is being handled.
 * Of those in folders only what is {@code wanted} comes.
 */
export async function dropped(transfer, wanted = () => true) {
  const entries = [...transfer.items].map((item) => item.webkitGetAsEntry?.()).filter(Boolean);
  if (!entries.some((entry) => entry.isDirectory)) return [...transfer.files];
  const files = [];
  const open = async (entry) => {
    if (entry.isFile) {
      const file = await new Promise((resolve, reject) => entry.file(resolve, reject));
      if (entries.includes(entry) || wanted(file)) files.push(file);
      return;
    }
    const reader = entry.createReader();
    for (let some; (some = await new Promise((resolve, reject) => reader.readEntries(resolve, reject))).length;)
      for (const one of some) await open(one);
  };
  for (const entry of entries) await open(entry);
  return files;
}

/** Sends one file; {@code progress} hears shares from 0 to 1. Resolves to the picture, rejects with {message}. */
export function sendPicture(file, progress) {
  return new Promise((resolve, reject) => {
    if (file.size > MOST_BYTES) {
      reject({ message: `${file.name} has ${(file.size / 1048576).toFixed(1)} MB; at most 80 MB can be imported.` });
      return;
    }
    const request = new XMLHttpRequest();
    const body = new FormData();
    body.append("file", file);
    request.open("POST", "/pictures");
    request.setRequestHeader("X-CSRF-TOKEN", csrf);
    request.setRequestHeader("Accept", "application/json");
    request.responseType = "json";
    request.upload.onprogress = (event) => progress(event.loaded / event.total);
    request.onerror = () => reject({ message: `${file.name} could not be sent: the server does not answer.` });
    request.onload = () => request.status === 200 ? resolve(request.response)
      : reject({ message: request.response?.message || `${file.name} could not be imported.` });
    request.send(body);
  });
}
