package plainlantern.rendering;

import java.net.URI;
import java.net.URISyntaxException;
import java.util.Base64;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import plainlantern.lettering.LetterStyle;
import plainlantern.picture.Encoder;
import plainlantern.picture.FileKind;
import plainlantern.geometry.Box;
import plainlantern.outline.PathData;
import plainlantern.picture.PictureSource;
import plainlantern.scene.Glazes;
import plainlantern.scene.Page;
import plainlantern.scene.Scene.PaintedPicture;
import plainlantern.scene.Scene;
import plainlantern.sheet.Treated;

/**
 * A page as SVG (SVG 2, CSS Compositing for blend modes): forms stay outlines, words text or outlines, every picture is there once.
 *
 * @param pictures the files beside it, by their names, where its pictures are linked
 */
record SvgDelivery(String document, Map<String, byte[]> pictures) {
    /** Of files that are measured by what shows them. */
    private static final int SCREEN = 72;

    /** @param folder what the linked files' names begin with */
    static SvgDelivery of(Delivery delivery, Page page, PictureSource source, String folder) {
        Scene whole = delivery.scene(page);
        Scene scene = Glazes.uncovered(whole, page.box());
        Placed placed = new Placed(delivery.ppi() * delivery.scale(), Glazing.of(List.of(whole), source));
        StringBuilder definitions = new StringBuilder();
        Map<Treated, String> names = new LinkedHashMap<>();
        Files files = new Files(delivery.linked(), folder, new LinkedHashMap<>());
        Placed.needed(List.of(scene)).forEach((key, needed) -> {
            String name = "picture-" + names.size();
            names.put(key, "#" + name);
            Box place = placed.place(needed);
            definitions.append("<image id=\"").append(name).append("\" x=\"").append(number(place.x())).append("\" y=\"")
                    .append(number(place.y())).append("\" width=\"").append(number(place.width())).append("\" height=\"")
                    .append(number(place.height())).append("\" preserveAspectRatio=\"none\" href=\"")
                    .append(files.address(placed.file(needed, delivery.quality()))).append("\"/>");
        });
        if (delivery.live()) fonts(scene, definitions);
        String defs = definitions.isEmpty() ? "" : "<defs>" + definitions + "</defs>";
        Addresses addresses = new Addresses() {
            @Override
            public String picture(PaintedPicture layer) {
                return names.get(layer.treated());
            }

            @Override
            public Optional<String> veil(String element, Scene.Layer layer) {
                return layer.picture().isPresent() ? Optional.empty() : Optional.of(files.address(Encoder.png(placed.left(layer), SCREEN)));
            }
        };
        return new SvgDelivery(SvgPainter.document(scene, page.box(), delivery.scale(), addresses, defs, delivery.live()), files.beside());
    }

    /**
     * What a document shows as images.
     *
     * @param beside the files beside it, where they are linked
     */
    private record Files(boolean linked, String folder, Map<String, byte[]> beside) {
        /** Where the document finds a file. */
        String address(byte[] file) {
            FileKind kind = FileKind.of(file).orElseThrow();
            if (!linked) return "data:" + kind.mediaType() + ";base64," + Base64.getEncoder().encodeToString(file);
            String name = folder + (beside.size() + 1) + "." + kind.extension();
            beside.put(name, file);
            return SvgDelivery.address(name);
        }
    }

    private static String number(double pixels) {
        return PathData.number(pixels, 6);
    }

    /** As an address relative to the document (RFC 3986). */
    private static String address(String path) {
        try {
            return new URI(null, null, path, null).toASCIIString().replace("&", "%26");
        } catch (URISyntaxException e) {
            throw new IllegalArgumentException(path, e);
        }
    }

    private static void fonts(Scene scene, StringBuilder out) {
        Map<String, LetterStyle> used = new TreeMap<>();
        for (Scene.Item item : scene.items()) for (Scene.Layer layer : item.layers()) layer.letters().ifPresent(letters -> {
            LetterStyle style = letters.words().style();
            used.put(style.typeface().file(style.weight()), style);
        });
        if (used.isEmpty()) return;
        out.append("<style>");
        for (LetterStyle style : used.values()) {
            out.append("@font-face{font-family:'").append(style.typeface().label()).append("';font-weight:").append(style.weight())
                    .append(";src:url(data:font/ttf;base64,").append(Base64.getEncoder().encodeToString(style.setting().face().file()))
                    .append(")}");
        }
        out.append("</style>");
    }
}
