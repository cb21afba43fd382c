package plainlantern.scene;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import plainlantern.fitting.Coverage;
import plainlantern.fitting.Shown;
import plainlantern.fitting.Sitting;
import plainlantern.fitting.Typesetting;
import plainlantern.fitting.Veils;
import plainlantern.fitting.Vistas;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Box;
import plainlantern.geometry.Path;
import plainlantern.geometry.Point;
import plainlantern.geometry.Polygons;
import plainlantern.sheet.Colour;
import plainlantern.sheet.Content;
import plainlantern.sheet.Element;
import plainlantern.sheet.Foot;
import plainlantern.sheet.Holder;
import plainlantern.sheet.Lens;
import plainlantern.sheet.Look;
import plainlantern.sheet.Lying;
import plainlantern.sheet.Paper;
import plainlantern.sheet.Picture;
import plainlantern.sheet.PictureLayer;
import plainlantern.sheet.Rim;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.Stop;
import plainlantern.sheet.Through;
import plainlantern.sheet.Treated;
import plainlantern.sheet.Veiled;
import plainlantern.sheet.Warp;
import plainlantern.sheet.Wash;
import plainlantern.sheet.Words;
import plainlantern.treating.Bending;

/**
 * What is painted, from back to front, on a sheet of {@code width} by {@code height} mm.
 *
 * @param paper what lies behind everything and covers the sheet and its bleed; absent where that stays clear
 */
public record Scene(double width, double height, Optional<Item> paper, List<Item> items) {
    /** A share of a box. */
    private static final double AROUND = 0.02;

    public Scene {
        items = List.copyOf(items);
    }

    /**
     * What one element paints: its layers from back to front, laid over each other alone and then seen through its form.
     *
     * @param element the element's id
     * @param name    what people call it
     * @param look    how the whole of it meets what lies behind it
     */
    public record Item(String element, String name, Form form, List<Layer> layers, Around around, Look look) {
        public Item {
            layers = List.copyOf(layers);
        }

        public Path clip() {
            return form.clip();
        }

        public Path under() {
            return form.under();
        }

        public Optional<Soft> soft() {
            return around.soft();
        }

        public Optional<Shade> inner() {
            return around.inner();
        }

        public Optional<Line> rim() {
            return around.rim();
        }

        public List<Shade> shades() {
            return around.shades();
        }

        /** Whether something about it is blurred. */
        public boolean blurred() {
            return soft().isPresent() || inner().isPresent() || !shades().isEmpty();
        }

        /** Its pictures, from back to front. */
        public List<PaintedPicture> pictures() {
            return layers.stream().flatMap(layer -> layer.picture().stream()).toList();
        }

        /** Whether it is a glaze, which shows what is beneath it. */
        public boolean glaze() {
            return pictures().stream().anyMatch(picture -> picture.treated().through().isPresent());
        }

        /** The upright box that holds all of it that is seen, mm; a shadow counts as far as three of its deviations. */
        public Box reach() {
            Box own = rim().filter(line -> line.within() != Within.FORM).map(line -> clip().bounds().union(line.reach(clip())))
                    .orElse(clip().bounds());
            Box all = own;
            for (Shade shade : shades()) {
                Box from = shade.form().filter(form -> !form.empty()).map(Path::bounds)
                        .orElse(own.moved(shade.by()).grown(Math.max(0, shade.spread())));
                all = all.union(from.grown(3 * shade.deviation()));
            }
            return all;
        }

        /** Whether it hides all that is behind it in a box, if its layers do. */
        public boolean fills(Box box) {
            return look.equals(Look.PLAIN) && soft().isEmpty() && Polygons.holds(under(), Path.box(box));
        }

        /** The same without what it casts behind itself. */
        public Item unshaded() {
            return new Item(element, name, form, layers, new Around(soft(), inner(), rim(), List.of()), look);
        }

        /** The same as it would be with nothing behind it and no transparency of its own. */
        public Item plain() {
            return new Item(element, name, form, layers, around, Look.PLAIN);
        }
    }

    /**
     * An element's form on the sheet, mm.
     *
     * @param clip  the form itself
     * @param under the form that its layers are seen through: the same, or one that ends beneath the rim, so that at an edge shared by
     *              both nothing shines through
     */
    public record Form(Path clip, Path under) {
        /** One whose layers are seen through all of it. */
        public static Form whole(Path path) {
            return new Form(path, path);
        }
    }

    /**
     * What surrounds an element.
     *
     * @param soft   what lets its layers through together with the form, where its edge is soft
     * @param inner  what its edge casts onto its layers
     * @param rim    the line around it, in front of its layers
     * @param shades what it casts behind itself, from back to front
     */
    public record Around(Optional<Soft> soft, Optional<Shade> inner, Optional<Line> rim, List<Shade> shades) {
        public static final Around NOTHING = new Around(Optional.empty(), Optional.empty(), Optional.empty(), List.of());

        public Around {
            shades = List.copyOf(shades);
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
            Optional<Path> grown = join == Rim.Join.MITER ? Polygons.grownSharp(form, width / 2, MITER_LIMIT)
                    : Polygons.grown(form, width / 2);
            return grown.map(Path::bounds).orElse(path.bounds().grown(width / 2));
        }
    }

    /** Where a line is seen: within the element's form, all of it, or outside the form. */
    public enum Within { FORM, ALL, OUTSIDE }

    /** What is done with each kind of layer, in one place. */
    public interface Brush<E extends Exception> {
        void picture(PaintedPicture layer) throws E;

        void wash(PaintedWash layer) throws E;

        void letters(PaintedLetters layer) throws E;
    }

    /** One layer of an element; {@code at} is its place in the panel's content, 0 hindmost. */
    public sealed interface Layer {
        int at();

        Look look();

        <E extends Exception> void on(Brush<E> brush) throws E;

        /** Whether it fills the form, and nothing can be seen through it. */
        boolean solid();

        /** What hides parts of it, where there is such. */
        Optional<Mask> mask();

        /** It as a picture, where it is one. */
        default Optional<PaintedPicture> picture() {
            return Optional.empty();
        }

        /** It as letters, where it is that. */
        default Optional<PaintedLetters> letters() {
            return Optional.empty();
        }
    }

    /**
     * A veil as it lies over a layer.
     *
     * @param width  of the box that it is told for, along its own sides: a picture's pixels, or mm of a panel's form
     * @param height likewise
     * @param lies   from there to mm on the sheet
     */
    public record Mask(Veiled veil, double width, double height, Affine lies) {
        /** From shares of the box to mm on the sheet. */
        public Affine toSheet() {
            return lies.after(Affine.scale(width, height));
        }
    }

    /**
     * A picture whose pixels are painted.
     *
     * @param treated what is seen of it
     * @param width   its own pixels across, upright; of one drawn in perspective those of the box that it is drawn into
     * @param height  likewise
     * @param foot    where it stands, for one that can be seen through in places
     */
    public record Pixels(Treated treated, int width, int height, Optional<Foot> foot) {
        static Pixels of(Picture picture, Treated treated) {
            return new Pixels(treated, picture.width(), picture.height(), picture.foot());
        }

        /** Whether nothing can be seen through it. */
        public boolean opaque() {
            return foot.isEmpty() && treated.through().isEmpty() && treated.cleared().isEmpty() && treated.veil().isEmpty()
                    && treated.warp().filter(Warp::open).isEmpty();
        }
    }

    /**
     * @param pixelsToSheet from the upright picture's pixels to mm on the sheet
     * @param covers        whether the picture fills the whole form
     * @param blur          the standard deviation of the Gaussian curve by which it is blurred, mm; 0 for a sharp one
     */
    public record PaintedPicture(int at, Pixels pixels, Affine pixelsToSheet, boolean covers, double blur, Look look) implements Layer {
        public Treated treated() {
            return pixels.treated();
        }

        /** The same before its tones. */
        public PaintedPicture toneless() {
            return treated(treated().toneless());
        }

        /** The same without a veil. */
        public PaintedPicture unveiled() {
            return treated(treated().unveiled());
        }

        private PaintedPicture treated(Treated other) {
            return new PaintedPicture(at, new Pixels(other, width(), height(), pixels.foot()), pixelsToSheet, covers, blur, look);
        }

        public int width() {
            return pixels.width();
        }

        public int height() {
            return pixels.height();
        }

        @Override
        public boolean solid() {
            return look.equals(Look.PLAIN) && covers && pixels.opaque();
        }

        @Override
        public Optional<Mask> mask() {
            return treated().veil().map(veil -> new Mask(veil, width(), height(), pixelsToSheet));
        }

        @Override
        public <E extends Exception> void on(Brush<E> brush) throws E {
            brush.picture(this);
        }

        @Override
        public Optional<PaintedPicture> picture() {
            return Optional.of(this);
        }
    }

    /**
     * Colours that run into each other from one place on the sheet to another, or outward from the one as far as the other. Between two
     * stops each of red, green, blue and opacity runs evenly, as SVG has it.
     */
    public record PaintedWash(int at, List<Stop> stops, boolean round, Point from, Point to, Look look, Optional<Mask> mask)
            implements Layer {
        /** Whether it is all of one colour. */
        public boolean plain() {
            return stops.size() == 1;
        }

        @Override
        public boolean solid() {
            return look.equals(Look.PLAIN) && mask.isEmpty() && stops.stream().allMatch(s -> s.opacity() == 1);
        }

        @Override
        public <E extends Exception> void on(Brush<E> brush) throws E {
            brush.wash(this);
        }
    }

    /**
     * @param words    the letters as text, on the sheet
     * @param outlines the same letters, filled by the non-zero rule
     */
    public record PaintedLetters(int at, Typesetting.Placed words, Path outlines, Colour colour, Look look, Optional<Mask> mask)
            implements Layer {
        @Override
        public boolean solid() {
            return false;
        }

        @Override
        public <E extends Exception> void on(Brush<E> brush) throws E {
            brush.letters(this);
        }

        @Override
        public Optional<PaintedLetters> letters() {
            return Optional.of(this);
        }
    }

    public static Scene of(Sheet sheet) {
        return new Scene(sheet.width(), sheet.height(), paper(sheet), items(sheet, sheet.elements()));
    }

    /** What some elements paint, the hindmost of the sheet up to one of them. */
    static List<Item> items(Sheet sheet, List<Element> elements) {
        List<Item> items = new ArrayList<>();
        for (Element element : elements) {
            if (element.hidden() || !element.paints()) continue;
            items.add(element.glaze().map(glaze -> Glazes.item(sheet, glaze, items)).orElseGet(() -> item(sheet, element)));
        }
        return items;
    }

    /**
     * The same with slices of one picture that abut as one item, so that nothing shines through between them: for outputs, not for the
     * board.
     */
    public Scene joined() {
        return new Scene(width, height, paper, pieced().stream().map(Joined::item).toList());
    }

    /** The items of {@link #joined}, each with those that it was made of: itself alone, where it was not joined. */
    public List<Joined> pieced() {
        return Abutting.joined(items);
    }

    /** One item, and the items that it stands for, from back to front. */
    public record Joined(Item item, List<Item> pieces) {}

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
        return sheet.paper().as(new Paper.Kinds<>() {
            @Override
            public Optional<Item> plain(Paper.Plain paper) {
                return Optional.of(Scene.plain(box, paper.colour()));
            }

            @Override
            public Optional<Item> washed(Paper.Washed paper) {
                return Optional.of(paper(box, wash(sheet.bounds(), Affine.IDENTITY, 0, paper.wash(), Optional.empty())));
            }

            @Override
            public Optional<Item> pictured(Paper.Pictured paper) {
                return Optional.of(paper(box, covering(sheet.picture(paper.picture()), paper, box)));
            }

            @Override
            public Optional<Item> none() {
                return Optional.empty();
            }
        });
    }

    private static Item plain(Box box, Colour colour) {
        return paper(box, new PaintedWash(0, List.of(new Stop(0, colour, 1)), false, Point.ORIGIN, Point.ORIGIN, Look.PLAIN,
                Optional.empty()));
    }

    private static Item paper(Box box, Layer layer) {
        return new Item("paper", "Paper", Form.whole(Path.box(box)), List.of(layer), Around.NOTHING, Look.PLAIN);
    }

    /** A picture that covers a box and as far around it as its blur reaches. */
    private static PaintedPicture covering(Picture picture, Paper.Pictured paper, Box box) {
        double blur = paper.blur() / 2;
        Box whole = box.grown(4 * blur);
        double scale = Math.max(whole.width() / picture.width(), whole.height() / picture.height());
        Affine map = Affine.move(box.centre()).after(Affine.scale(scale, scale))
                .after(Affine.move(-picture.width() / 2.0, -picture.height() / 2.0));
        Supplier<Lying> lying = () -> lying(map, Affine.IDENTITY, box);
        return new PaintedPicture(0, Pixels.of(picture, Treated.of(picture.id(), paper.treatment(), lying, lying)), map, true, blur,
                Look.PLAIN);
    }

    /** Where a picture lies, before a box that is upright in a frame of its own. */
    static Lying lying(Affine pixelsToSheet, Affine toFrame, Box box) {
        return new Lying(pixelsToSheet, box.toCentred().after(toFrame).after(pixelsToSheet));
    }

    /** What one element paints. */
    public static Item item(Sheet sheet, Element element) {
        return item(sheet, element, element.pathOnSheet());
    }

    /** As above, where the element's path on the sheet is known. */
    public static Item item(Sheet sheet, Element element, Path onSheet) {
        if (element.glaze().isPresent())
            return Glazes.item(sheet, element.glaze().get(), onSheet, items(sheet, sheet.beneath(element.id())));
        List<Layer> painted = new ArrayList<>();
        element.holder().ifPresent(holder -> {
            for (int at = 0; at < holder.content().size(); at++) {
                if (!holder.content().get(at).look().off()) painted.add(layer(sheet, holder, at));
            }
        });
        return Dressing.item(element, onSheet, painted);
    }

    private static Layer layer(Sheet sheet, Holder holder, int at) {
        return holder.content().get(at).as(new Content.Kinds<Layer>() {
            @Override
            public Layer picture(PictureLayer layer) {
                Shown shown = Vistas.shown(sheet, holder, layer);
                if (shown.plane().isPresent()) return mounted(sheet, holder, at, layer, shown);
                Picture picture = shown.picture();
                Affine pixelsToSheet = holder.seat().toSheet().after(shown.pose().toPanel(picture.width(), picture.height()));
                boolean covers = Coverage.covers(Sitting.of(holder, picture), shown.pose());
                Supplier<Lying> own = () -> lying(pixelsToSheet, holder.seat().toSheet().inverse(), holder.ownPath().bounds());
                Supplier<Lying> under = () -> layer.slice().map(slice -> lying(pixelsToSheet, Affine.IDENTITY,
                        Vistas.box(sheet, slice.vista()))).orElseGet(own);
                Affine toPanel = shown.pose().toPanel(picture.width(), picture.height())
                        .after(Affine.scale(picture.width(), picture.height()));
                Treated treated = Treated.of(picture.id(), shown.treatment(), under, own)
                        .seen(through(layer).map(how -> new Lens(how, toPanel, holder.ownPath().bounds())))
                        .veiled(Veils.worn(sheet, holder, layer.veil(), Optional.of(shown), toPanel));
                return new PaintedPicture(at, Pixels.of(picture, treated), pixelsToSheet, covers, 0, layer.look());
            }

            @Override
            public Layer wash(Wash wash) {
                return Scene.wash(holder.ownPath().bounds(), holder.seat().toSheet(), at, wash, mask(sheet, holder, wash));
            }

            @Override
            public Layer words(Words words) {
                return letters(holder, at, words, mask(sheet, holder, words));
            }
        });
    }

    private static PaintedPicture mounted(Sheet sheet, Holder holder, int at, PictureLayer layer, Shown shown) {
        Picture picture = shown.picture();
        Sitting sitting = Sitting.of(holder, shown);
        boolean covers = Coverage.covers(sitting, shown.pose());
        Affine lies = shown.pose().toPanel(picture.width(), picture.height());
        // Tones lie in the picture's own plane: of a vista before all its panels.
        Supplier<Lying> own = () -> lying(lies, Affine.IDENTITY, sitting.outline().bounds());
        Supplier<Lying> under = () -> layer.slice().map(slice -> lying(lies, Affine.IDENTITY,
                Vistas.box(sheet, slice.vista()))).orElseGet(own);
        Treated treated = Treated.of(picture.id(), shown.treatment(), under, own);
        Path form = holder.ownPath();
        Box box = through(layer).map(how -> seen(how, form.bounds())).orElse(form.bounds());
        Hanging hanging = Hanging.in(shown, shown.toPanel(), form, box, covers);
        int across = hanging.warp().across();
        int down = hanging.warp().down();
        Affine toPanel = hanging.map().after(Affine.scale(across, down));
        Treated hung = treated.warped(Optional.of(hanging.warp()))
                .seen(through(layer).map(how -> new Lens(how, toPanel, form.bounds())))
                .veiled(Veils.worn(sheet, holder, layer.veil(), Optional.of(shown), toPanel));
        Pixels pixels = new Pixels(hung, across, down, picture.foot());
        return new PaintedPicture(at, pixels, holder.seat().toSheet().after(hanging.map()), covers, 0, layer.look());
    }

    /** How a picture is bent and blurred, where that is switched on. */
    private static Optional<Through> through(PictureLayer layer) {
        return layer.through().filter(how -> !how.off());
    }

    /** All that is seen in a form's box of what is bent and blurred. */
    private static Box seen(Through how, Box box) {
        return how.bend().map(bend -> Bending.of(bend, box).seen(box, Affine.IDENTITY)).orElse(box).union(box)
                .grown(how.blur() * Glazes.BLURRED);
    }

    /** The veil of what is no picture lies over its panel's box, and a little around it: its own edges are never seen. */
    private static Optional<Mask> mask(Sheet sheet, Holder holder, Content layer) {
        if (layer.veil().isEmpty()) return Optional.empty();
        Box own = holder.ownPath().bounds();
        Box box = own.grown(AROUND * Math.max(own.width(), own.height()));
        Affine toPanel = Affine.move(box.x(), box.y());
        return Veils.worn(sheet, holder, layer.veil(), Optional.empty(), toPanel.after(Affine.scale(box.width(), box.height())))
                .map(veil -> new Mask(veil, box.width(), box.height(), holder.seat().toSheet().after(toPanel)));
    }

    private static PaintedLetters letters(Holder panel, int at, Words words, Optional<Mask> mask) {
        Typesetting.Placed own = Typesetting.placed(panel, words);
        Typesetting.Placed placed = new Typesetting.Placed(own.style(), own.lines(), panel.seat().toSheet().after(own.map()));
        return new PaintedLetters(at, placed, placed.outlines(), words.colour(), words.look(), mask);
    }

    /**
     * CSS Images 3: the line of a linear gradient reaches just so far that its ends' normals touch the box's corners; a circle reaches the
     * farthest corner.
     */
    private static PaintedWash wash(Box box, Affine map, int at, Wash wash, Optional<Mask> mask) {
        double angle = Math.toRadians(wash.turn());
        Point way = new Point(Math.sin(angle), -Math.cos(angle));
        double half = (box.width() * Math.abs(way.x()) + box.height() * Math.abs(way.y())) / 2;
        Point from = wash.round() ? box.centre() : box.centre().minus(way.times(half));
        Point to = wash.round() ? new Point(box.right(), box.bottom()) : box.centre().plus(way.times(half));
        return new PaintedWash(at, wash.stops(), wash.round(), map.apply(from), map.apply(to), wash.look(), mask);
    }
}
