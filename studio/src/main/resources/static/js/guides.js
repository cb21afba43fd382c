// Guides: lines that help to place are drawn over the board, pulled from the rulers, moved and thrown away.
import { sheet } from "./sheet.js";
import { view, toSheet, length } from "./view.js";
import { edit } from "./server.js";
import { extra, withGuides } from "./marks.js";
import { svg } from "./geometry.js";
import { catcher, text } from "./snaps.js";

const REACH = 4;
const thin = { "vector-effect": "non-scaling-stroke" };

const own = () => sheet.guides.filter((line) => line.why === "guide").map((line) => ({ upright: line.axis === "across", at: line.at }));

/** The guide of its own under a place in the well. */
export function guideAt(at) {
  const p = toSheet(at);
  const index = own().findIndex((g) => Math.abs((g.upright ? p.x : p.y) - g.at) * view.scale <= REACH);
  return index < 0 ? null : index;
}

/** Drags a guide: a new one from a ruler, or the one with that index. Off the sheet it is gone. */
export function drag(upright, index = null) {
  const rest = own().filter((_, i) => i !== index);
  const catching = catcher([]);
  const inside = (at) => at >= 0 && at <= (upright ? sheet.width : sheet.height);
  let at = null;
  return {
    move(event, place) {
      const p = toSheet(place);
      at = catching.side(upright ? "across" : "down", upright ? p.x : p.y, [0, 0, 0, 0], event.ctrlKey || event.metaKey).at;
      const far = 1e5;
      const d = upright ? `M${at} ${-far}V${far}` : `M${-far} ${at}H${far}`;
      extra(svg("path", { class: "guide own", d, ...thin }), text(p, inside(at) ? length(at) : "let go to remove"));
    },
    end(moved) {
      extra();
      if (moved && at !== null) edit({ kind: "set-guides", own: inside(at) ? [...rest, { upright, at }] : rest });
    },
    cancel: () => extra(),
  };
}

/** The shown guides as marks in sheet millimetres. */
function drawn() {
  return sheet.guides.flatMap(({ axis, at, from, to, why }) => [...(why === "bleed" ? [] : ["guide-casing"]),
      `guide ${why === "guide" ? "own" : why}`].map((name) => svg("path", { class: name, ...thin,
    d: axis === "across" ? `M${at} ${from}V${to}` : `M${from} ${at}H${to}` })));
}

withGuides(drawn);
