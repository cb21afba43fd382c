package plainlantern.rendering;

import java.awt.image.BufferedImage;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import plainlantern.asking.Unit;
import plainlantern.checking.Legibility;
import plainlantern.fitting.Typesetting;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Box;
import plainlantern.geometry.Path;
import plainlantern.geometry.Point;
import plainlantern.picture.PictureSource;
import plainlantern.scene.Scene;
import plainlantern.sheet.Caption;
import plainlantern.sheet.Colour;
import plainlantern.sheet.Light;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.Wash;
import plainlantern.sheet.Words;
import plainlantern.treating.Patch;
import plainlantern.treating.Veiling;

/** How well words stand out from what is really behind them, by WCAG 2.2: relative luminance and contrast ratio, 1 to 21. */
public final class Contrast {
    /** What normal text needs for level AA (success criterion 1.4.3). */
    public static final double ENOUGH = 4.5;
    private static final int SAMPLES = 60;

    private Contrast() {}

    /** The contrast ratio of two colours. */
    public static double ratio(int one, int other) {
        double a = Light.luminance(one);
        double b = Light.luminance(other);
        return (Math.max(a, b) + 0.05) / (Math.min(a, b) + 0.05);
    }

    /**
     * A caption's words against what lies behind them on the sheet, looked at in spots a quarter of the letters' size; empty where
     * it has no words. The plate proposed, in whole percent, has its own colour; where none of that is enough, or there is no plate
     * yet, black or white, whichever is farther from the words'.
     */
    public static Optional<Legibility> of(Sheet sheet, Caption caption, PictureSource pictures) {
        Optional<Words> words = caption.content().stream().flatMap(layer -> layer.words().stream()).findFirst();
        Path outlines = words.map(w -> Typesetting.outlines(caption, w)).orElse(Path.EMPTY);
        if (outlines.empty()) return Optional.empty();
        Words text = words.get();
        Spots spots = Spots.over(outlines.bounds(), text.style().size() / 4);
        int[] behind = behind(sheet, caption, spots, pictures);
        float[] left = left(sheet, caption, spots);
        Optional<Wash> plate = caption.plate();
        Colour farther = Light.luminance(text.colour().rgb()) < 0.18 ? Colour.WHITE : new Colour(0);
        Colour own = plate.map(wash -> wash.stops().get(0).colour()).orElse(farther);
        double now = plate.map(wash -> wash.look().opacity() * wash.stops().get(0).opacity()).orElse(0.0);
        Optional<Double> least = least(behind, left, own, text);
        Colour colour = least.isPresent() ? own : farther;
        return Optional.of(new Legibility(lowest(behind, left, own, now, text), least.or(() -> least(behind, left, farther, text)),
                colour));
    }

    private static Optional<Double> least(int[] behind, float[] left, Colour plate, Words text) {
        return IntStream.rangeClosed(0, 100).mapToObj(percent -> percent / 100.0)
                .filter(opacity -> lowest(behind, left, plate, opacity, text) >= ENOUGH).findFirst();
    }

    private static double lowest(int[] behind, float[] left, Colour plate, double opacity, Words text) {
        double lowest = 21;
        for (int i = 0; i < behind.length; i++) {
            int ground = mixed(behind[i], plate.rgb(), opacity * left[i]);
            lowest = Math.min(lowest, ratio(ground, mixed(ground, text.colour().rgb(), text.look().opacity())));
        }
        return lowest;
    }

    private static int mixed(int below, int above, double share) {
        int out = 0;
        for (int shift = 16; shift >= 0; shift -= 8) {
            int low = below >> shift & 0xFF;
            out |= (int) Math.round(low + ((above >> shift & 0xFF) - low) * share) << shift;
        }
        return out;
    }

    /** Spots of so many mm that cover a box in the caption's own frame, at most 60 by 60 of them. */
    private record Spots(Box letters, double each, int across, int down) {
        static Spots over(Box letters, double each) {
            return new Spots(letters, each, (int) Math.max(2, Math.min(SAMPLES, Math.ceil(letters.width() / each))),
                    (int) Math.max(2, Math.min(SAMPLES, Math.ceil(letters.height() / each))));
        }

        /** From spots counted across and down to that frame. */
        Affine toCaption() {
            return Affine.move(letters.x(), letters.y()).after(Affine.scale(letters.width() / across, letters.height() / down));
        }
    }

    /** What a veil leaves of the plate behind each spot, 0 to 1. */
    private static float[] left(Sheet sheet, Caption caption, Spots spots) {
        float[] all = new float[spots.across() * spots.down()];
        Arrays.fill(all, 1);
        if (caption.plate().isEmpty()) return all;
        Optional<Scene.Mask> mask = Scene.item(sheet, caption).layers().stream().filter(layer -> layer.at() == 0).findFirst()
                .flatMap(Scene.Layer::mask);
        return mask.map(veil -> Veiling.left(veil.veil(), new Patch(new int[all.length], spots.across(), spots.down(),
                veil.toSheet().inverse().after(caption.seat().toSheet()).after(spots.toCaption())))).orElse(all);
    }

    /** The colours behind each spot. */
    private static int[] behind(Sheet sheet, Caption caption, Spots spots, PictureSource pictures) {
        double spot = spots.each();
        List<Scene.Item> below = new ArrayList<>();
        Scene whole = Scene.of(sheet);
        for (Scene.Item item : whole.items()) {
            if (item.element().equals(caption.id())) break;
            below.add(item);
        }
        Box seen = Path.box(spots.letters()).mapped(caption.seat().toSheet()).bounds().grown(spot);
        double side = Math.max(spot, Math.max(seen.width(), seen.height()) / 400);
        BufferedImage page = RasterPainter.part(new Scene(whole.width(), whole.height(), whole.paper(), below), seen,
                Unit.MM_PER_INCH / side, pictures);
        Affine toSheet = caption.seat().toSheet().after(spots.toCaption());
        int[] colours = new int[spots.across() * spots.down()];
        for (int i = 0; i < colours.length; i++) {
            Point at = toSheet.apply(new Point(i % spots.across() + 0.5, i / spots.across() + 0.5));
            int x = (int) ((at.x() - seen.x()) / seen.width() * page.getWidth());
            int y = (int) ((at.y() - seen.y()) / seen.height() * page.getHeight());
            colours[i] = page.getRGB(Math.min(page.getWidth() - 1, Math.max(0, x)),
                    Math.min(page.getHeight() - 1, Math.max(0, y))) & 0xFFFFFF;
        }
        return colours;
    }
}
