package plainlantern.picture;

import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.stream.IntStream;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Box;
import plainlantern.geometry.Path;
import plainlantern.geometry.Point;
import plainlantern.sheet.Lens;
import plainlantern.sheet.Treated;
import plainlantern.treating.Bending;

/** Pictures that are bent and blurred where they lie. Beyond their edges they go on as they are there: nothing fades out at an edge. */
final class Lensing {
    private final PictureSource pictures;
    private final Treated sharp;
    private final Lens lens;
    private final int width;
    private final int height;

    private Lensing(PictureSource pictures, Treated what, int width, int height) {
        this.pictures = pictures;
        sharp = what.seen(Optional.empty());
        lens = what.lens().orElseThrow();
        this.width = width;
        this.height = height;
    }

    /** As {@link PictureSource#onto}, of one without a veil. */
    static Tile onto(PictureSource pictures, Treated what, int width, int height, Affine map, Box wanted) {
        return new Lensing(pictures, what, width, height).seen(map, wanted);
    }

    private Tile seen(Affine map, Box wanted) {
        double deviation = lens.how().blur() / Math.sqrt(Math.abs(toPanel(map).determinant()));
        return Cells.seen(deviation, Tile.over(wanted), new int[] {0, 0}, (share, box) -> bent(Affine.scale(share, share).after(map), box));
    }

    /** From the output's pixels to the panel's frame. */
    private Affine toPanel(Affine map) {
        return lens.toPanel().after(Affine.scale(1.0 / width, 1.0 / height)).after(map.inverse());
    }

    /** The pixels of a box, each taken from where it is bent from, or from the edge nearest to that. */
    private Tile bent(Affine map, Box box) {
        Tile out = Tile.over(box);
        Affine toPanel = toPanel(map);
        Affine back = toPanel.inverse();
        Affine toPicture = map.inverse();
        Optional<Bending> bending = lens.how().bend().map(bend -> Bending.of(bend, lens.box()));
        Box near = Path.box(bending.map(b -> b.seen(out.box(), toPanel)).orElse(out.box())).mapped(toPicture).bounds();
        // What lies beyond the picture takes its colour from the edge, however far away: so much of the edge is painted, too.
        Box used = Box.between(Math.max(0, Math.min(width, near.x())), Math.max(0, Math.min(height, near.y())),
                Math.max(0, Math.min(width, near.right())), Math.max(0, Math.min(height, near.bottom())));
        Tile from = pictures.onto(sharp, width, height, map, Path.box(used).mapped(map).bounds().grown(2));
        // Half a pixel of whichever is larger: what lies at the very edge is half clear.
        double inset = Math.max(0.5, 0.75 / Math.min(map.xScale(), map.yScale()));
        IntStream.range(0, out.height()).parallel().forEach(y -> {
            Optional<UnaryOperator<Point>> source = bending.map(b -> b.source().get());
            for (int x = 0; x < out.width(); x++) {
                Point at = new Point(out.x() + x + 0.5, out.y() + y + 0.5);
                Point place = source.map(s -> back.apply(s.apply(toPanel.apply(at)))).orElse(at);
                Point own = toPicture.apply(place);
                boolean beyond = own.x() < inset || own.x() > width - inset || own.y() < inset || own.y() > height - inset;
                Point seen = beyond ? map.apply(new Point(within(own.x(), inset, width), within(own.y(), inset, height))) : place;
                out.argb()[y * out.width() + x] = Cells.between(from, seen.x(), seen.y());
            }
        });
        return out;
    }

    private static double within(double value, double inset, double most) {
        return Math.max(Math.min(inset, most / 2), Math.min(most - Math.min(inset, most / 2), value));
    }
}
