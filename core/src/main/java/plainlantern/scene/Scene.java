package plainlantern.scene;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import plainlantern.fitting.Coverage;
import plainlantern.fitting.Lettering;
import plainlantern.fitting.Sitting;
import plainlantern.fitting.Vistas;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Box;
import plainlantern.geometry.Path;
import plainlantern.geometry.Point;
import plainlantern.geometry.Polygons;
import plainlantern.sheet.Cleared;
import plainlantern.sheet.Colour;
import plainlantern.sheet.Content;
import plainlantern.sheet.Content.OwnPicture;
import plainlantern.sheet.Content.Wash;
import plainlantern.sheet.Content.Words;
import plainlantern.sheet.Foot;
import plainlantern.sheet.Look;
import plainlantern.sheet.Panel;
import plainlantern.sheet.Paper;
import plainlantern.sheet.Picture;
import plainlantern.sheet.Rim;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.Stop;

/**
 * What is painted, from back to front, on a sheet of {@code width} by {@code height} mm.
 *
 * @param paper what lies behind everything and covers the sheet and its bleed; absent where that stays clear
 */
public record Scene(double width, double height, Optional<Item> paper, List<Item> items) {
    public Scene {
        items = List.copyOf(items);
    }

    /**
     * What one element paints: its layers from back to front, laid over each other alone and then seen through its form.
     *
     * @param element the element's id
     * @param name    what people call it
     * @param clip    the form on the sheet, mm
     * @param under   the form that its layers are seen through: the same, or one that ends beneath the rim, so that at an edge shared by
     *                both nothing shines through
     * @param soft    what lets its layers through together with the form, where its edge is soft
     * @param inner   what its edge casts onto its layers
     * @param rim     the line around it, in front of its layers
     * @param shades  what it casts behind itself, from back to front
     * @param look    how the whole of it meets what lies behind it
     */
    public record Item(String element, String name, Path clip, Path under, List<Layer> layers, Optional<Soft> soft, Optional<Shade> inner,
            Optional<Line> rim, List<Shade> shades, Look look) {
        public Item {
            layers = List.copyOf(layers);
            shades = List.copyOf(shades);
        }

        /** The upright box that holds all of it that is seen, mm; a shadow counts as far as three of its deviations. */
        public Box reach() {
            Box own = rim.filter(line -> line.within() != Within.FORM).map(line -> clip.bounds().union(line.reach(clip))).orElse(clip.bounds());
            Box all = own;
            for (Shade shade : shades) {
                Box from = shade.form().filter(form -> !form.segments().isEmpty()).map(Path::bounds).orElse(own.moved(shade.by()).grown(Math.max(0, shade.spread())));
                all = all.union(from.grown(3 * shade.deviation()));
            }
            return all;
        }

        /** The same without what it casts behind itself. */
        public Item unshaded() {
            return new Item(element, name, clip, under, layers, soft, inner, rim, List.of(), look);
        }

        /** The same as it would be with nothing behind it and no transparency of its own. */
        public Item plain() {
            return new Item(element, name, clip, under, layers, soft, inner, rim, shades, Look.PLAIN);
        }
    }

    /** A form on the sheet whose edge fades along a Gaussian curve of that standard deviation, mm. */
    public record Soft(Path form, double deviation) {}

    /**
     * One colour in the form of what casts it, faded along a Gaussian curve.
     *
     * @param form      what casts it, on the sheet, spread included; absent where it is what the element paints, its transparency included
     * @param spread    for what is painted: by so many mm it is larger along both axes of the sheet, or smaller
     * @param by        how far it is moved, mm
     * @param deviation the curve's standard deviation, mm
     */
    public record Shade(Optional<Path> form, double spread, Point by, double deviation, Colour colour, double opacity) {}

    /**
     * A line along a path on the sheet, mm.
     *
     * @param dashes on and off in turn; empty for a solid line
     * @param ends   how each stretch ends
     * @param within which part of it is seen
     */
    public record Line(Path path, double width, Colour colour, List<Double> dashes, Rim.Ends ends, Rim.Join join, Within within) {
        /** A corner sharper than this ratio of miter to width is cut off; the same in every output. */
        public static final double MITER_LIMIT = 10;

        /** The box around the line where it goes around a form. */
        Box reach(Path form) {
            Optional<Path> grown = join == Rim.Join.MITER ? Polygons.grownSharp(form, width / 2, MITER_LIMIT) : Polygons.grown(form, width / 2);
            return grown.map(Path::bounds).orElse(path.bounds().grown(width / 2));
        }
    }

    /** Where a line is seen: within the element's form, all of it, or outside the form. */
    public enum Within { FORM, ALL, OUTSIDE }

    /** One layer of an element; {@code at} is its place in the panel's content, 0 hindmost. */
    public sealed interface Layer {
        int at();

        Look look();
    }

    /**
     * @param pixelsToSheet from the upright picture's pixels to mm on the sheet
     * @param covers        whether the picture fills the whole form
     * @param foot          where it stands, for one that can be seen through in places
     * @param clear         the plain background that is taken out of it
     * @param blur          the standard deviation of the Gaussian curve by which it is blurred, mm; 0 for a sharp one
     */
    public record PictureLayer(int at, String picture, int width, int height, Affine pixelsToSheet, boolean covers, Optional<Foot> foot, Optional<Cleared> clear,
                               double blur, Look look) implements Layer {}

    /**
     * Colours that run into each other from one place on the sheet to another, or outward from the one as far as the other. Between two
     * stops each of red, green, blue and opacity runs evenly, as SVG has it.
     */
    public record WashLayer(int at, List<Stop> stops, boolean round, Point from, Point to, Look look) implements Layer {}

    /**
     * @param words    the letters as text, on the sheet
     * @param outlines the same letters, filled by the non-zero rule
     */
    public record LettersLayer(int at, Lettering.Placed words, Path outlines, Colour colour, Look look) implements Layer {}

    public static Scene of(Sheet sheet) {
        List<Item> items = new ArrayList<>();
        for (Panel panel : sheet.panels()) if (!panel.hidden() && paints(panel)) items.add(item(sheet, panel));
        return new Scene(sheet.width(), sheet.height(), paper(sheet), items);
    }

    /** The same without its paper. */
    public Scene bare() {
        return new Scene(width, height, Optional.empty(), items);
    }

    /** The same on white paper where it had none. */
    public Scene onPaper() {
        return onPaper(new Box(0, 0, width, height));
    }

    /** The same with white in that box where it had no paper. */
    public Scene onPaper(Box box) {
        return paper.isPresent() ? this : new Scene(width, height, Optional.of(plain(box, Colour.WHITE)), items);
    }

    /** The paper of a sheet alone. */
    public static Optional<Item> paper(Sheet sheet) {
        Box box = sheet.bounds().grown(sheet.bleed());
        if (sheet.paper() instanceof Paper.Plain plain) return Optional.of(plain(box, plain.colour()));
        if (sheet.paper() instanceof Paper.Washed washed) return Optional.of(paper(box, wash(sheet.bounds(), Affine.IDENTITY, 0, new Wash(washed.stops(), washed.turn(), washed.round(), Look.PLAIN))));
        return sheet.paper() instanceof Paper.Pictured pictured ? Optional.of(paper(box, covering(sheet.picture(pictured.picture()), box, pictured.blur() / 2))) : Optional.empty();
    }

    private static Item plain(Box box, Colour colour) {
        return paper(box, new WashLayer(0, List.of(new Stop(0, colour, 1)), false, Point.ORIGIN, Point.ORIGIN, Look.PLAIN));
    }

    private static Item paper(Box box, Layer layer) {
        return new Item("paper", "Paper", Path.box(box), Path.box(box), List.of(layer), Optional.empty(), Optional.empty(),
                Optional.empty(), List.of(), Look.PLAIN);
    }

    /** A picture that covers a box and as far around it as its blur reaches. */
    private static PictureLayer covering(Picture picture, Box box, double blur) {
        Box whole = box.grown(4 * blur);
        double scale = Math.max(whole.width() / picture.width(), whole.height() / picture.height());
        Affine map = Affine.move(box.centre()).after(Affine.scale(scale, scale)).after(Affine.move(-picture.width() / 2.0, -picture.height() / 2.0));
        return new PictureLayer(0, picture.id(), picture.width(), picture.height(), map, true, picture.foot(), picture.clear(), blur, Look.PLAIN);
    }

    /** What one panel paints. */
    public static Item item(Sheet sheet, Panel panel) {
        List<Layer> painted = new ArrayList<>();
        for (int at = 0; at < panel.content().size(); at++) if (!panel.content().get(at).look().off()) painted.add(layer(sheet, panel, at));
        return Dressing.item(panel, painted);
    }

    /** Whether anything of it would be seen. */
    public static boolean paints(Panel panel) {
        return !panel.shown().isEmpty() || panel.finish().rim().isPresent();
    }

    private static Layer layer(Sheet sheet, Panel panel, int at) {
        Content content = panel.content().get(at);
        if (content instanceof Wash wash) return wash(panel.ownPath().bounds(), panel.seat().toSheet(), at, wash);
        if (content instanceof Words words) return letters(panel, at, words);
        OwnPicture own = Vistas.shown(sheet, panel, at).orElseThrow();
        Picture picture = sheet.picture(own.picture());
        Affine pixelsToSheet = panel.seat().toSheet().after(own.placement().toPanel(picture.width(), picture.height()));
        boolean covers = Coverage.of(Sitting.of(panel, picture), own.placement()).covered();
        return new PictureLayer(at, picture.id(), picture.width(), picture.height(), pixelsToSheet, covers, picture.foot(), picture.clear(), 0, own.look());
    }

    private static LettersLayer letters(Panel panel, int at, Words words) {
        Lettering.Placed own = Lettering.placed(panel, words);
        Lettering.Placed placed = new Lettering.Placed(own.style(), own.lines(), panel.seat().toSheet().after(own.map()));
        return new LettersLayer(at, placed, placed.outlines(), words.colour(), words.look());
    }

    /** CSS Images 3: the line of a linear gradient reaches just so far that its ends' normals touch the box's corners; a circle reaches the farthest corner. */
    private static WashLayer wash(Box box, Affine map, int at, Wash wash) {
        double angle = Math.toRadians(wash.turn());
        Point way = new Point(Math.sin(angle), -Math.cos(angle));
        double half = (box.width() * Math.abs(way.x()) + box.height() * Math.abs(way.y())) / 2;
        Point from = wash.round() ? box.centre() : box.centre().minus(way.times(half));
        Point to = wash.round() ? new Point(box.right(), box.bottom()) : box.centre().plus(way.times(half));
        return new WashLayer(at, wash.stops(), wash.round(), map.apply(from), map.apply(to), wash.look());
    }
}
