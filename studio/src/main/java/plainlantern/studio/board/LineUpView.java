package plainlantern.studio.board;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import plainlantern.fitting.PanelState;
import plainlantern.rendering.Addresses;
import plainlantern.rendering.BoardPainter;
import plainlantern.sheet.Element;
import plainlantern.sheet.Glaze;
import plainlantern.sheet.Holder;
import plainlantern.sheet.Sheet;

/** The cards of the line-up, from back to front, and what is said about all of them. */
public record LineUpView(String count, String states, List<Card> cards) {
    /**
     * One element's card; {@code takes} tells whether pictures are put into it, {@code drawing} is SVG made of numbers and ids only, or
     * nothing where the page draws it.
     */
    public record Card(String id, String name, String state, String kind, boolean takes, boolean locked, boolean hidden, boolean overAll,
                       String drawing) {}

    /** More cards than so many are drawn by the page, as they come into sight; it begins with so many and gets the others later. */
    static final int MANY = 300;

    public boolean many() {
        return cards.size() > MANY;
    }

    /** Those that the page begins with. */
    public List<Card> first() {
        return cards.subList(0, Math.min(MANY, cards.size()));
    }

    /** @param shown those whose cards are drawn */
    static LineUpView of(Sheet sheet, List<BoardPainter> shown, Addresses href) {
        return new LineUpView(Element.counted(sheet.elements()), states(sheet, shown),
                cards(shown, shown.size() > MANY ? Optional.empty() : Optional.of(href)));
    }

    /** The cards that a page begins without: it draws them itself. */
    static LineUpView rest(List<BoardPainter> all) {
        return new LineUpView("", "", cards(all.subList(Math.min(MANY, all.size()), all.size()), Optional.empty()));
    }

    private static List<Card> cards(List<BoardPainter> shown, Optional<Addresses> href) {
        return shown.stream().map(drawn -> card(drawn, href)).toList();
    }

    private static Card card(BoardPainter drawn, Optional<Addresses> href) {
        Element element = drawn.element();
        return new Card(element.id(), element.name(), drawn.state().label(), element.kind(), takes(element), element.locked(),
                element.hidden(), element.glaze().filter(Glaze::whole).isPresent(), href.map(drawn::card).orElse(""));
    }

    /** "all covered", or the worst first: "2 empty, 1 bare"; of those that show pictures, nothing where none does. */
    private static String states(Sheet sheet, List<BoardPainter> shown) {
        Map<String, PanelState> known = new HashMap<>();
        for (BoardPainter drawn : shown) known.put(drawn.element().id(), drawn.state());
        List<PanelState> states = sheet.elements().stream().filter(LineUpView::takes)
                .map(e -> known.containsKey(e.id()) ? known.get(e.id()) : PanelState.of(sheet, e)).toList();
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
