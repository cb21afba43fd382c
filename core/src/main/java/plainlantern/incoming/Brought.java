package plainlantern.incoming;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import plainlantern.editing.placing.BringDrawing;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Box;
import plainlantern.geometry.Path;
import plainlantern.geometry.Point;
import plainlantern.incoming.Drawing.Form;
import plainlantern.incoming.Drawing.Lettered;
import plainlantern.incoming.Drawing.Shape;
import plainlantern.incoming.Drawing.ShapeKind;
import plainlantern.incoming.Drawing.Shown;
import plainlantern.incoming.Drawing.Stroke;
import plainlantern.incoming.Drawing.Thing;
import plainlantern.outline.Ellipse;
import plainlantern.outline.Outline;
import plainlantern.outline.Rectangle;
import plainlantern.pattern.Piece;
import plainlantern.sheet.Basics;
import plainlantern.sheet.Content;
import plainlantern.sheet.Element;
import plainlantern.sheet.Finish;
import plainlantern.sheet.Fit;
import plainlantern.sheet.Panel;
import plainlantern.sheet.Picture;
import plainlantern.sheet.PictureLayer;
import plainlantern.sheet.Pose;
import plainlantern.sheet.Rim;
import plainlantern.sheet.Rule;
import plainlantern.sheet.Seat;
import plainlantern.sheet.Sheet;

/** A drawing as elements of a sheet: where it says where that is on the sheet, else in its middle, or fitted into its margins. */
public final class Brought {
    /** So far beyond the sheet, mm, a drawing still lies where it says. */
    private static final double BESIDE = 5;

    private final Drawing drawing;
    private final Map<String, Picture> pictures;
    private final Affine place;
    private int slanted;
    private int unreadable;
    private int tiny;

    private Brought(Drawing drawing, Map<String, Picture> pictures, Affine place) {
        this.drawing = drawing;
        this.pictures = pictures;
        this.place = place;
    }

    /**
     * The edit that brings a drawing.
     *
     * @param pictures those of its images that could be read, by their names in the drawing
     * @param fit      whether it is made as large as the sheet's margins leave room for
     */
    public static BringDrawing onto(Sheet sheet, Drawing drawing, Map<String, Picture> pictures, boolean fit) {
        Brought brought = new Brought(drawing, pictures, place(sheet, bounds(drawing), fit));
        List<Element> elements = new ArrayList<>();
        for (Thing thing : drawing.things()) brought.element(thing, elements.size() + 1).ifPresent(elements::add);
        return new BringDrawing(elements, List.copyOf(pictures.values().stream().distinct().toList()), brought.says(elements));
    }

    private static Box bounds(Drawing drawing) {
        return Box.union(drawing.things().stream().map(thing -> thing.kind().bounds()).toList());
    }

    private static Affine place(Sheet sheet, Box box, boolean fit) {
        Box room = fit ? sheet.area().orElse(sheet.bounds()) : sheet.bounds();
        double scale = fit ? Math.min(room.width() / Math.max(1e-6, box.width()), room.height() / Math.max(1e-6, box.height())) : 1;
        Box reach = sheet.bounds().grown(sheet.bleed() + BESIDE);
        boolean there = box.x() >= reach.x() && box.y() >= reach.y() && box.right() <= reach.right() && box.bottom() <= reach.bottom();
        if (!fit && there) return Affine.IDENTITY;
        return Affine.move(room.centre()).after(Affine.scale(scale, scale)).after(Affine.move(box.centre().times(-1)));
    }

    private String says(List<Element> elements) {
        List<String> out = new ArrayList<>();
        if (!drawing.told().isEmpty()) out.add(drawing.told());
        if (slanted > 0) out.add(slanted == 1 ? "1 slanted picture" : slanted + " slanted pictures");
        if (unreadable > 0) out.add(unreadable == 1 ? "1 picture that can't be read" : unreadable + " pictures that can't be read");
        if (tiny > 0) out.add(tiny == 1 ? "1 form thinner than 0.1 mm" : tiny + " forms thinner than 0.1 mm");
        return "Brought " + Element.counted(elements) + "." + (out.isEmpty() ? "" : " Not taken: " + String.join(", ", out) + ".");
    }

    private Optional<Element> element(Thing thing, int number) {
        String name = thing.name().isEmpty() ? (thing.kind() instanceof Stroke ? "Rule " : "Form ") + number : thing.name();
        String group = thing.group() == 0 ? "" : "g" + thing.group();
        String shown = name.length() > 60 ? name.substring(0, 60) : name;
        if (thing.kind() instanceof Stroke stroke) {
            Rule rule = Rule.between("p" + number, shown, place.apply(stroke.from()), place.apply(stroke.to()), scaled(stroke.line()));
            return Optional.of(rule.grouped(group));
        }
        Optional<Panel> panel = thing.kind() instanceof Lettered words ? Optional.of(lettered(words, "p" + number, shown))
                : panel((Form) thing.kind(), "p" + number, shown);
        return panel.map(p -> p.grouped(group));
    }

    private Panel lettered(Lettered words, String id, String name) {
        Affine map = place.after(words.map());
        Box inked = words.letters().inked();
        Point along = new Point(map.a(), map.b());
        double down = Math.abs(map.determinant()) / along.length();
        Seat seat = new Seat(map.apply(inked.centre()), inked.width() * along.length(), inked.height() * down,
                Affine.normalTurn(Math.toDegrees(Math.atan2(along.y(), along.x()))), false);
        return new Panel(Basics.of(id, name, seat), words.letters(), List.of());
    }

    private Rim scaled(Rim rim) {
        return rim.wide(Math.min(Rim.WIDEST, rim.width() * place.a()));
    }

    private Optional<Panel> panel(Form form, String id, String name) {
        Shape shape = form.shape();
        Path path = shape.path().mapped(place);
        Affine unit = place.after(shape.map());
        Point u = new Point(unit.a(), unit.b());
        Point v = new Point(unit.c(), unit.d());
        boolean square = shape.kind() != ShapeKind.PATH && Math.abs(u.dot(v)) <= 1e-6 * u.length() * v.length();
        Outline outline = !square ? Piece.outline(path) : shape.kind() == ShapeKind.ELLIPSE ? new Ellipse() : Rectangle.SHARP;
        Box box = path.bounds();
        double thin = square ? Math.min(u.length(), v.length()) : box.shorter();
        if (thin < Seat.THINNEST) {
            tiny++;
            return Optional.empty();
        }
        Seat seat = !square ? Seat.upright(box.centre(), box.width(), box.height())
                : new Seat(unit.apply(Point.ORIGIN), u.length(), v.length(), Affine.normalTurn(Math.toDegrees(Math.atan2(u.y(), u.x()))),
                        false);
        Finish finish = form.rim().map(rim -> Finish.NONE.rimmed(Optional.of(scaled(rim)))).orElse(Finish.NONE);
        List<Content> layers = new ArrayList<>();
        for (Shown shown : form.pictures()) layer(shown, seat).ifPresent(layers::add);
        return Optional.of(new Panel(Basics.of(id, name, seat).finished(finish), outline, layers));
    }

    private Optional<PictureLayer> layer(Shown shown, Seat seat) {
        Picture picture = pictures.get(shown.image());
        if (picture == null) {
            unreadable++;
            return Optional.empty();
        }
        Affine map = seat.toSheet().inverse().after(place).after(shown.map()).after(inBox(shown, picture));
        Point across = new Point(map.a(), map.b());
        Point down = new Point(map.c(), map.d());
        if (Math.abs(across.dot(down)) > 1e-4 * across.length() * down.length()) {
            slanted++;
            return Optional.empty();
        }
        boolean mirrored = map.determinant() < 0;
        double turn = Math.toDegrees(mirrored ? Math.atan2(-map.b(), -map.a()) : Math.atan2(map.b(), map.a()));
        Point centre = map.apply(new Point(picture.width() / 2.0, picture.height() / 2.0));
        return Optional.of(PictureLayer.own(picture, Fit.FREE, new Pose(centre, across.length(), down.length(), turn, mirrored), false));
    }

    /** From a picture's pixels to the box it was put into (SVG 1.1, 7.8, preserveAspectRatio). */
    private static Affine inBox(Shown shown, Picture picture) {
        Box box = shown.box();
        double sx = box.width() / picture.width();
        double sy = box.height() / picture.height();
        String fit = shown.fit().isBlank() ? "xMidYMid meet" : shown.fit().strip();
        if (fit.contains("none")) return Affine.move(box.x(), box.y()).after(Affine.scale(sx, sy));
        double scale = fit.contains("slice") ? Math.max(sx, sy) : Math.min(sx, sy);
        double x = fit.contains("xMin") ? 0 : fit.contains("xMax") ? 1 : 0.5;
        double y = fit.contains("YMin") ? 0 : fit.contains("YMax") ? 1 : 0.5;
        return Affine.move(box.x() + (box.width() - picture.width() * scale) * x, box.y() + (box.height() - picture.height() * scale) * y)
                .after(Affine.scale(scale, scale));
    }
}
