package plainlantern.sheet;

import com.fasterxml.jackson.annotation.JsonIgnore;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import plainlantern.geometry.BadInput;
import plainlantern.geometry.Box;
import plainlantern.geometry.Unit;
import plainlantern.pattern.Pattern;

/**
 * One sheet, whole and immutable.
 *
 * @param unit     what people read and type; inside all lengths are mm
 * @param width    mm
 * @param height   mm
 * @param ppi      pixels an inch that the result is meant for
 * @param bleed    mm beyond the trim on each side
 * @param shelf    the pictures of the sheet, in the order they came
 * @param elements from back to front
 * @param lastId   the highest number given to an element so far; ids are never used twice
 * @param layouts  the patterns that its panels came from, each with its numbers
 * @param guides   lines that help to place
 * @param styles   its palette and its named finishes
 * @param limits   from where on something on it counts as a fault
 * @param vistas   the pictures that several panels share; one that no panel shows any more is forgotten
 */
public record Sheet(String name, Unit unit, double width, double height, double ppi, double bleed, Margins margins,
                    Paper paper, List<Picture> shelf, List<Element> elements, int lastId, List<Layout> layouts, Guides guides, List<Vista> vistas, Styles styles, Limits limits) {
    public static final int MOST_ELEMENTS = Pattern.MOST;
    private static final double SMALLEST_SIDE = 1;
    private static final double LARGEST_SIDE = 5000;

    public Sheet {
        shelf = List.copyOf(shelf);
        elements = List.copyOf(elements);
        layouts = layouts == null ? List.of() : List.copyOf(layouts);
        guides = guides == null ? Guides.FIRST : guides;
        limits = limits == null ? Limits.FIRST : limits;
        styles = styles == null ? Styles.NONE : styles;
        vistas = vistas == null ? List.of() : seen(vistas, elements);
        name = name.strip();
        BadInput.unless(!name.isEmpty(), "name", "A sheet needs a name.");
        BadInput.unless(name.length() <= 120, "name", "A name has at most 120 characters.");
        BadInput.unless(width >= SMALLEST_SIDE && width <= LARGEST_SIDE, "width", "A sheet is between 1 mm and 5 m wide.");
        BadInput.unless(height >= SMALLEST_SIDE && height <= LARGEST_SIDE, "height", "A sheet is between 1 mm and 5 m high.");
        BadInput.unless(ppi >= 1 && ppi <= 2400, "ppi", "Pixels per inch go from 1 to 2400.");
        BadInput.unless(bleed >= 0 && bleed <= 50, "bleed", "Bleed goes from 0 to 50 mm.");
        BadInput.unless(elements.size() <= MOST_ELEMENTS, "panels", "A sheet holds at most " + MOST_ELEMENTS + " panels.");
        Set<String> kept = styles.finishes().stream().map(NamedFinish::id).collect(Collectors.toSet());
        for (Element element : elements) {
            if (element instanceof Panel panel) BadInput.unless(panel.finish().named().map(kept::contains).orElse(true), "panels", "A panel follows a finish that is not there.");
        }
        Set<String> ids = new HashSet<>();
        for (Element element : elements) {
            BadInput.unless(ids.add(element.id()), "panels", "Two elements have the id " + element.id() + ".");
        }
    }

    /**
     * An empty white sheet with 3 mm or an eighth of an inch of bleed (common practice) and margins of a twentieth of the shorter side,
     * rounded to its unit.
     */
    public static Sheet empty(String name, Unit unit, double width, double height, double ppi) {
        double bleed = unit == Unit.PX ? 0 : unit == Unit.IN ? Unit.MM_PER_INCH / 8 : 3;
        double margin = unit == Unit.PX || unit == Unit.IN ? even(Math.min(width, height) / 20, unit, ppi)
                : Math.rint(Math.min(width, height) / 20);
        return new Sheet(name, unit, width, height, ppi, bleed, Margins.all(margin > 0 ? margin : 0), new Paper.Plain(Colour.WHITE),
                List.of(), List.of(), 0, List.of(), Guides.FIRST, List.of(), Styles.NONE, Limits.FIRST);
    }

    @JsonIgnore
    public List<Panel> panels() {
        return elements.stream().filter(Panel.class::isInstance).map(Panel.class::cast).toList();
    }

    /** The panel with that id; throws {@link Gone} where there is none. */
    public Panel panel(String id) {
        return panels().stream().filter(p -> p.id().equals(id)).findFirst()
                .orElseThrow(() -> new Gone("That panel is no longer on the sheet."));
    }

    public List<Panel> panels(Collection<String> ids) {
        Set<String> wanted = new HashSet<>(ids);
        List<Panel> found = panels().stream().filter(p -> wanted.contains(p.id())).toList();
        if (found.size() < wanted.size()) throw new Gone("One of those panels is no longer on the sheet.");
        BadInput.unless(!found.isEmpty(), "panels", "Select a panel first.");
        return found;
    }

    /** Those of the panels that are there, in the order in which they were chosen. */
    public List<Panel> chosen(Collection<String> ids) {
        Map<String, Panel> byId = panels().stream().collect(Collectors.toMap(Panel::id, p -> p));
        return ids.stream().distinct().filter(byId::containsKey).map(byId::get).toList();
    }

    /** Those of the panels that pictures are put into; throws {@link BadInput} where all are captions and rules. */
    public List<String> takers(Collection<String> ids) {
        List<String> takers = panels(ids).stream().filter(p -> p.role().takesPictures()).map(Panel::id).toList();
        BadInput.unless(!takers.isEmpty(), "panels", "Captions and rules hold no pictures. Select a panel.");
        return takers;
    }

    /** Those of the panels that are not locked; throws {@link BadInput} where all are. */
    public List<Panel> free(Collection<String> ids) {
        List<Panel> free = panels(ids).stream().filter(p -> !p.locked()).toList();
        BadInput.unless(!free.isEmpty(), "panels", ids.size() == 1 ? "This panel is locked. Unlock it first." : "These panels are locked. Unlock them first.");
        return free;
    }

    /** The layout that the panel belongs to, if it came from a pattern. */
    public Optional<Layout> layoutOf(String panel) {
        return layouts.stream().filter(l -> l.panels().contains(panel)).findFirst();
    }

    /** The picture with that id; throws {@link Gone} where the shelf has none. */
    public Picture picture(String id) {
        return shelf.stream().filter(p -> p.id().equals(id)).findFirst()
                .orElseThrow(() -> new Gone("That picture is no longer on the shelf."));
    }

    /** The panels that show the picture, alone or as a part of a vista, from back to front. */
    public List<Panel> users(String picture) {
        Set<String> through = new HashSet<>();
        for (Vista vista : vistas) if (vista.picture().equals(picture)) through.add(vista.id());
        return panels().stream().filter(p -> p.content().stream().anyMatch(c -> c instanceof Content.OwnPicture own && own.picture().equals(picture))
                || p.slice().map(s -> through.contains(s.vista())).orElse(false)).toList();
    }

    /** The vista with that id; throws {@link Gone} where there is none. */
    public Vista vista(String id) {
        return vistas.stream().filter(v -> v.id().equals(id)).findFirst().orElseThrow(() -> new Gone("That vista is no longer on the sheet."));
    }

    /** The panels through which a vista is seen, from back to front. */
    public List<Panel> members(String vista) {
        return panels().stream().filter(p -> p.slice().map(s -> s.vista().equals(vista)).orElse(false)).toList();
    }

    private static List<Vista> seen(List<Vista> vistas, List<Element> elements) {
        Set<String> shown = new HashSet<>();
        for (Element element : elements) if (element instanceof Panel panel) panel.slice().ifPresent(slice -> shown.add(slice.vista()));
        List<Vista> kept = vistas.stream().filter(v -> shown.contains(v.id())).toList();
        BadInput.unless(kept.size() == shown.size(), "vista", "A panel shows a vista that is not there.");
        return kept;
    }

    /** The sheet without its margins, where patterns go; empty when the margins leave nothing. */
    public Optional<Box> area() {
        double across = width - margins.left() - margins.right();
        double down = height - margins.top() - margins.bottom();
        return across > 0 && down > 0 ? Optional.of(new Box(margins.left(), margins.top(), across, down)) : Optional.empty();
    }

    /** A length as people read it: "12.40 mm", in the sheet's unit. */
    public String length(double mm) {
        return unit.show(mm, ppi) + " " + unit.symbol();
    }

    /**
     * A length that nobody typed as it is set on this sheet: whole pixels in pixels, one at least; quarters, eighths or hundredths of an
     * inch in inches, the finer the smaller it is; else as it is.
     */
    public double even(double mm) {
        return even(mm, unit, ppi);
    }

    private static double even(double mm, Unit unit, double ppi) {
        if (mm == 0) return 0;
        double value = mm / unit.inMm(ppi);
        return switch (unit) {
            case PX -> Math.max(1, Math.rint(value)) * unit.inMm(ppi);
            case IN -> (value < 1 / 8.0 ? Math.max(1, Math.rint(value * 100)) / 100 : value < 3 / 8.0 ? Math.rint(value * 8) / 8
                    : Math.rint(value * 4) / 4) * unit.inMm(ppi);
            default -> mm;
        };
    }

    /** The trim box. */
    @JsonIgnore
    public Box bounds() {
        return new Box(0, 0, width, height);
    }

    /** Whether a place, mm, is on the sheet; its edges are. */
    public boolean reaches(double x, double y) {
        return x >= 0 && x <= width && y >= 0 && y <= height;
    }

    /** As {@link #changing}, for those of the panels that are not locked. */
    public Sheet moving(Collection<String> ids, UnaryOperator<Panel> change) {
        return changing(free(ids).stream().map(Panel::id).toList(), change);
    }

    /** The same sheet with each of those panels replaced by what {@code change} makes of it. */
    public Sheet changing(Collection<String> ids, UnaryOperator<Panel> change) {
        Set<String> wanted = new HashSet<>();
        for (Panel panel : panels(ids)) wanted.add(panel.id());
        List<Element> next = new ArrayList<>();
        for (Element element : elements) {
            next.add(element instanceof Panel panel && wanted.contains(panel.id()) ? change.apply(panel) : element);
        }
        return with(next);
    }

    /** The same sheet with a new panel in front of all others; its number is the next one, {@code lastId + 1}. */
    public Sheet adding(Panel front) {
        List<Element> next = new ArrayList<>(elements);
        next.add(front);
        return with(next, lastId + 1);
    }

    public Sheet with(List<Element> newElements) {
        return with(newElements, lastId);
    }

    public Sheet with(List<Element> newElements, int newLastId) {
        return new Sheet(name, unit, width, height, ppi, bleed, margins, paper, shelf, newElements, newLastId, layouts, guides, vistas, styles, limits);
    }

    public Sheet withShelf(List<Picture> newShelf) {
        return new Sheet(name, unit, width, height, ppi, bleed, margins, paper, newShelf, elements, lastId, layouts, guides, vistas, styles, limits);
    }

    public Sheet withMargins(Margins newMargins) {
        return new Sheet(name, unit, width, height, ppi, bleed, newMargins, paper, shelf, elements, lastId, layouts, guides, vistas, styles, limits);
    }

    public Sheet withPaper(Paper newPaper) {
        return new Sheet(name, unit, width, height, ppi, bleed, margins, newPaper, shelf, elements, lastId, layouts, guides, vistas, styles, limits);
    }

    public Sheet withLayouts(List<Layout> newLayouts) {
        return new Sheet(name, unit, width, height, ppi, bleed, margins, paper, shelf, elements, lastId, newLayouts, guides, vistas, styles, limits);
    }

    public Sheet withStyles(Styles newStyles) {
        return new Sheet(name, unit, width, height, ppi, bleed, margins, paper, shelf, elements, lastId, layouts, guides, vistas, newStyles, limits);
    }

    public Sheet withLimits(Limits newLimits) {
        return new Sheet(name, unit, width, height, ppi, bleed, margins, paper, shelf, elements, lastId, layouts, guides, vistas, styles, newLimits);
    }

    public Sheet withGuides(Guides newGuides) {
        return new Sheet(name, unit, width, height, ppi, bleed, margins, paper, shelf, elements, lastId, layouts, newGuides, vistas, styles, limits);
    }

    /** The same sheet with its elements and its vistas changed together. */
    public Sheet with(List<Element> newElements, int newLastId, List<Vista> newVistas) {
        return new Sheet(name, unit, width, height, ppi, bleed, margins, paper, shelf, newElements, newLastId, layouts, guides, newVistas, styles, limits);
    }

    /** The same sheet with that vista in place of the one with its id. */
    public Sheet with(Vista changed) {
        return with(elements, lastId, vistas.stream().map(v -> v.id().equals(changed.id()) ? changed : v).toList());
    }

    /** The same sheet in another unit and size; what is on it stays where it is. */
    public Sheet formed(Unit newUnit, double newWidth, double newHeight, double newPpi, double newBleed) {
        return new Sheet(name, newUnit, newWidth, newHeight, newPpi, newBleed, margins, paper, shelf, elements, lastId, layouts, guides, vistas, styles, limits);
    }

    public Sheet named(String newName) {
        return new Sheet(newName, unit, width, height, ppi, bleed, margins, paper, shelf, elements, lastId, layouts, guides, vistas, styles, limits);
    }
}
