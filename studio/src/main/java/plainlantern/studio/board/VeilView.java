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
 * @param parts  the latest first
 * @param more   how many there are before those
 * @param panels whose forms can be hidden
 * @param size   of a first brush
 * @param none   no length
 */
public record VeilView(Of of, boolean off, List<Part> parts, int more, List<Named> panels, String size, String none) {
    /**
     * What it is of.
     *
     * @param title   the selection in words
     * @param several whether others of the selection could have it, too
     * @param picture whether it is of a picture, and may rest on that or on the panel
     * @param onPanel whether it rests on the panel
     * @param glaze   whether it is of a glaze
     * @param layers  to choose from, the frontmost first; empty where there is but one
     */
    public record Of(String title, boolean several, boolean picture, boolean onPanel, boolean glaze, List<LayersView.Row> layers) {
        /** How parts of it can be hidden. */
        public List<Way> ways() {
            return picture || glaze ? WAYS : WAYS.stream().filter(way -> !way.key().equals("colours")).toList();
        }
    }

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
        List<Holder> all = sheet.chosen(selected).stream().flatMap(e -> e.holder().stream())
                .filter(h -> h.glaze().isPresent() || Veils.acting(h, looking.layer()) >= 0).toList();
        return all.stream().findFirst().map(holder -> {
            Veil veil = Veils.of(holder, looking.layer()).orElse(Veil.resting(Veils.first(holder, looking.layer())));
            int from = Math.max(0, veil.parts().size() - SHOWN);
            List<Part> parts = new ArrayList<>();
            for (int at = from; at < veil.parts().size(); at++) parts.add(part(sheet, veil.parts().get(at), at));
            Collections.reverse(parts);
            List<Named> panels = sheet.holders().stream().filter(h -> !selected.contains(h.id())).map(h -> new Named(h.id(), h.name()))
                    .toList();
            double size = Math.min(holder.seat().width(), holder.seat().height()) * FIRST;
            Of of = new Of(all.size() == 1 ? holder.name() : Element.counted(all), all.size() > 1,
                    Veils.first(holder, looking.layer()) == Veil.Rests.PICTURE, veil.rests() == Veil.Rests.PANEL,
                    holder.glaze().isPresent(), layers(sheet, holder, looking.layer()));
            return new VeilView(of, veil.off(), parts, from, panels, n.length(sheet.even(size)), n.length(0));
        });
    }

    private static List<LayersView.Row> layers(Sheet sheet, Holder holder, int wanted) {
        List<LayersView.Row> rows = new ArrayList<>();
        for (int at = holder.content().size() - 1; at >= 0; at--) {
            if (!holder.content().get(at).look().off())
                rows.add(LayersView.row(sheet, holder.content().get(at), at, at == Veils.acting(holder, wanted)));
        }
        return rows.size() > 1 ? rows : List.of();
    }

    private static Part part(Sheet sheet, VeilPart part, int at) {
        String label = part instanceof VeilPart.Form form ? sheet.find(form.panel()).map(Element::name).orElse("A panel that is gone")
                : part.label();
        return new Part(at, label, part.shows(), Unit.percent(part.strength()), "{\"at\":" + at + "}",
                !part.handles().isEmpty());
    }
}
