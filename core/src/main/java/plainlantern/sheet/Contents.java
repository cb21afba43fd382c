package plainlantern.sheet;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import plainlantern.asking.BadInput;
import plainlantern.geometry.Box;
import plainlantern.pattern.Pattern;
import tools.jackson.databind.annotation.JsonDeserialize;
import tools.jackson.databind.annotation.JsonSerialize;

/**
 * What lies on a sheet and behind it.
 *
 * @param shelf    the pictures of the sheet, in the order they came
 * @param elements from back to front
 * @param lastId   the highest number given to an element so far; ids are never used twice
 * @param layouts  the patterns that its panels came from, each with its numbers
 * @param vistas   the pictures that several panels share; one that no panel shows any more is forgotten
 */
public record Contents(Paper paper, List<Picture> shelf,
                       @JsonSerialize(contentUsing = SheetText.Writer.class) @JsonDeserialize(contentUsing = SheetText.Reader.class)
                       List<Element> elements,
                       int lastId, List<Layout> layouts, List<Vista> vistas) {
    public static final int MOST_ELEMENTS = Pattern.MOST;

    /** Each looks at all that lies beneath it, other glazes, too. */
    public static final int MOST_GLAZES = 20;

    public Contents {
        ById<Picture> pictures = ById.of(shelf, Picture::id, "pictures");
        ById<Element> all = ById.of(elements, Element::id, "elements");
        ById<Vista> seen = ById.of(seen(vistas == null ? List.of() : vistas, all), Vista::id, "vistas");
        layouts = layouts == null ? List.of() : List.copyOf(layouts);
        BadInput.unless(paper != null, "paper", "A sheet needs a paper, or none.");
        BadInput.unless(all.size() <= MOST_ELEMENTS, "panels", "A sheet holds at most " + MOST_ELEMENTS + " panels.");
        BadInput.unless(all.stream().filter(e -> e.glaze().isPresent()).count() <= MOST_GLAZES, "panels",
                "A sheet holds at most " + MOST_GLAZES + " glazes.");
        paper.pictured().ifPresent(pictured -> there(pictures, pictured.picture()));
        for (Vista vista : seen) there(pictures, vista.picture());
        for (Element element : all) {
            element.holder().ifPresent(holder -> {
                for (Content layer : holder.content()) {
                    layer.picture().flatMap(PictureLayer::own).ifPresent(own -> there(pictures, own.picture()));
                }
            });
        }
        shelf = pictures;
        elements = all;
        vistas = seen;
    }

    private static void there(ById<Picture> shelf, String picture) {
        if (!shelf.has(picture)) throw new Gone("That picture is no longer on the shelf.");
    }

    /** Those of the vistas that are shown; throws where one that is shown is missing. */
    private static List<Vista> seen(List<Vista> vistas, List<Element> elements) {
        Set<String> shown = new HashSet<>();
        for (Element element : elements) element.holder().flatMap(Holder::slice).ifPresent(slice -> shown.add(slice.vista()));
        if (vistas.stream().allMatch(v -> shown.contains(v.id())) && vistas.size() == shown.size()) return vistas;
        List<Vista> kept = vistas.stream().filter(v -> shown.contains(v.id())).toList();
        BadInput.unless(kept.size() == shown.size(), "vista", "A panel shows a vista that is not there.");
        return kept;
    }

    /** The same with glazes that lie over the whole sheet over that box. */
    Contents glazed(Box sheet) {
        if (elements.stream().allMatch(e -> e.glaze().map(g -> g.over(sheet) == g).orElse(true))) return this;
        return holding(elements.stream().map(e -> e.glaze().<Element>map(g -> g.over(sheet)).orElse(e)).toList(), lastId, vistas);
    }

    public Contents onPaper(Paper newPaper) {
        return new Contents(newPaper, shelf, elements, lastId, layouts, vistas);
    }

    public Contents shelving(List<Picture> newShelf) {
        return new Contents(paper, newShelf, elements, lastId, layouts, vistas);
    }

    public Contents laidOut(List<Layout> newLayouts) {
        return new Contents(paper, shelf, elements, lastId, newLayouts, vistas);
    }

    public Contents holding(List<Element> newElements, int newLastId, List<Vista> newVistas) {
        return new Contents(paper, shelf, newElements, newLastId, layouts, newVistas);
    }
}
