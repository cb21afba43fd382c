package plainlantern.studio.board;

import java.util.List;
import java.util.function.Function;
import plainlantern.fitting.PanelState;
import plainlantern.rendering.BoardPainter;
import plainlantern.scene.Scene.PictureLayer;
import plainlantern.sheet.Panel;
import plainlantern.sheet.Role;
import plainlantern.sheet.Sheet;

/** The cards of the line-up, from back to front, and what is said about all of them. */
public record LineUpView(String count, String states, List<Card> cards) {
    /** One panel's card; {@code drawing} is SVG made of numbers and ids only. */
    public record Card(String id, String name, String state, Role role, boolean locked, boolean hidden, String drawing) {}

    static LineUpView of(Sheet sheet, List<Panel> shown, Function<PictureLayer, String> href) {
        List<Panel> panels = sheet.panels();
        String count = panels.stream().allMatch(p -> p.role() == Role.PANEL) ? counted(panels.size(), "panel") : counted(panels.size(), "element");
        return new LineUpView(count, states(sheet, panels), shown.stream().map(p -> new Card(p.id(), p.name(),
                PanelState.of(sheet, p).label(), p.role(), p.locked(), p.hidden(), BoardPainter.card(sheet, p, href))).toList());
    }

    private static String counted(int count, String what) {
        return count + " " + what + (count == 1 ? "" : "s");
    }

    /** "all covered", or the worst first: "2 empty, 1 bare"; of those that show pictures, nothing where none does. */
    private static String states(Sheet sheet, List<Panel> panels) {
        List<PanelState> states = panels.stream().filter(p -> p.role().takesPictures()).map(p -> PanelState.of(sheet, p)).toList();
        if (states.size() < 2) return states.isEmpty() ? "" : states.get(0).label();
        StringBuilder out = new StringBuilder();
        for (PanelState state : PanelState.values()) {
            long count = states.stream().filter(s -> s == state).count();
            if (count == states.size()) return "all " + state.label();
            if (count == 0 || state == PanelState.COVERED) continue;
            out.append(out.isEmpty() ? "" : ", ").append(count).append(' ').append(state.label());
        }
        return out.toString();
    }
}
