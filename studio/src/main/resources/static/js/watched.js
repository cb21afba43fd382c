// What the server shows of edits that are not made yet, while something is dragged.
import { sheet, remember, drawPreview } from "./sheet.js";
import { previewer } from "./server.js";
import { redraw } from "./marks.js";

/** Has the server show what edits of these panels would give, until it is closed or given up. */
export function watched(chosen) {
  const vistas = sheet.vistas;
  const back = remember(chosen);
  const live = previewer((result) => {
    const loading = (result?.changed || []).map((part) => drawPreview(part.id, part.board, true));
    if (result) sheet.vistas = result.vistas;
    redraw();
    return Promise.all(loading);
  });
  const restore = () => {
    live.close();
    sheet.vistas = vistas;
    back();
    redraw();
  };
  return { want: live.want, close: live.close, back, restore };
}
