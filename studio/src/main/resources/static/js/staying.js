// Pictures that stay on the sheet while their panels are dragged: those of vistas that are looked through, or all where the form alone is
// moved.
import { panel, group } from "./sheet.js";
import { previewer } from "./server.js";
import { redraw, liveState } from "./marks.js";
import { matrixText } from "./geometry.js";

/** What of these panels stays behind. */
function staying(chosen, still) {
  return chosen.flatMap((id) => Object.entries(panel(id).pictures || {}).filter(([, p]) => still || p.vista && !p.carried)
    .map(([layer]) => ({ id, node: group(id).querySelector(`image[data-layer="${layer}"]`) })).filter(({ node }) => node));
}

/** Holds those pictures still while the panels {@code chosen} go along; answers where they went, and an end. */
export function stayPut(chosen, still) {
  const pictures = staying(chosen, still);
  const was = pictures.map(({ node }) => node.getAttribute("transform"));
  const maps = pictures.map(({ node }) => node.transform.baseVal.consolidate().matrix)
      .map(({ a, b, c, d, e, f }) => new DOMMatrix([a, b, c, d, e, f]));
  const hatched = chosen.map((id) => group(id).querySelector(".bare-area")).filter(Boolean);
  let ended = false;
  // What is covered then, only the server can tell.
  const state = previewer((result) => {
    if (ended || !result || chosen.length > 1) return;
    const holder = document.createElementNS("http://www.w3.org/2000/svg", "svg");
    holder.innerHTML = result.changed.find((part) => part.id === chosen[0])?.board || "";
    const next = holder.firstElementChild;
    if (!next) return;
    liveState(JSON.parse(next.dataset.panel).state);
    redraw.tag();
  });
  return {
    still,
    at(by) {
      if (!pictures.length) return;
      for (const hatch of hatched) hatch.setAttribute("visibility", "hidden");
      pictures.forEach(({ node }, i) => node.setAttribute("transform",
          matrixText(new DOMMatrix().translate(-by.x, -by.y).multiply(maps[i]))));
      if (chosen.length === 1) state.want({ kind: "move-panels", panels: chosen, dx: by.x, dy: by.y, still });
    },
    end() {
      ended = true;
      state.close();
      for (const hatch of hatched) hatch.removeAttribute("visibility");
      pictures.forEach(({ node }, i) => node.setAttribute("transform", was[i]));
    },
  };
}

/** Whether anything stays behind. */
stayPut.any = (chosen, still) => staying(chosen, still).length > 0;
