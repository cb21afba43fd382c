// What the pointer holds instead of panels: a knife, the frame of an area, a pattern's cells. Only one at a time.
import { changed, watch } from "./sheet.js";
import { above, extra } from "./marks.js";

const well = document.getElementById("well");

/**
 * The tool that is held; its name is empty when none is. One that works {@code anywhere} has every press, whatever is there and in any
 * stage.
 */
export const tool = { name: "", press: null, hover: null, anywhere: false };

export function hold(next) {
  Object.assign(tool, { release: null, hover: null, cursor: "", anywhere: false }, next);
  well.dataset.tool = tool.cursor || "";
  changed("tool");
}

export function release() {
  if (!tool.name) return false;
  const { release: after } = tool;
  hold({ name: "", press: null });
  extra();
  above();
  after?.();
  return true;
}

watch((what) => what === "stage" && release());
