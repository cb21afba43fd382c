package plainlantern.sheet;

import com.fasterxml.jackson.annotation.JsonIgnore;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import plainlantern.asking.BadInput;
import plainlantern.asking.Unit;
import plainlantern.geometry.Box;

/**
 * One sheet, whole and immutable. Elements, pictures and vistas are found by their ids in constant time.
 *
 * @param format   its name, unit and size
 * @param contents what lies on it and behind it
 * @param styles   its palette, its named finishes and tones
 * @param guides   lines that help to place
 * @param limits   from where on something on it counts as a fault
 */
public record Sheet(SheetFormat format, Contents contents, Styles styles, Guides guides, Limits limits) {
    public Sheet {
        styles = styles == null ? Styles.NONE : styles;
        guides = guides == null ? Guides.FIRST : guides;
        limits = limits == null ? Limits.FIRST : limits;
        BadInput.unless(format != null && contents != null, "sheet", "A sheet needs a format and contents.");
        contents = contents.glazed(new Box(0, 0, format.width(), format.height()).grown(format.bleed()));
        Set<String> kept = styles.finishes().stream().map(NamedFinish::id).collect(Collectors.toSet());
        for (Element element : contents.elements()) {
            boolean there = element.finish().named().map(kept::contains).orElse(true);
            BadInput.unless(there, "panels", "A panel follows a finish that is not there.");
        }
        Set<String> tones = styles.tones().stream().map(NamedTone::id).collect(Collectors.toSet());
        boolean all = Tones.of(contents).flatMap(tone -> tone.named().stream()).allMatch(tones::contains);
        BadInput.unless(all, "panels", "A picture follows a tone that is not there.");
    }

    /**
     * An empty white sheet with 3 mm or an eighth of an inch of bleed (common practice) and margins of a twentieth of the shorter side,
     * rounded to its unit.
     */
    public static Sheet empty(String name, Unit unit, double width, double height, double ppi) {
        double bleed = unit == Unit.PX ? 0 : unit == Unit.IN ? Unit.MM_PER_INCH / 8 : 3;
        double margin = unit == Unit.PX || unit == Unit.IN ? even(Math.min(width, height) / 20, unit, ppi)
                : Math.rint(Math.min(width, height) / 20);
        SheetFormat format = new SheetFormat(name, unit, width, height, ppi, bleed, Margins.all(margin > 0 ? margin : 0));
        Contents nothing = new Contents(new Paper.Plain(Colour.WHITE), List.of(), List.of(), 0, List.of(), List.of());
        return new Sheet(format, nothing, Styles.NONE, Guides.FIRST, Limits.FIRST);
    }

    public String name() {
        return format.name();
    }

    public Unit unit() {
        return format.unit();
    }

    public double width() {
        return format.width();
    }

    public double height() {
        return format.height();
    }

    public double ppi() {
        return format.ppi();
    }

    public double bleed() {
        return format.bleed();
    }

    public Margins margins() {
        return format.margins();
    }

    public Paper paper() {
        return contents.paper();
    }

    public List<Picture> shelf() {
        return contents.shelf();
    }

    public List<Element> elements() {
        return contents.elements();
    }

    public int lastId() {
        return contents.lastId();
    }

    public List<Layout> layouts() {
        return contents.layouts();
    }

    public List<Vista> vistas() {
        return contents.vistas();
    }

    /** The sheet without its margins, where patterns go; empty when the margins leave nothing. */
    public Optional<Box> area() {
        return format.area();
    }

    /** The shaped placeholders, from back to front. */
    @JsonIgnore
    public List<Panel> panels() {
        return elements().stream().flatMap(e -> e.panel().stream()).toList();
    }

    /** All that hold layers, from back to front. */
    @JsonIgnore
    public List<Holder> holders() {
        return elements().stream().flatMap(e -> e.holder().stream()).toList();
    }

    /** The element with that id, if it is there. */
    public Optional<Element> find(String id) {
        return ((ById<Element>) elements()).find(id);
    }

    /** The element with that id; throws {@link Gone} where there is none. */
    public Element element(String id) {
        return find(id).orElseThrow(() -> new Gone("That panel is no longer on the sheet."));
    }

    /** The element with that id that holds layers; throws {@link Gone} where it is not there or holds none. */
    public Holder holder(String id) {
        return element(id).holder().orElseThrow(() -> new Gone("That is a rule: nothing can be put into it."));
    }

    /** Those elements, from back to front; throws {@link Gone} where one is missing, {@link BadInput} where none is asked for. */
    public List<Element> elements(Collection<String> ids) {
        Set<String> wanted = new HashSet<>(ids);
        List<Element> found = elements().stream().filter(e -> wanted.contains(e.id())).toList();
        if (found.size() < wanted.size()) throw new Gone("One of those panels is no longer on the sheet.");
        BadInput.unless(!found.isEmpty(), "panels", "Select a panel first.");
        return found;
    }

    /** Those of the elements that hold layers; as {@link #elements(Collection)}, and refuses where all are rules. */
    public List<Holder> holders(Collection<String> ids) {
        List<Holder> found = elements(ids).stream().flatMap(e -> e.holder().stream()).toList();
        BadInput.unless(!found.isEmpty(), "panels", "A rule is a line: nothing can be put into it.");
        return found;
    }

    /** Those of the elements that are there, in the order in which they were chosen. */
    public List<Element> chosen(Collection<String> ids) {
        return ids.stream().distinct().flatMap(id -> find(id).stream()).toList();
    }

    /** Those of the elements that pictures are put into; throws {@link BadInput} where all are captions and rules. */
    public List<String> takers(Collection<String> ids) {
        List<String> takers = elements(ids).stream().flatMap(e -> e.holder().stream()).filter(Holder::takesPictures)
                .map(Element::id).toList();
        BadInput.unless(!takers.isEmpty(), "panels", "Captions and rules hold no pictures. Select a panel.");
        return takers;
    }

    /** Those of the elements that are not locked; throws {@link BadInput} where all are. */
    public List<Element> free(Collection<String> ids) {
        List<Element> free = elements(ids).stream().filter(e -> !e.locked()).toList();
        BadInput.unless(!free.isEmpty(), "panels", ids.size() == 1 ? "This panel is locked. Unlock it first."
                : "These panels are locked. Unlock them first.");
        return free;
    }

    /** The layout that the panel belongs to, if it came from a pattern. */
    public Optional<Layout> layoutOf(String panel) {
        return layouts().stream().filter(l -> l.panels().contains(panel)).findFirst();
    }

    /** The picture with that id; throws {@link Gone} where the shelf has none. */
    public Picture picture(String id) {
        return ((ById<Picture>) shelf()).find(id).orElseThrow(() -> new Gone("That picture is no longer on the shelf."));
    }

    /** The elements that show the picture, alone or as a part of a vista, from back to front. */
    public List<Holder> users(String picture) {
        return holders().stream().filter(h -> h.pictures().stream().anyMatch(layer -> pictureOf(layer).equals(picture))).toList();
    }

    /** The id of the picture that a layer shows. */
    public String pictureOf(PictureLayer layer) {
        return layer.own().map(Source.Own::picture).orElseGet(() -> vista(layer.slice().orElseThrow().vista()).picture());
    }

    /** The vista with that id; throws {@link Gone} where there is none. */
    public Vista vista(String id) {
        return ((ById<Vista>) vistas()).find(id).orElseThrow(() -> new Gone("That vista is no longer on the sheet."));
    }

    /** The elements through which a vista is seen, from back to front. */
    public List<Holder> members(String vista) {
        return derived("members", () -> holders().stream().filter(h -> h.slice().isPresent())
                .collect(Collectors.groupingBy(h -> h.slice().orElseThrow().vista()))).getOrDefault(vista, List.of());
    }

    /**
     * A value that depends on the elements and on {@code key} alone and is expensive to compute; kept with the elements, so that it is
     * computed once for all revisions that share them.
     */
    public <V> V derived(Object key, Supplier<V> compute) {
        return ((ById<Element>) elements()).derived(key, compute);
    }

    /** A length as people read it: "12.40 mm", in the sheet's unit. */
    public String length(double mm) {
        return unit().show(mm, ppi()) + " " + unit().symbol();
    }

    /**
     * A length that nobody typed as it is set on this sheet: whole pixels in pixels, one at least; quarters, eighths or hundredths of an
     * inch in inches, the finer the smaller it is; else as it is.
     */
    public double even(double mm) {
        return even(mm, unit(), ppi());
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
        return new Box(0, 0, width(), height());
    }

    /** The elements behind one, from back to front. */
    public List<Element> beneath(String id) {
        return elements().subList(0, elements().indexOf(element(id)));
    }

    /** Whether a place, mm, is on the sheet; its edges are. */
    public boolean reaches(double x, double y) {
        return x >= 0 && x <= width() && y >= 0 && y <= height();
    }

    /** As {@link #changing}, for those of the elements that are not locked. */
    public Sheet moving(Collection<String> ids, UnaryOperator<Element> change) {
        return changing(free(ids).stream().map(Element::id).toList(), change);
    }

    /** The same sheet with each of those elements replaced by what {@code change} makes of it. */
    public Sheet changing(Collection<String> ids, UnaryOperator<Element> change) {
        Set<String> wanted = new HashSet<>();
        for (Element element : elements(ids)) wanted.add(element.id());
        return replacing(wanted, change);
    }

    /** As {@link #changing}, for those that hold layers; refuses where none of them does. */
    public Sheet holding(Collection<String> ids, Function<Holder, ? extends Element> change) {
        Set<String> wanted = holders(ids).stream().map(Element::id).collect(Collectors.toSet());
        return replacing(wanted, e -> e.holding(change));
    }

    /** The same with all elements replaced by what {@code change} makes of them. */
    public Sheet everywhere(UnaryOperator<Element> change) {
        return with(elements().stream().map(change).toList());
    }

    private Sheet replacing(Set<String> wanted, UnaryOperator<Element> change) {
        List<Element> next = new ArrayList<>();
        for (Element element : elements()) next.add(wanted.contains(element.id()) ? change.apply(element) : element);
        return with(next);
    }

    /**
     * The same sheet with a new element in front of all others, as {@link #front} has it; its number is the next one, {@code lastId + 1}.
     */
    public Sheet adding(Element added) {
        List<Element> next = new ArrayList<>(elements());
        next.add(front(next, added), added);
        return with(next, lastId() + 1);
    }

    /** Where a new element comes among others: in front of all, but beneath the frontmost glazes over the whole sheet. */
    public static int front(List<Element> elements, Element added) {
        int at = elements.size();
        if (!overAll(added)) while (at > 0 && overAll(elements.get(at - 1))) at--;
        return at;
    }

    private static boolean overAll(Element element) {
        return element.glaze().filter(Glaze::whole).isPresent();
    }

    public Sheet with(List<Element> newElements) {
        return with(newElements, lastId());
    }

    public Sheet with(List<Element> newElements, int newLastId) {
        return with(newElements, newLastId, vistas());
    }

    /** The same sheet with its elements and its vistas changed together. */
    public Sheet with(List<Element> newElements, int newLastId, List<Vista> newVistas) {
        return with(contents.holding(newElements, newLastId, newVistas));
    }

    /** The same sheet with its vistas replaced by what {@code change} makes of them. */
    public Sheet changingVistas(UnaryOperator<Vista> change) {
        return with(elements(), lastId(), vistas().stream().map(change).toList());
    }

    /** The same sheet with that vista in place of the one with its id. */
    public Sheet with(Vista changed) {
        return changingVistas(v -> v.id().equals(changed.id()) ? changed : v);
    }

    public Sheet with(Contents newContents) {
        return new Sheet(format, newContents, styles, guides, limits);
    }

    /** The same sheet in another format; what is on it stays where it is. */
    public Sheet with(SheetFormat newFormat) {
        return new Sheet(newFormat, contents, styles, guides, limits);
    }

    public Sheet named(String newName) {
        return with(format.named(newName));
    }

    public Sheet withMargins(Margins newMargins) {
        return with(format.withMargins(newMargins));
    }

    public Sheet withShelf(List<Picture> newShelf) {
        return with(contents.shelving(newShelf));
    }

    public Sheet withPaper(Paper newPaper) {
        return with(contents.onPaper(newPaper));
    }

    public Sheet withLayouts(List<Layout> newLayouts) {
        return with(contents.laidOut(newLayouts));
    }

    public Sheet withStyles(Styles newStyles) {
        return new Sheet(format, contents, newStyles, guides, limits);
    }

    public Sheet withGuides(Guides newGuides) {
        return new Sheet(format, contents, styles, newGuides, limits);
    }

    public Sheet withLimits(Limits newLimits) {
        return new Sheet(format, contents, styles, guides, newLimits);
    }
}
