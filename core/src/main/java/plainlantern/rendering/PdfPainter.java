package plainlantern.rendering;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiFunction;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSBoolean;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSFloat;
import org.apache.pdfbox.cos.COSInteger;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDFormContentStream;
import org.apache.pdfbox.pdmodel.PDResources;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.common.function.PDFunctionType3;
import org.apache.pdfbox.pdmodel.font.PDType0Font;
import org.apache.pdfbox.pdmodel.graphics.blend.BlendMode;
import org.apache.pdfbox.pdmodel.graphics.color.PDDeviceRGB;
import org.apache.pdfbox.pdmodel.graphics.form.PDFormXObject;
import org.apache.pdfbox.pdmodel.graphics.image.JPEGFactory;
import org.apache.pdfbox.pdmodel.graphics.image.LosslessFactory;
import org.apache.pdfbox.pdmodel.graphics.image.PDImageXObject;
import org.apache.pdfbox.pdmodel.graphics.shading.PDShading;
import org.apache.pdfbox.pdmodel.graphics.shading.PDShadingType2;
import org.apache.pdfbox.pdmodel.graphics.shading.PDShadingType3;
import org.apache.pdfbox.pdmodel.graphics.state.PDExtendedGraphicsState;
import org.apache.pdfbox.util.Matrix;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Box;
import plainlantern.geometry.Path;
import plainlantern.geometry.Point;
import plainlantern.geometry.Unit;
import plainlantern.lettering.LetterStyle;
import plainlantern.lettering.Setting;
import plainlantern.lettering.Typeface;
import plainlantern.picture.Encoder;
import plainlantern.picture.PictureSource;
import plainlantern.picture.Tile;
import plainlantern.scene.Scene;
import plainlantern.scene.Scene.Item;
import plainlantern.scene.Scene.LettersLayer;
import plainlantern.scene.Scene.Line;
import plainlantern.scene.Scene.PictureLayer;
import plainlantern.scene.Scene.WashLayer;
import plainlantern.sheet.Blend;
import plainlantern.sheet.Look;
import plainlantern.sheet.Stop;

/**
 * Scenes to PDF, in millimetres from the sheet's upper left corner. Forms are clips, rims are strokes, words are text in embedded fonts. Pixels
 * stand for what PDF has no words for: shadows, soft edges, what is seen through a shadow inside, colours that fade, blurred pictures.
 */
final class PdfPainter {
    /** Soft pixels need no more than so many for each deviation of the curve that softened them. */
    private static final double PIXELS_A_DEVIATION = 4;
    private static final double SOFT_PPI = 150;

    private final PDDocument document;
    private final Delivery delivery;
    private final Placed placed;
    private final PictureSource pictures;
    private final Map<String, PictureLayer> largest;
    private final Map<String, PDImageXObject> images = new HashMap<>();
    private final Map<Typeface, PDType0Font> fonts = new EnumMap<>(Typeface.class);

    /** @param largest the document's pictures where they are seen largest */
    PdfPainter(PDDocument document, Delivery delivery, Map<String, PictureLayer> largest, PictureSource pictures) {
        this.document = document;
        this.delivery = delivery;
        this.largest = largest;
        this.pictures = pictures;
        placed = new Placed(ppi(), pictures);
    }

    /** Pixels an inch on the sheet. */
    private double ppi() {
        return delivery.ppi() * delivery.scale();
    }

    /** Leaves of each font what was used; after the last form. */
    void finish() throws IOException {
        for (PDType0Font font : fonts.values()) font.subset();
    }

    /** Enough pixels an inch for what a curve of that deviation, mm, has softened. */
    private double softPpi(double deviation) {
        return deviation == 0 ? ppi() : Math.min(ppi(), PIXELS_A_DEVIATION / deviation * Unit.MM_PER_INCH);
    }

    /** A scene's part in that box. */
    PDFormXObject form(Scene scene, Box box, Progress progress) throws IOException {
        PDFormXObject form = form(box);
        try (PDFormContentStream to = new PDFormContentStream(form)) {
            if (scene.paper().isPresent()) new Painting(to, box).item(scene.paper().get());
            for (int i = 0; i < scene.items().size(); i++) {
                progress.at((double) i / scene.items().size());
                new Painting(to, box).item(scene.items().get(i));
            }
        }
        return form;
    }

    private PDFormXObject form(Box box) {
        PDFormXObject form = new PDFormXObject(document);
        form.setBBox(new PDRectangle((float) box.x(), (float) box.y(), (float) box.width(), (float) box.height()));
        form.setResources(new PDResources());
        return form;
    }

    /** What makes a group of a form or a page: it meets what is behind it as one; alone, where it is isolated. */
    static COSDictionary group(boolean isolated) {
        COSDictionary group = new COSDictionary();
        group.setItem(COSName.S, COSName.TRANSPARENCY);
        group.setItem(COSName.CS, COSName.DEVICERGB);
        if (isolated) group.setItem(COSName.I, COSBoolean.TRUE);
        return group;
    }

    /** Something that writes to a stream of PDF's operators. */
    private interface Work {
        void on(Painting painting) throws IOException;
    }

    /** One element onto one stream; {@code page} is all that can be seen. */
    private final class Painting {
        private final PDFormContentStream to;
        private final Box page;

        private Painting(PDFormContentStream to, Box page) {
            this.to = to;
            this.page = page;
        }

        private void item(Item item) throws IOException {
            boolean alone = item.layers().stream().anyMatch(layer -> layer.look().blend() != Blend.NORMAL);
            if (item.look().equals(Look.PLAIN) && !alone) whole(item);
            else grouped(item.look(), on -> on.whole(item));
        }

        private void grouped(Look look, Work work) throws IOException {
            PDFormXObject form = form(page);
            form.getCOSObject().setItem("Group", group(true));
            try (PDFormContentStream inner = new PDFormContentStream(form)) {
                work.on(new Painting(inner, page));
            }
            to.saveGraphicsState();
            look(look);
            to.drawForm(form);
            to.restoreGraphicsState();
        }

        private void look(Look look) throws IOException {
            if (look.equals(Look.PLAIN)) return;
            PDExtendedGraphicsState state = new PDExtendedGraphicsState();
            state.setNonStrokingAlphaConstant((float) look.opacity());
            state.setStrokingAlphaConstant((float) look.opacity());
            state.setBlendMode(blend(look.blend()));
            to.setGraphicsStateParameters(state);
        }

        private void whole(Item item) throws IOException {
            if (!item.shades().isEmpty()) {
                double softest = item.shades().stream().mapToDouble(Scene.Shade::deviation).min().orElse(0);
                Affine toPixels = toPixels(softPpi(softest));
                for (Tile tile : ItemPainter.shades(item, toPixels, pixels(toPixels), pictures)) tile(tile, toPixels);
            }
            if (item.soft().isPresent() || item.inner().isPresent()) painted(item.plain().unshaded());
            else own(item);
        }

        /** The element as pixels. */
        private void painted(Item item) throws IOException {
            Affine toPixels = toPixels(ppi());
            List<ItemPainter.Painted> parts = ItemPainter.painted(item, toPixels, pixels(toPixels), pictures);
            if (!parts.isEmpty()) tile(ItemPainter.together(parts, pixels(toPixels)), toPixels);
        }

        /** One layer as pixels, as far as the form reaches. */
        private void painted(Item item, Affine toPixels, BiFunction<Affine, Box, Tile> layer) throws IOException {
            Optional<Box> box = LayerPainter.inside(pixels(toPixels), Shapes2D.rectangle(item.under().mapped(toPixels).bounds()));
            if (box.isPresent()) tile(layer.apply(toPixels, box.get()), toPixels);
        }

        private Affine toPixels(double ppi) {
            double scale = ppi / Unit.MM_PER_INCH;
            return Affine.scale(scale, scale).after(Affine.move(-page.x(), -page.y()));
        }

        private Box pixels(Affine toPixels) {
            return new Box(0, 0, Math.max(1, Math.ceil(page.width() * toPixels.a())), Math.max(1, Math.ceil(page.height() * toPixels.d())));
        }

        private void tile(Tile tile, Affine toPixels) throws IOException {
            PDImageXObject image = LosslessFactory.createFromImage(document, tile.straight());
            to.drawImage(image, matrix(toPixels.inverse().after(Affine.move(tile.x(), tile.y())).after(unit(tile.width(), tile.height()))));
        }

        private void own(Item item) throws IOException {
            if (!item.layers().isEmpty() && !item.under().segments().isEmpty()) {
                to.saveGraphicsState();
                path(item.under());
                to.clipEvenOdd();
                for (Scene.Layer layer : item.layers()) {
                    to.saveGraphicsState();
                    look(layer.look());
                    layer(item, layer);
                    to.restoreGraphicsState();
                }
                to.restoreGraphicsState();
            }
            if (item.rim().isPresent()) rim(item.rim().get(), item.clip());
        }

        private void layer(Item item, Scene.Layer layer) throws IOException {
            if (layer instanceof PictureLayer picture && picture.blur() > 0) {
                painted(item, toPixels(softPpi(picture.blur())), (toPixels, box) -> LayerPainter.pixels(picture, toPixels, box, pictures));
            } else if (layer instanceof PictureLayer picture) {
                to.drawImage(image(picture), matrix(picture.pixelsToSheet().after(unit(picture.width(), picture.height()))));
            } else if (layer instanceof WashLayer wash) {
                wash(wash, item);
            } else if (layer instanceof LettersLayer letters && !letters.outlines().segments().isEmpty()) {
                to.setNonStrokingColor(red(letters.colour().rgb()), green(letters.colour().rgb()), blue(letters.colour().rgb()));
                if (delivery.live() && letters.words().complete()) {
                    text(letters);
                } else {
                    path(letters.outlines());
                    to.fill();
                }
            }
        }

        private void wash(WashLayer wash, Item item) throws IOException {
            List<Stop> stops = wash.stops();
            if (stops.stream().anyMatch(stop -> stop.opacity() < 1)) {
                painted(item, toPixels(Math.min(ppi(), SOFT_PPI)), (toPixels, box) -> LayerPainter.washed(wash, toPixels, Tile.over(box)));
            } else if (stops.size() == 1) {
                int rgb = stops.get(0).colour().rgb();
                to.setNonStrokingColor(red(rgb), green(rgb), blue(rgb));
                path(item.under());
                to.fillEvenOdd();
            } else {
                to.shadingFill(shading(wash));
            }
        }

        /** One letter at a time, so that no two are joined: set by advance widths, as the outlines are. */
        private void text(LettersLayer letters) throws IOException {
            LetterStyle style = letters.words().style();
            PDType0Font font = font(style.typeface());
            to.beginText();
            to.setFont(font, (float) style.size());
            to.setCharacterSpacing((float) (style.tracking() / 1000 * style.size()));
            for (Setting.Line line : letters.words().lines()) {
                for (Setting.Line run : Setting.runs(style, line)) {
                    to.setTextMatrix(matrix(letters.words().map().after(Affine.move(run.x(), run.y())).after(Affine.scale(1, -1))));
                    for (int letter : run.text().codePoints().toArray()) to.showText(Character.toString(letter));
                }
            }
            to.endText();
        }

        private void rim(Line line, Path form) throws IOException {
            to.saveGraphicsState();
            if (line.within() != Scene.Within.ALL) {
                if (line.within() == Scene.Within.OUTSIDE) path(Path.box(page.union(form.bounds()).grown(1)));
                path(form);
                to.clipEvenOdd();
            }
            int rgb = line.colour().rgb();
            to.setStrokingColor(red(rgb), green(rgb), blue(rgb));
            to.setLineWidth((float) line.width());
            to.setMiterLimit((float) Line.MITER_LIMIT);
            to.setLineJoinStyle(switch (line.join()) {
                case MITER -> 0;
                case ROUND -> 1;
                case BEVEL -> 2;
            });
            to.setLineCapStyle(switch (line.ends()) {
                case BUTT -> 0;
                case ROUND -> 1;
                case SQUARE -> 2;
            });
            float[] dashes = new float[line.dashes().size()];
            for (int i = 0; i < dashes.length; i++) dashes[i] = line.dashes().get(i).floatValue();
            if (dashes.length > 0) to.setLineDashPattern(dashes, 0);
            path(line.path());
            to.stroke();
            to.restoreGraphicsState();
        }

        private void path(Path path) throws IOException {
            for (Path.Segment segment : path.segments()) {
                if (segment instanceof Path.Segment.Move m) {
                    to.moveTo((float) m.to().x(), (float) m.to().y());
                } else if (segment instanceof Path.Segment.Line l) {
                    to.lineTo((float) l.to().x(), (float) l.to().y());
                } else if (segment instanceof Path.Segment.Cubic c) {
                    to.curveTo((float) c.control1().x(), (float) c.control1().y(), (float) c.control2().x(), (float) c.control2().y(), (float) c.to().x(), (float) c.to().y());
                } else {
                    to.closePath();
                }
            }
        }
    }

    /** From PDF's unit square, which stands on its lower edge, to pixels. */
    private static Affine unit(int width, int height) {
        return new Affine(width, 0, 0, -height, 0, height);
    }

    private static Matrix matrix(Affine m) {
        return new Matrix((float) m.a(), (float) m.b(), (float) m.c(), (float) m.d(), (float) m.e(), (float) m.f());
    }

    private static float red(int rgb) {
        return (rgb >> 16 & 0xFF) / 255f;
    }

    private static float green(int rgb) {
        return (rgb >> 8 & 0xFF) / 255f;
    }

    private static float blue(int rgb) {
        return (rgb & 0xFF) / 255f;
    }

    private PDImageXObject image(PictureLayer layer) throws IOException {
        String key = Placed.key(layer);
        PDImageXObject there = images.get(key);
        if (there != null) return there;
        PictureLayer wanted = largest.get(key);
        Optional<byte[]> untouched = placed.untouched(wanted);
        PDImageXObject image;
        if (untouched.isPresent()) {
            image = JPEGFactory.createFromByteArray(document, untouched.get());
        } else {
            BufferedImage sized = placed.sized(wanted);
            image = sized.getColorModel().hasAlpha() ? LosslessFactory.createFromImage(document, sized)
                    : JPEGFactory.createFromByteArray(document, Encoder.jpeg(sized, delivery.quality() / 100f, 72));
        }
        images.put(key, image);
        return image;
    }

    private PDType0Font font(Typeface typeface) throws IOException {
        PDType0Font there = fonts.get(typeface);
        if (there != null) return there;
        PDType0Font font = PDType0Font.load(document, new ByteArrayInputStream(typeface.bytes()), true);
        fonts.put(typeface, font);
        return font;
    }

    private static PDShading shading(WashLayer wash) throws IOException {
        COSDictionary dictionary = new COSDictionary();
        Point way = wash.to().minus(wash.from());
        PDShadingType2 shading = wash.round() ? new PDShadingType3(dictionary) : new PDShadingType2(dictionary);
        shading.setShadingType(wash.round() ? PDShading.SHADING_TYPE3 : PDShading.SHADING_TYPE2);
        shading.setColorSpace(PDDeviceRGB.INSTANCE);
        Point from = wash.from();
        shading.setCoords(wash.round() ? numbers(from.x(), from.y(), 0, from.x(), from.y(), Math.hypot(way.x(), way.y())) : numbers(from.x(), from.y(), wash.to().x(), wash.to().y()));
        COSArray extend = new COSArray();
        extend.add(COSBoolean.TRUE);
        extend.add(COSBoolean.TRUE);
        shading.setExtend(extend);
        shading.setFunction(new PDFunctionType3(stitched(wash.stops())));
        return shading;
    }

    /** One straight run from each stop to the next; before the first and after the last its own colour. */
    private static COSDictionary stitched(List<Stop> stops) {
        COSArray functions = new COSArray();
        COSArray bounds = new COSArray();
        COSArray encode = new COSArray();
        Stop last = stops.get(0);
        double reached = 0;
        for (int i = 0; i <= stops.size(); i++) {
            Stop next = stops.get(Math.min(i, stops.size() - 1));
            double end = i == stops.size() ? 1 : next.at();
            if (end <= reached && i < stops.size()) {
                last = next;
                continue;
            }
            if (functions.size() > 0) bounds.add(new COSFloat((float) reached));
            functions.add(run(last.colour().rgb(), next.colour().rgb()));
            encode.add(COSInteger.ZERO);
            encode.add(COSInteger.ONE);
            reached = end;
            last = next;
            if (reached >= 1) break;
        }
        COSDictionary stitched = new COSDictionary();
        stitched.setInt(COSName.FUNCTION_TYPE, 3);
        stitched.setItem(COSName.DOMAIN, numbers(0, 1));
        stitched.setItem(COSName.FUNCTIONS, functions);
        stitched.setItem(COSName.BOUNDS, bounds);
        stitched.setItem(COSName.ENCODE, encode);
        return stitched;
    }

    private static COSDictionary run(int from, int to) {
        COSDictionary run = new COSDictionary();
        run.setInt(COSName.FUNCTION_TYPE, 2);
        run.setItem(COSName.DOMAIN, numbers(0, 1));
        run.setItem(COSName.C0, numbers(red(from), green(from), blue(from)));
        run.setItem(COSName.C1, numbers(red(to), green(to), blue(to)));
        run.setInt(COSName.N, 1);
        return run;
    }

    private static COSArray numbers(double... values) {
        COSArray array = new COSArray();
        for (double value : values) array.add(new COSFloat((float) value));
        return array;
    }

    /** ISO 32000-1, 11.3.5: the same sixteen. */
    private static BlendMode blend(Blend blend) {
        return switch (blend) {
            case NORMAL -> BlendMode.NORMAL;
            case MULTIPLY -> BlendMode.MULTIPLY;
            case SCREEN -> BlendMode.SCREEN;
            case OVERLAY -> BlendMode.OVERLAY;
            case DARKEN -> BlendMode.DARKEN;
            case LIGHTEN -> BlendMode.LIGHTEN;
            case COLOR_DODGE -> BlendMode.COLOR_DODGE;
            case COLOR_BURN -> BlendMode.COLOR_BURN;
            case HARD_LIGHT -> BlendMode.HARD_LIGHT;
            case SOFT_LIGHT -> BlendMode.SOFT_LIGHT;
            case DIFFERENCE -> BlendMode.DIFFERENCE;
            case EXCLUSION -> BlendMode.EXCLUSION;
            case HUE -> BlendMode.HUE;
            case SATURATION -> BlendMode.SATURATION;
            case COLOR -> BlendMode.COLOR;
            case LUMINOSITY -> BlendMode.LUMINOSITY;
        };
    }
}
