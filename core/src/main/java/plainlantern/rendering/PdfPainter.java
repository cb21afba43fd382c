package plainlantern.rendering;

import java.io.IOException;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiFunction;
import org.apache.pdfbox.cos.COSBoolean;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDFormContentStream;
import org.apache.pdfbox.pdmodel.PDResources;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.graphics.form.PDFormXObject;
import org.apache.pdfbox.pdmodel.graphics.image.PDImageXObject;
import org.apache.pdfbox.pdmodel.graphics.state.PDExtendedGraphicsState;
import org.apache.pdfbox.util.Matrix;
import plainlantern.asking.Unit;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Box;
import plainlantern.geometry.FillRule;
import plainlantern.geometry.Path;
import plainlantern.geometry.Point;
import plainlantern.lettering.Setting;
import plainlantern.picture.PictureSource;
import plainlantern.picture.Rows;
import plainlantern.picture.Tile;
import plainlantern.scene.Scene.Item;
import plainlantern.scene.Scene.Line;
import plainlantern.scene.Scene.PaintedLetters;
import plainlantern.scene.Scene.PaintedPicture;
import plainlantern.scene.Scene.PaintedWash;
import plainlantern.scene.Scene;
import plainlantern.sheet.Blend;
import plainlantern.sheet.Look;
import plainlantern.sheet.Stop;
import plainlantern.sheet.Treated;

/**
 * Scenes to PDF, in millimetres from the sheet's upper left corner. Forms are clips, rims are strokes, words are text in embedded
 * fonts. Pixels stand for what PDF has no words for: shadows, soft edges, what is seen through a shadow inside, colours that fade,
 * blurred pictures.
 */
final class PdfPainter {
    /** Soft pixels need no more than so many for each deviation of the curve that softened them. */
    private static final double PIXELS_A_DEVIATION = 4;
    private static final double SOFT_PPI = 150;

    private final PDDocument document;
    private final Delivery delivery;
    private final PictureSource pictures;
    private final PdfImages images;
    private final PdfFonts fonts;

    /** @param needed the document's pictures, as it needs them */
    PdfPainter(PDDocument document, Delivery delivery, Map<Treated, Placed.Needed> needed, PictureSource pictures) {
        this.document = document;
        this.delivery = delivery;
        this.pictures = pictures;
        images = new PdfImages(document, needed, new Placed(ppi(), pictures), delivery.quality());
        fonts = new PdfFonts(document);
    }

    /** Whether an element is pixels, all of it but its shadow: its edges, or what falls into it, are soft. */
    static boolean flat(Item item) {
        return item.soft().isPresent() || item.inner().isPresent();
    }

    /** The most pixels that a soft edge or a shadow of a scene is painted with in a box, at a number of pixels an inch. */
    static double softened(Scene scene, Box box, double ppi) {
        return scene.items().stream().mapToDouble(item -> flat(item) ? pixels(item, box, ppi) : shaded(item, box, ppi)).max().orElse(0);
    }

    /** The most pixels that a shadow of an element is painted with. */
    static double shaded(Item item, Box box, double ppi) {
        return item.shades().stream().mapToDouble(shade -> pixels(item, box, softPpi(shade.deviation(), ppi))).max().orElse(0);
    }

    private static double pixels(Item item, Box box, double ppi) {
        Box reach = item.reach();
        double across = Math.min(reach.right(), box.right()) - Math.max(reach.x(), box.x());
        double down = Math.min(reach.bottom(), box.bottom()) - Math.max(reach.y(), box.y());
        return Math.max(0, across) * Math.max(0, down) * Math.pow(ppi / Unit.MM_PER_INCH, 2);
    }

    /** Pixels an inch on the sheet. */
    private double ppi() {
        return delivery.ppi() * delivery.scale();
    }

    /** Leaves of each font what was used; after the last form. */
    void finish() throws IOException {
        fonts.finish();
    }

    /** Enough pixels an inch for what a curve of that deviation, mm, has softened. */
    private double softPpi(double deviation) {
        return softPpi(deviation, ppi());
    }

    private static double softPpi(double deviation, double ppi) {
        return deviation == 0 ? ppi : Math.min(ppi, PIXELS_A_DEVIATION / deviation * Unit.MM_PER_INCH);
    }

    /** A scene's part in that box. */
    PDFormXObject form(Scene scene, Box box, Progress progress) throws IOException {
        PDFormXObject form = form(box);
        try (PDFormContentStream to = new PDFormContentStream(form)) {
            if (scene.paper().isPresent()) new Painting(to, box).item(scene.paper().get());
            List<Item> items = scene.joined().items();
            for (int i = 0; i < items.size(); i++) {
                progress.at((double) i / items.size());
                new Painting(to, box).item(items.get(i));
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
            state.setBlendMode(PdfShadings.blend(look.blend()));
            to.setGraphicsStateParameters(state);
        }

        private void whole(Item item) throws IOException {
            if (!item.shades().isEmpty()) {
                double softest = item.shades().stream().mapToDouble(Scene.Shade::deviation).min().orElse(0);
                Affine toPixels = toPixels(softPpi(softest));
                for (Tile tile : ItemPainter.shades(item, toPixels, pixels(toPixels), pictures)) tile(tile, toPixels);
            }
            if (flat(item)) painted(item.plain().unshaded());
            else own(item);
        }

        /** The element as pixels. */
        private void painted(Item item) throws IOException {
            Affine toPixels = toPixels(ppi());
            Optional<Strips.Alone> alone = Strips.alone(item, toPixels, pixels(toPixels), pictures);
            if (alone.isEmpty()) return;
            try (Rows rows = alone.get().rows()) {
                draw(images.image(rows), alone.get().box(), toPixels);
            }
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
            draw(images.image(tile), tile.box(), toPixels);
        }

        /** An image in a box of pixels. */
        private void draw(PDImageXObject image, Box box, Affine toPixels) throws IOException {
            to.drawImage(image, matrix(toPixels.inverse().after(unit(box))));
        }

        private void own(Item item) throws IOException {
            if (!item.layers().isEmpty() && !item.under().empty()) {
                to.saveGraphicsState();
                clip(item.under());
                for (Scene.Layer layer : item.layers()) {
                    to.saveGraphicsState();
                    look(layer.look());
                    layer.on(brush(item));
                    to.restoreGraphicsState();
                }
                to.restoreGraphicsState();
            }
            if (item.rim().isPresent()) rim(item.rim().get(), item.clip());
        }

        /** The layers of one element. */
        private Scene.Brush<IOException> brush(Item item) {
            return new Scene.Brush<>() {
                @Override
                public void picture(PaintedPicture layer) throws IOException {
                    if (layer.blur() > 0) painted(item, toPixels(softPpi(layer.blur())),
                            (map, box) -> LayerPainter.pixels(layer, map, box, pictures));
                    else to.drawImage(images.image(layer), matrix(layer.pixelsToSheet().after(unit(images.place(layer)))));
                }

                @Override
                public void wash(PaintedWash layer) throws IOException {
                    Painting.this.wash(layer, item);
                }

                @Override
                public void letters(PaintedLetters layer) throws IOException {
                    if (layer.outlines().empty()) return;
                    veil(layer);
                    Painting.this.letters(layer);
                }
            };
        }

        /** What follows is seen through the mask of a layer's veil, where it has one (ISO 32000-1, 11.6.5.2). */
        private void veil(Scene.Layer layer) throws IOException {
            if (layer.mask().isEmpty()) return;
            Scene.Mask mask = layer.mask().get();
            PDFormXObject left = form(page);
            COSDictionary group = group(true);
            group.setItem(COSName.CS, COSName.DEVICEGRAY);
            left.getCOSObject().setItem("Group", group);
            try (PDFormContentStream inner = new PDFormContentStream(left)) {
                inner.drawImage(images.mask(layer), matrix(mask.lies().after(unit(new Box(0, 0, mask.width(),
                        mask.height())))));
            }
            COSDictionary soft = new COSDictionary();
            soft.setItem(COSName.S, COSName.LUMINOSITY);
            soft.setItem(COSName.G, left);
            PDExtendedGraphicsState state = new PDExtendedGraphicsState();
            state.getCOSObject().setItem(COSName.SMASK, soft);
            to.setGraphicsStateParameters(state);
        }

        private void letters(PaintedLetters letters) throws IOException {
            colour(letters.colour().rgb());
            if (delivery.live() && letters.words().complete()) text(letters);
            else fill(letters.outlines());
        }

        private void colour(int rgb) throws IOException {
            to.setNonStrokingColor(PdfShadings.red(rgb), PdfShadings.green(rgb), PdfShadings.blue(rgb));
        }

        private void fill(Path path) throws IOException {
            draw(path);
            if (path.rule() == FillRule.EVEN_ODD) to.fillEvenOdd();
            else to.fill();
        }

        private void clip(Path path) throws IOException {
            draw(path);
            if (path.rule() == FillRule.EVEN_ODD) to.clipEvenOdd();
            else to.clip();
        }

        private void wash(PaintedWash wash, Item item) throws IOException {
            List<Stop> stops = wash.stops();
            if (stops.stream().anyMatch(stop -> stop.opacity() < 1)) {
                painted(item, toPixels(wash.mask().isPresent() ? ppi() : Math.min(ppi(), SOFT_PPI)),
                        (toPixels, box) -> LayerPainter.washed(wash, toPixels, Tile.over(box)));
                return;
            }
            veil(wash);
            if (stops.size() == 1) {
                colour(stops.get(0).colour().rgb());
                fill(item.under());
            } else {
                to.shadingFill(PdfShadings.shading(wash));
            }
        }

        private void text(PaintedLetters letters) throws IOException {
            Setting setting = letters.words().style().setting();
            PDFormXObject text = form(letters.outlines().bounds().grown(setting.size()));
            PdfText.write(text, fonts.font(setting.face()), setting, letters.words().lines(), letters.words().map());
            to.drawForm(text);
        }

        private void rim(Line line, Path form) throws IOException {
            to.saveGraphicsState();
            if (line.within() != Scene.Within.ALL) {
                if (line.within() == Scene.Within.OUTSIDE) draw(Path.box(page.union(form.bounds()).grown(1)));
                clip(form);
            }
            int rgb = line.colour().rgb();
            to.setStrokingColor(PdfShadings.red(rgb), PdfShadings.green(rgb), PdfShadings.blue(rgb));
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
            draw(line.path());
            to.stroke();
            to.restoreGraphicsState();
        }

        private void draw(Path path) throws IOException {
            path.draw(new Path.Pen<IOException>() {
                @Override
                public void move(Point at) throws IOException {
                    to.moveTo((float) at.x(), (float) at.y());
                }

                @Override
                public void line(Point at) throws IOException {
                    to.lineTo((float) at.x(), (float) at.y());
                }

                @Override
                public void cubic(Point a, Point b, Point at) throws IOException {
                    to.curveTo((float) a.x(), (float) a.y(), (float) b.x(), (float) b.y(), (float) at.x(), (float) at.y());
                }

                @Override
                public void close() throws IOException {
                    to.closePath();
                }
            });
        }
    }

    /** From PDF's unit square, which stands on its lower edge, to pixels. */
    private static Affine unit(Box place) {
        return new Affine(place.width(), 0, 0, -place.height(), place.x(), place.bottom());
    }

    private static Matrix matrix(Affine m) {
        return new Matrix((float) m.a(), (float) m.b(), (float) m.c(), (float) m.d(), (float) m.e(), (float) m.f());
    }

}
