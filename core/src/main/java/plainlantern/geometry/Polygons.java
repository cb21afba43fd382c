package plainlantern.geometry;

import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.Polygon;

/** Areas of paths and of what they share, by JTS; curves are cut into 64 chords each. Contours fill even-odd. */
public final class Polygons {
    private static final GeometryFactory FACTORY = new GeometryFactory();
    private static final int CHORDS = 64;

    private Polygons() {}

    /** mm². */
    public static double area(Path path) {
        return geometry(path).getArea();
    }

    /** The area that both cover, mm². */
    public static double sharedArea(Path one, Path other) {
        return geometry(one).intersection(geometry(other)).getArea();
    }

    private static Geometry geometry(Path path) {
        Geometry whole = FACTORY.createPolygon();
        for (List<Point> ring : path.flattened(CHORDS)) whole = whole.symDifference(polygon(ring).buffer(0));
        return whole;
    }

    private static Polygon polygon(List<Point> ring) {
        Coordinate[] corners = new Coordinate[ring.size() + 1];
        for (int i = 0; i < ring.size(); i++) corners[i] = new Coordinate(ring.get(i).x(), ring.get(i).y());
        corners[ring.size()] = corners[0].copy();
        return FACTORY.createPolygon(corners);
    }
}
