package plainlantern.studio.board;

import java.util.List;
import java.util.function.Function;
import plainlantern.fitting.PanelState;
import plainlantern.rendering.BoardPainter;
import plainlantern.scene.Scene.PaintedPicture;
import plainlantern.sheet.Element;
import plainlantern.sheet.Holder;
import plainlantern.sheet.Sheet;

/** The cards of the line-up, from back to front, and what is said about all of them. */
public record LineUpView(String count, String states, List<Card> cards) {
    /** One element's card; {@code takes} tells whether pictures are put into it, {@code drawing} is SVG made of numbers and ids only. */
    public record Card(String id, String name, String state, String kind, boolean takes, boolean locked, boolean hidden, String drawing) {}

    static LineUpView of(Sheet sheet, List<? extends Element> shown, Function<PaintedPicture, String> href) {
        List<Element> panels = sheet.elements();
        String count = Element.counted(panels);
        return new LineUpView(count, states(sheet, panels), shown.stream().map(p -> new Card(p.id(), p.name(),
                PanelState.of(sheet, p).label(), p.kind(), takes(p), p.locked(), p.hidden(), BoardPainter.card(sheet, p, href))).toList());
    }

    /** "all covered", or the worst first: "2 empty, 1 bare"; of those that show pictures, nothing where none does. */
    private static String states(Sheet sheet, List<Element> panels) {
        List<PanelState> states = panels.stream().filter(LineUpView::takes)
                .map(p -> PanelState.of(sheet, p)).toList();
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

    private static boolean takes(Element element) {
        return element.holder().map(Holder::takesPictures).orElse(false);
    }
}
