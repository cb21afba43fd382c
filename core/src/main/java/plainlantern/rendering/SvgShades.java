package plainlantern.rendering;

import static plainlantern.outline.PathData.number;
import static plainlantern.rendering.SvgPainter.numbers;

import java.awt.image.BufferedImage;
import java.util.Base64;
import java.util.Optional;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Box;
import plainlantern.picture.Encoder;
import plainlantern.picture.Tile;
import plainlantern.scene.Scene.Item;
import plainlantern.scene.Scene.Shade;
import plainlantern.sheet.Rim;

/** Shadows and soft edges as SVG: a form that casts is blurred by itself; where what is painted casts, a filter sees to it. */
final class SvgShades {
    /** Pixels of a small image for a standard deviation. */
    private static final double FINE = 3;
    /** A side of a small image has at most so many pixels. */
    private static final double LARGEST = 320;

    private SvgShades() {}

    /**
     * What lies behind an item, and the definitions that it needs; returns the groups that its layers are to stand in. On a screen shadows
     * may be small images that are ready: browsers blur anew whenever something near moves.
     */
    static String around(Item item, String id, Surface surface, StringBuilder out) {
        StringBuilder groups = new StringBuilder();
        int count = 0;
        for (Shade shade : item.shades()) {
            String name = "shade-" + id + "-" + count++;
            if (surface.screen() && shade.form().isPresent() && bitmap(shade, out)) continue;
            if (shade.form().isPresent()) {
                blur(name, shade.deviation(), shade.form().get().bounds(), out);
                path(shade, surface.d(shade.form().get()), name, out);
            } else {
                Box reach = reach(item).grown(room(shade));
                filter(name, reach, out);
                cast(shade, shade.spread(), out);
                flood(shade, out);
                out.append("<feComposite in2=\"cast\" operator=\"in\" result=\"shade\"/><feMerge><feMergeNode "
                        + "in=\"shade\"/><feMergeNode in=\"SourceGraphic\"/></feMerge></filter>");
                groups.append("<g filter=\"url(#").append(name).append(")\">");
            }
        }
        if (filtersInside(item)) {
            Shade shade = item.inner().orElseThrow();
            String name = "inner-" + id;
            filter(name, item.clip().bounds().grown(room(shade)), out);
            cast(shade, -shade.spread(), out);
            out.append("<feComponentTransfer result=\"dark\"><feFuncA type=\"table\" tableValues=\"1 0\"/></feComponentTransfer>");
            flood(shade, out);
            out.append("<feComposite in2=\"dark\" operator=\"in\"/><feComposite in2=\"SourceGraphic\" operator=\"atop\"/></filter>");
            groups.append("<g filter=\"url(#").append(name).append(")\">");
        }
        item.soft().ifPresent(soft -> {
            Box box = item.clip().bounds();
            blur("fade-" + id, soft.deviation(), box, out);
            out.append("<mask id=\"soft-").append(id).append("\" maskUnits=\"userSpaceOnUse\"");
            box(box, out);
            out.append("><path d=\"").append(surface.d(soft.form())).append("\" fill=\"#fff\" fill-rule=\"")
                    .append(soft.form().rule().label()).append("\" filter=\"url(#fade-").append(id).append(")\"/></mask>");
        });
        return groups.toString();
    }

    /** Draws a shadow as an image of a few pixels a standard deviation, which is as smooth; false where that would be a large one. */
    private static boolean bitmap(Shade shade, StringBuilder out) {
        if (shade.deviation() == 0 || shade.form().orElseThrow().empty()) return false;
        double scale = FINE / shade.deviation();
        Box box = shade.form().get().bounds().grown(Blur.reach(FINE) / scale);
        if (Math.max(box.width(), box.height()) * scale > LARGEST) return false;
        Tile tile = Tile.over(new Box(box.x() * scale, box.y() * scale, box.width() * scale, box.height() * scale));
        byte[] cover = Blur.of(Shapes2D.of(shade.form().get().mapped(Affine.scale(scale, scale))), FINE, tile);
        BufferedImage image = new BufferedImage(tile.width(), tile.height(), BufferedImage.TYPE_INT_ARGB);
        for (int i = 0; i < cover.length; i++)
            image.setRGB(i % tile.width(), i / tile.width(), (int) ((cover[i] & 0xFF) * shade.opacity() + 0.5) << 24 | shade.colour()
                    .rgb());
        out.append("<image class=\"shade\" preserveAspectRatio=\"none\"");
        numbers(out, "x", tile.x() / scale, "y", tile.y() / scale, "width", tile.width() / scale, "height", tile.height() / scale);
        out.append(" href=\"data:image/png;base64,").append(Base64.getEncoder().encodeToString(Encoder.png(image, 72))).append("\"/>");
        return true;
    }

    /** Whether the whole item stands in a filter's group. */
    static boolean filtersWhole(Item item) {
        return item.shades().stream().anyMatch(shade -> shade.form().isEmpty());
    }

    /** Whether its layers stand in one. */
    static boolean filtersInside(Item item) {
        return item.inner().isPresent() && item.inner().get().form().isEmpty();
    }

    /** What the edge of a solid item casts onto its layers: all around the form, blurred. */
    static void onto(Item item, String id, Surface surface, StringBuilder out) {
        Optional<Shade> inner = item.inner().filter(shade -> shade.form().isPresent());
        inner.ifPresent(shade -> {
            Box frame = item.clip().bounds().grown(room(shade) + Math.max(Math.abs(shade.by().x()), Math.abs(shade.by().y())));
            blur("inner-" + id, shade.deviation(), frame, out);
            path(shade, "M" + number(frame.x(), 4) + " " + number(frame.y(), 4) + "H" + number(frame.right(), 4) + "V"
                    + number(frame.bottom(), 4) + "H" + number(frame.x(), 4) + "Z"
                    + surface.d(shade.form().orElseThrow()), "inner-" + id, out);
        });
    }

    private static double room(Shade shade) {
        return 3.5 * shade.deviation() + Math.max(0, shade.spread()) + Math.max(Math.abs(shade.by().x()), Math.abs(shade.by().y()));
    }

    private static Box reach(Item item) {
        double beyond = item.rim().map(line -> line.width() * (line.join() == Rim.Join.MITER ? 5 : 1)).orElse(0.0);
        return item.clip().bounds().grown(beyond);
    }

    private static void path(Shade shade, String d, String filter, StringBuilder out) {
        out.append("<path class=\"shade\" fill-rule=\"evenodd\" d=\"").append(d).append("\" fill=\"")
                .append(shade.colour().hex()).append('"');
        numbers(out, "fill-opacity", shade.opacity());
        if (shade.deviation() > 0) out.append(" filter=\"url(#").append(filter).append(")\"");
        out.append("/>");
    }

    static void blur(String id, double deviation, Box around, StringBuilder out) {
        if (deviation == 0) return;
        filter(id, around.grown(3.5 * deviation), out);
        out.append("<feGaussianBlur");
        numbers(out, "stdDeviation", deviation);
        out.append("/></filter>");
    }

    private static void filter(String id, Box box, StringBuilder out) {
        out.append("<filter id=\"").append(id).append("\" filterUnits=\"userSpaceOnUse\" color-interpolation-filters=\"sRGB\"");
        box(box, out);
        out.append('>');
    }

    /** The blurred and moved alpha of what is painted, under the name cast. */
    private static void cast(Shade shade, double grow, StringBuilder out) {
        String from = "SourceAlpha";
        if (grow != 0) {
            out.append("<feMorphology in=\"SourceAlpha\" result=\"grown\" operator=\"").append(grow > 0 ? "dilate" : "erode").append('"');
            numbers(out, "radius", Math.abs(grow));
            out.append("/>");
            from = "grown";
        }
        out.append("<feOffset class=\"shade\" in=\"").append(from).append("\" result=\"moved\"");
        numbers(out, "dx", shade.by().x(), "dy", shade.by().y());
        out.append("/><feGaussianBlur in=\"moved\" result=\"cast\"");
        numbers(out, "stdDeviation", shade.deviation());
        out.append("/>");
    }

    private static void flood(Shade shade, StringBuilder out) {
        out.append("<feFlood flood-color=\"").append(shade.colour().hex()).append('"');
        numbers(out, "flood-opacity", shade.opacity());
        out.append("/>");
    }

    private static void box(Box box, StringBuilder out) {
        numbers(out, "x", box.x(), "y", box.y(), "width", box.width(), "height", box.height());
    }
}
