package plainlantern.studio.board;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import plainlantern.asking.Unit;
import plainlantern.fitting.Veils;
import plainlantern.sheet.Element;
import plainlantern.sheet.Holder;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.Veil;
import plainlantern.sheet.VeilPart;

/**
 * What Tone shows of a veil.
 *
 * @param glaze   whether it is of a glaze, on which it always rests
 * @param onPanel whether it rests on the panel
 * @param parts   the latest first
 * @param more    how many there are before those
 * @param panels  whose forms can be hidden
 * @param size    of a first brush
 * @param none    no length
 */
public record VeilView(boolean glaze, boolean onPanel, boolean off, List<Part> parts, int more, List<Named> panels, String size,
        String none) {
    /** How parts are hidden. */
    public static final List<Way> WAYS = List.of(new Way("stroke", "Brush", "Paint over what is to go"),
            new Way("gradient", "Gradient", "From hidden to whole"), new Way("colours", "Colour", "All that has a colour"),
            new Way("form", "Form", "Where another panel lies"));
    private static final int SHOWN = 8;
    /** A first brush is so much of the panel's shorter side. */
    private static final double FIRST = 0.15;

    /** @param key as an edit calls it */
    public record Way(String key, String label, String title) {}

    /**
     * @param args  what an edit of it says of it
     * @param grabs whether it can be moved on the board
     */
    public record Part(int at, String label, boolean shows, String strength, String args, boolean grabs) {}

    public record Named(String id, String name) {}

    static Optional<VeilView> of(Sheet sheet, Collection<String> selected, Looking looking, Numbers n) {
        Optional<Holder> first = sheet.chosen(selected).stream().flatMap(e -> e.holder().stream())
                .filter(h -> h.glaze().isPresent() || h.acting(looking.layer()) >= 0).findFirst();
        return first.map(holder -> {
            Veil veil = Veils.of(holder, looking.layer()).orElse(Veil.resting(Veil.Rests.PICTURE));
            int from = Math.max(0, veil.parts().size() - SHOWN);
            List<Part> parts = new ArrayList<>();
            for (int at = from; at < veil.parts().size(); at++) parts.add(part(sheet, veil.parts().get(at), at));
            Collections.reverse(parts);
            List<Named> panels = sheet.holders().stream().filter(h -> !selected.contains(h.id())).map(h -> new Named(h.id(), h.name()))
                    .toList();
            double size = Math.min(holder.seat().width(), holder.seat().height()) * FIRST;
            return new VeilView(holder.glaze().isPresent(), veil.rests() == Veil.Rests.PANEL, veil.off(), parts, from, panels,
                    n.length(sheet.even(size)), n.length(0));
        });
    }

    private static Part part(Sheet sheet, VeilPart part, int at) {
        String label = part instanceof VeilPart.Form form ? sheet.find(form.panel()).map(Element::name).orElse("A panel that is gone")
                : part.label();
        return new Part(at, label, part.shows(), Unit.percent(part.strength()), "{\"at\":" + at + "}",
                !part.handles().isEmpty());
    }
}
