package plainlantern.rendering;

import static plainlantern.outline.PathData.number;

import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Algebra;
import plainlantern.geometry.Box;
import plainlantern.geometry.Path;
import plainlantern.geometry.Point;
import plainlantern.lettering.LetterStyle;
import plainlantern.lettering.Run;
import plainlantern.lettering.Setting;
import plainlantern.outline.PathData;
import plainlantern.scene.Scene.Line;
import plainlantern.scene.Scene.PaintedLetters;
import plainlantern.scene.Scene.PaintedPicture;
import plainlantern.scene.Scene.PaintedWash;
import plainlantern.scene.Scene;
import plainlantern.sheet.Blend;
import plainlantern.sheet.Look;
import plainlantern.sheet.Rim;
import plainlantern.sheet.Stop;

/** Scene to SVG; one user unit is one millimetre. */
public final class SvgPainter {
    private SvgPainter() {}

    /**
     * A whole SVG document.
     *
     * @param href where the pixels of a picture are, its background taken out where it says so: a file, an address or a data URI
     */
    public static String document(Scene scene, Addresses href) {
        return document(scene, new Box(0, 0, scene.width(), scene.height()), 1, href, "", false);
    }

    /**
     * A part of a scene.
     *
     * Each element is a group with its name as the title; of slices that were joined the names stand one below the other, and their forms
     * in the group's data-pieces, in the same order.
     *
     * @param scale       how many times as large it is
     * @param definitions stand before all else; an address that begins with # names one of them
     * @param live        whether words stay text, in fonts that {@code definitions} bring along
     */
    static String document(Scene scene, Box box, double scale, Addresses href, String definitions, boolean live) {
        StringBuilder out = new StringBuilder("<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"" + number(box.width() * scale, 5)
                + "mm\" height=\"" + number(box.height() * scale, 5)
                + "mm\" viewBox=\"" + number(box.x(), 5) + " " + number(box.y(), 5) + " " + number(box.width(), 5) + " "
                        + number(box.height(), 5) + "\">");
        if (scene.items().stream().anyMatch(i -> i.look().blend() != Blend.NORMAL
                || i.layers().stream().anyMatch(l -> l.look().blend() != Blend.NORMAL))) out.append(rules());
        out.append(definitions);
        Surface surface = Surface.document(href, live);
        scene.paper().ifPresent(paper -> out.append(item(paper, surface)));
        for (Scene.Joined joined : scene.pieced()) {
            List<Scene.Item> pieces = joined.pieces();
            out.append("<g class=\"panel\"");
            if (pieces.size() > 1) out.append(" data-pieces=\"").append(pieces.stream()
                    .map(piece -> PathData.of(Algebra.evenOdd(piece.clip()))).collect(Collectors.joining("|"))).append('"');
            out.append("><title>").append(escaped(pieces.stream().map(Scene.Item::name).collect(Collectors.joining("\n"))))
                    .append("</title>").append(item(joined.item(), surface)).append("</g>");
        }
        return out.append("</svg>").toString();
    }

    /** One item as a group that clips its layers, which meet each other alone. */
    static String item(Scene.Item item, Surface surface) {
        String id = surface.mark() + item.element();
        String look = look(item.look());
        StringBuilder out = new StringBuilder(look.isEmpty() ? "" : "<g" + look + ">");
        String around = SvgShades.around(item, id, surface, out);
        out.append("<clipPath id=\"clip-").append(id).append("\">").append(surface.clip(item.under(), item.element()))
                .append("</clipPath>").append(around).append("<g class=\"layers\" clip-path=\"url(#clip-").append(id).append(")\"");
        if (item.soft().isPresent()) out.append(" mask=\"url(#soft-").append(id).append(")\"");
        out.append('>');
        // A rim wider than the form hides all that is in it.
        if (!item.under().empty()) for (Scene.Layer layer : item.layers()) layer.on(new Layers(item, id, surface, out));
        SvgShades.onto(item, id, surface, out);
        out.append("</g>");
        if (SvgShades.filtersInside(item)) out.append("</g>");
        item.rim().ifPresent(rim -> line(rim, item.clip(), id, surface, out));
        if (SvgShades.filtersWhole(item)) out.append("</g>");
        return out.append(look.isEmpty() ? "" : "</g>").toString();
    }

    /** The form and all around it, as far as any line reaches: even-odd, that is the outside. */
    private static final String FAR = "M-99999 -99999H99999V99999H-99999Z";

    private static void line(Line line, Path form, String id, Surface surface, StringBuilder out) {
        if (line.within() != Scene.Within.ALL) {
            out.append("<clipPath id=\"rim-").append(id).append("\"><path d=\"").append(line.within() == Scene.Within.OUTSIDE ? FAR : "")
                    .append(surface.d(form))
                    .append("\" clip-rule=\"").append(form.rule().label()).append("\"/></clipPath>");
        }
        out.append("<path class=\"rim\" fill=\"none\" d=\"").append(surface.d(line.path())).append("\" stroke=\"")
                .append(line.colour().hex()).append('"');
        numbers(out, "stroke-width", line.width(), "stroke-miterlimit", Line.MITER_LIMIT);
        out.append(" stroke-linejoin=\"").append(line.join().label()).append('"');
        if (!line.dashes().isEmpty()) out.append(" stroke-dasharray=\"")
                .append(line.dashes().stream().map(d -> number(d, 6)).collect(Collectors.joining(" "))).append('"');
        if (line.ends() != Rim.Ends.BUTT) out.append(" stroke-linecap=\"").append(line.ends().label()).append('"');
        if (line.within() != Scene.Within.ALL) out.append(" clip-path=\"url(#rim-").append(id).append(")\"");
        out.append("/>");
    }

    /** The layers of one item. */
    private record Layers(Scene.Item item, String id, Surface surface, StringBuilder out) implements Scene.Brush<RuntimeException> {
        @Override
        public void picture(PaintedPicture layer) {
            if (layer.blur() > 0) SvgShades.blur("blur-" + id, layer.blur(), item.under().bounds(), out);
            veiled(layer, look -> SvgPainter.picture(layer, id, surface.href(), look, out));
        }

        @Override
        public void wash(PaintedWash layer) {
            veiled(layer, look -> SvgPainter.wash(layer, item, id, look, out));
        }

        @Override
        public void letters(PaintedLetters layer) {
            veiled(layer, look -> {
                if (surface.live() && layer.words().complete()) SvgPainter.words(layer, look, out);
                else SvgPainter.letters(layer, surface, look, out);
            });
        }

        /** Seen through the mask of its veil, where there is one; a group that is masked is what meets the layers behind it. */
        private void veiled(Scene.Layer layer, Consumer<String> paint) {
            String look = look(layer.look());
            Optional<String> address = layer.mask().flatMap(mask -> surface.href().veil(item.element(), layer));
            address.ifPresent(href -> veil(layer, id, href, look, out));
            paint.accept(address.isPresent() ? "" : look);
            if (address.isPresent()) out.append("</g>");
        }
    }

    /** What a veil leaves of a layer as a mask of it, and the beginning of a group that is seen through that. */
    private static void veil(Scene.Layer layer, String id, String href, String look, StringBuilder out) {
        Scene.Mask mask = layer.mask().orElseThrow();
        String name = "veil-" + id + "-" + layer.at();
        Box box = Path.box(new Box(0, 0, mask.width(), mask.height())).mapped(mask.lies()).bounds();
        // It goes on being seen while the picture is dragged.
        Box room = box.grown(Math.max(box.width(), box.height()));
        out.append("<mask id=\"").append(name).append("\" maskUnits=\"userSpaceOnUse\"");
        numbers(out, "x", room.x(), "y", room.y(), "width", room.width(), "height", room.height());
        out.append("><image");
        numbers(out, "width", mask.width(), "height", mask.height());
        out.append(" preserveAspectRatio=\"none\" data-veil=\"").append(layer.at()).append("\" transform=\"")
                .append(matrix(mask.lies())).append("\" href=\"").append(href).append("\"/></mask><g mask=\"url(#").append(name)
                .append(")\"").append(look).append('>');
    }

    private static void picture(PaintedPicture layer, String id, Addresses href, String look, StringBuilder out) {
        if (layer.blur() > 0) out.append("<g filter=\"url(#blur-").append(id).append(")\">");
        String from = href.picture(layer);
        String before = layer.treated().tones().isEmpty() || layer.treated().through().isPresent() || !from.startsWith("/") ? ""
                : "\" data-before=\"" + href.picture(layer.toneless()).replaceFirst("/[^/]*$", "");
        if (from.startsWith("#")) out.append("<use");
        else out.append("<image width=\"").append(layer.width()).append("\" height=\"").append(layer.height())
                .append("\" preserveAspectRatio=\"none\"");
        out.append(" data-layer=\"").append(layer.at()).append("\" data-picture=\"").append(layer.treated().subject()).append(before)
                .append("\" transform=\"").append(matrix(layer.pixelsToSheet()))
                .append("\" href=\"").append(from).append('"').append(look).append(layer.blur() > 0 ? "/></g>" : "/>");
    }

    private static void wash(PaintedWash layer, Scene.Item item, String mark, String look, StringBuilder out) {
        String id = "wash-" + mark + "-" + layer.at();
        Point way = layer.to().minus(layer.from());
        String name = layer.round() ? "radialGradient" : "linearGradient";
        out.append('<').append(name).append(" id=\"").append(id).append("\" gradientUnits=\"userSpaceOnUse\"");
        if (layer.round()) numbers(out, "cx", layer.from().x(), "cy", layer.from().y(), "r", Math.hypot(way.x(), way.y()));
        else numbers(out, "x1", layer.from().x(), "y1", layer.from().y(), "x2", layer.to().x(), "y2", layer.to().y());
        out.append('>');
        for (Stop stop : layer.stops()) {
            out.append("<stop");
            numbers(out, "offset", stop.at(), "stop-opacity", stop.opacity());
            out.append(" stop-color=\"").append(stop.colour().hex()).append("\"/>");
        }
        Box box = item.under().bounds();
        out.append("</").append(name).append("><rect data-layer=\"").append(layer.at()).append('"');
        numbers(out, "x", box.x(), "y", box.y(), "width", box.width(), "height", box.height());
        out.append(" fill=\"url(#").append(id).append(")\"").append(look).append("/>");
    }

    private static void letters(PaintedLetters layer, Surface surface, String look, StringBuilder out) {
        out.append("<path data-layer=\"").append(layer.at()).append("\" fill-rule=\"nonzero\" d=\"").append(surface.d(layer.outlines()))
                .append("\" fill=\"").append(layer.colour().hex()).append('"').append(look).append("/>");
    }

    /** Each run as one text, so that whoever shows it shapes it as a whole; its direction is what was found, not what is found anew. */
    private static void words(PaintedLetters layer, String look, StringBuilder out) {
        LetterStyle style = layer.words().style();
        out.append("<g data-layer=\"").append(layer.at()).append("\" transform=\"").append(matrix(layer.words().map()))
                .append("\" font-family=\"").append(style.typeface().label()).append("\" font-weight=\"").append(style.weight())
                        .append('"');
        numbers(out, "font-size", style.size(), "letter-spacing", style.tracking() / 1000 * style.size());
        out.append(" style=\"font-kerning:normal;white-space:pre\" fill=\"").append(layer.colour().hex()).append('"')
                .append(look).append('>');
        for (Setting.Line line : layer.words().lines()) for (Run run : line.runs()) {
            out.append("<text");
            numbers(out, "x", run.rightToLeft() ? run.x() + run.width() : run.x(), "y", run.y());
            out.append(run.rightToLeft() ? " direction=\"rtl\" unicode-bidi=\"bidi-override\">" : ">")
                    .append(escaped(run.text())).append("</text>");
        }
        out.append("</g>");
    }

    /** Text between tags; characters that no XML document may have (XML 1.0, 2.2), such as U+FFFE, are left out. */
    static String escaped(String text) {
        StringBuilder out = new StringBuilder(text.length());
        text.codePoints().filter(SvgPainter::allowed).forEach(out::appendCodePoint);
        return out.toString().replace("&", "&amp;").replace("<", "&lt;").replace(">", "&gt;");
    }

    private static boolean allowed(int c) {
        return c >= 0x20 ? !(c >= 0xD800 && c <= 0xDFFF) && c != 0xFFFE && c != 0xFFFF : c == '\t' || c == '\n' || c == '\r';
    }

    static void numbers(StringBuilder out, Object... namesAndValues) {
        for (int i = 0; i < namesAndValues.length; i += 2) {
            out.append(' ').append(namesAndValues[i]).append("=\"").append(number((Double) namesAndValues[i + 1], 6)).append('"');
        }
    }

    private static String look(Look look) {
        String out = look.opacity() == 1 ? "" : " opacity=\"" + number(look.opacity(), 4) + "\"";
        return look.blend() == Blend.NORMAL ? out : out + " class=\"blend-" + look.blend().css() + "\"";
    }

    /** The rules by which a document's classes blend; the board's own style sheet has the same. */
    private static String rules() {
        StringBuilder out = new StringBuilder("<style>.layers{isolation:isolate}");
        for (Blend blend : Blend.values())
            out.append(".blend-").append(blend.css()).append("{mix-blend-mode:").append(blend.css()).append('}');
        return out.append("</style>").toString();
    }

    /** An affine map as SVG writes it; nine decimals for what multiplies thousands of pixels. */
    public static String matrix(Affine m) {
        return "matrix(" + number(m.a(), 9) + " " + number(m.b(), 9) + " " + number(m.c(), 9) + " " + number(m.d(), 9) + " "
                + number(m.e(), 6) + " " + number(m.f(), 6) + ")";
    }
}
