package plainlantern.rendering;

import java.awt.image.BufferedImage;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import plainlantern.asking.Unit;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Box;
import plainlantern.geometry.Path;
import plainlantern.geometry.Point;
import plainlantern.picture.FrameEdges;
import plainlantern.picture.PictureSource;
import plainlantern.scene.Scene;
import plainlantern.sheet.Element;
import plainlantern.sheet.Sheet;

/** What lies beneath elements, looked at closely. */
public final class Beneath {
    /** Edges are looked for so many mm around a frame, but no farther than a share of its shortest side. */
    private static final double REACH = 5;
    private static final double SHARE = 0.15;
    /** Pixels along the longer side of what is looked at. */
    private static final double SIDE = 1400;
    private static final double MOST_PPI = 600;

    private Beneath() {}

    /** As {@link plainlantern.editing.Outside#edges} says. */
    public static Optional<List<Point>> edges(Sheet sheet, List<String> but, List<Point> corners, PictureSource pictures) {
        double shortest = Double.POSITIVE_INFINITY;
        for (int i = 0; i < 4; i++) shortest = Math.min(shortest, corners.get(i).distance(corners.get((i + 1) % 4)));
        double reach = Math.min(REACH, SHARE * shortest);
        Box all = Path.polygon(corners).bounds().grown(2 * reach);
        double ppi = Math.max(1, Math.min(MOST_PPI, SIDE / Math.max(all.width(), all.height()) * Unit.MM_PER_INCH));
        int[] size = RasterPainter.size(all.width(), all.height(), ppi);
        BufferedImage seen = RasterPainter.part(Scene.of(sheet.with(beneath(sheet, but))), all, ppi, pictures);
        Affine toPixels = RasterPainter.toPixels(all, size);
        return FrameEdges.near(seen, corners.stream().map(toPixels::apply).toList(), reach * toPixels.a())
                .map(found -> found.stream().map(toPixels.inverse()::apply).toList());
    }

    private static List<Element> beneath(Sheet sheet, List<String> but) {
        List<Element> out = new ArrayList<>();
        for (Element element : sheet.elements()) {
            if (but.contains(element.id())) break;
            out.add(element);
        }
        return out;
    }
}
