package plainlantern.geometry;

import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import org.locationtech.jts.algorithm.Orientation;
import org.locationtech.jts.algorithm.construct.MaximumInscribedCircle;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.LineString;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.operation.overlayng.OverlayNGRobust;
import org.locationtech.jts.operation.polygonize.Polygonizer;

/** What rings of corners fill, as JTS has areas. */
final class Rings {
    static final GeometryFactory FACTORY = new GeometryFactory();
    /** What is no wider than this, as a share of the way around it, is a sliver. */
    private static final double SLIVER = 1e-9;

    private Rings() {}

    /** Rings may touch and cross themselves and each other; those that lie apart are looked at apart. */
    static Geometry filled(List<List<Point>> rings, FillRule rule) {
        List<Polygon> drawn = rings.stream().filter(ring -> ring.size() > 2).map(Rings::polygon).toList();
        List<Geometry> inside = new ArrayList<>();
        for (List<Polygon> cluster : Clusters.of(drawn, Rings::box)) {
            Geometry filled = together(cluster, rule);
            for (int i = 0; i < filled.getNumGeometries(); i++) if (!filled.isEmpty()) inside.add(filled.getGeometryN(i));
        }
        return inside.isEmpty() ? FACTORY.createPolygon() : FACTORY.buildGeometry(inside);
    }

    private static Geometry together(List<Polygon> drawn, FillRule rule) {
        if (drawn.size() == 1 && drawn.get(0).isValid()) return drawn.get(0);
        // The lines part the plane into faces; of each one place tells whether it is inside.
        Geometry lines = OverlayNGRobust.union(drawn.stream().map(p -> (Geometry) p.getExteriorRing()).toList());
        Polygonizer faces = new Polygonizer();
        faces.add(lines);
        @SuppressWarnings("unchecked")
        Collection<Polygon> all = faces.getPolygons();
        List<Geometry> inside = new ArrayList<>();
        for (Polygon face : ordered(all)) {
            if (rule.inside(winding(drawn, within(face)))) inside.add(face);
        }
        return inside.isEmpty() ? FACTORY.createPolygon() : OverlayNGRobust.union(inside);
    }

    /** A place inside a face, where it is wide: where JTS looks there may be no more than a sliver. */
    private static Coordinate within(Polygon face) {
        Coordinate usual = face.getInteriorPoint().getCoordinate();
        double wide = face.getArea() / face.getLength();
        if (wide < SLIVER * face.getLength() || face.getBoundary().distance(FACTORY.createPoint(usual)) > SLIVER * face.getLength())
            return usual;
        return new MaximumInscribedCircle(face, wide / 10).getCenter().getCoordinate();
    }

    /** Faces in an order that depends on nothing but where they are, each told from its lowest corner on: JTS keeps them in hash tables. */
    static List<Polygon> ordered(Collection<Polygon> faces) {
        return faces.stream().map(face -> (Polygon) face.norm()).sorted().toList();
    }

    static Box box(Geometry geometry) {
        Envelope around = geometry.getEnvelopeInternal();
        return Box.between(around.getMinX(), around.getMinY(), around.getMaxX(), around.getMaxY());
    }

    /**
     * Whether rings neither touch nor cross, and fill the same by either rule: around no place inside do they go more than once, one way
     * taken off the other.
     */
    static boolean plain(List<List<Point>> rings) {
        List<Polygon> drawn = rings.stream().filter(ring -> ring.size() > 2).map(Rings::polygon).toList();
        if (!FACTORY.createMultiLineString(drawn.stream().map(Polygon::getExteriorRing).toArray(LineString[]::new))
                .isSimple()) return false;
        return drawn.stream().allMatch(ring -> Math.abs(winding(drawn, ring.getInteriorPoint().getCoordinate())) <= 1);
    }

    /** How often the rings go around a place, one way taken off the other; of a ring that crosses itself each of its own loops counts. */
    private static int winding(List<Polygon> rings, Coordinate at) {
        int winding = 0;
        for (Polygon ring : rings) if (ring.getEnvelopeInternal().intersects(at)) winding += winding(ring.getExteriorRing(), at);
        return winding;
    }

    /** Sunday's winding number (2001): upward crossings right of the place less downward ones. */
    private static int winding(LineString ring, Coordinate at) {
        Coordinate[] corners = ring.getCoordinates();
        int winding = 0;
        for (int i = 0; i + 1 < corners.length; i++) {
            Coordinate a = corners[i];
            Coordinate b = corners[i + 1];
            if (a.y <= at.y && b.y > at.y && Orientation.index(a, b, at) == Orientation.LEFT) winding++;
            if (a.y > at.y && b.y <= at.y && Orientation.index(a, b, at) == Orientation.RIGHT) winding--;
        }
        return winding;
    }

    private static Polygon polygon(List<Point> ring) {
        Coordinate[] corners = new Coordinate[ring.size() + 1];
        for (int i = 0; i < ring.size(); i++) corners[i] = new Coordinate(ring.get(i).x(), ring.get(i).y());
        corners[ring.size()] = corners[0].copy();
        return FACTORY.createPolygon(corners);
    }
}
