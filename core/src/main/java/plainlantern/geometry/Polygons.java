package plainlantern.geometry;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import org.locationtech.jts.algorithm.MinimumDiameter;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.LineString;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.geom.util.PolygonExtracter;
import org.locationtech.jts.operation.buffer.BufferOp;
import org.locationtech.jts.operation.buffer.BufferParameters;
import org.locationtech.jts.operation.overlayng.OverlayNG;
import org.locationtech.jts.operation.overlayng.OverlayNGRobust;
import plainlantern.geometry.Path.Segment;

/** Areas of paths and of what they share, by JTS; curves are cut into 64 chords each, the many of
 * letters into as many as keep within 1/50,000 of the whole. */
public final class Polygons {
    private static final GeometryFactory FACTORY = Rings.FACTORY;
    private static final int CHORDS = 64;
    private static final double WITHIN = 2e-5;
    private static final int HALVINGS = 11;
    /** Bytes of all that is kept, and of one corner of an area or one step of its path, with what holds them. */
    private static final long KEPT = 48L << 20;
    private static final int CORNER_BYTES = 40;
    private static final int STEP_BYTES = 120;
    // A check asks for the same forms again and again.
    private static final Cache<Path, Geometry> KNOWN = Caffeine.newBuilder().maximumWeight(KEPT).executor(Runnable::run)
            .weigher((Path path, Geometry area) -> CORNER_BYTES * area.getNumPoints() + STEP_BYTES * path.segments().size()).build();

    private Polygons() {}

    /** mm². */
    public static double area(Path path) {
        return geometry(path).getArea();
    }

    /** The corners of the smallest convex form around it, in turn. */
    public static List<Point> hull(Path path) {
        Coordinate[] ring = geometry(path).convexHull().getCoordinates();
        List<Point> out = new ArrayList<>();
        for (int i = 0; i + 1 < ring.length; i++) out.add(new Point(ring[i].x, ring[i].y));
        return out;
    }

    /** The area that both cover, mm². */
    public static double sharedArea(Path one, Path other) {
        return both(geometry(one), geometry(other)).getArea();
    }

    /** The share of {@code area} that the paths together cover, 0 to 1. */
    public static double unionShare(List<Path> paths, Path area) {
        Geometry union = OverlayNGRobust.union(paths.stream().map(Polygons::geometry).toList());
        Geometry whole = geometry(area);
        return union == null ? 0 : both(union, whole).getArea() / whole.getArea();
    }

    /** Whether a place is inside, or on the edge. */
    public static boolean contains(Path path, Point at) {
        return geometry(path).covers(FACTORY.createPoint(new Coordinate(at.x(), at.y())));
    }

    /** How far a place is from the form's edge, mm, inside or outside. */
    public static double fromEdge(Path path, Point at) {
        return geometry(path).getBoundary().distance(FACTORY.createPoint(new Coordinate(at.x(), at.y())));
    }

    /**
     * How thick a form is where it is thickest, mm: the largest circle that lies inside; of a ring, the ring's own width. Where it is at
     * least {@code enough}, that may be told. Of forms without hollows it is the distance of
     * the two nearest parallel lines around them (Houle and Toussaint 1988); of others what shrinks to nothing was thinner.
     */
    public static double thickness(Path path, double enough) {
        Geometry form = geometry(path);
        if (form.isEmpty()) return 0;
        // Its area is at most its outline times the circle's radius.
        double least = 2 * form.getArea() / form.getLength();
        if (least >= enough) return least;
        // Of a form without hollows the two nearest parallel lines around it tell nearly the same, in far less time.
        if (form.getArea() > 0.999 * form.convexHull().getArea()) return new MinimumDiameter(form).getLength();
        double low = 0;
        double high = enough;
        for (int i = 0; i < HALVINGS; i++) {
            double middle = i == 0 ? enough : (low + high) / 2;
            if (form.buffer(-middle / 2, 2).isEmpty()) high = middle;
            else low = middle;
        }
        return (low + high) / 2;
    }

    /** mm² of the parts of a form that are narrower than {@code width} mm; corners, which are so at their very tips, do not count. */
    public static double narrow(Path path, double width) {
        Geometry form = geometry(path);
        double sum = 0;
        for (int i = 0; i < form.getNumGeometries(); i++) {
            Geometry part = form.getGeometryN(i);
            Geometry opened = part.buffer(-width / 2, 8).buffer(width / 2 * 1.02, 8);
            Geometry lost = OverlayNGRobust.overlay(part, opened, OverlayNG.DIFFERENCE);
            for (int j = 0; j < lost.getNumGeometries(); j++)
                if (lost.getGeometryN(j).getArea() > width * width) sum += lost.getGeometryN(j).getArea();
        }
        return sum;
    }

    /** So many mm of the straight way from {@code a} to {@code b} lie inside. */
    public static double within(Path path, Point a, Point b) {
        Geometry way = FACTORY.createLineString(new Coordinate[] {new Coordinate(a.x(), a.y()), new Coordinate(b.x(), b.y())});
        return both(geometry(path), way).getLength();
    }

    /** The form grown by {@code by} mm on all sides, corners rounded, or shrunk where that is negative; empty where nothing is left. */
    public static Optional<Path> grown(Path path, double by) {
        return apart(path, by, part -> part.buffer(by, CHORDS / 4));
    }

    /**
     * As {@link #grown}, but corners stay corners unless they are sharper than {@code limit}, a ratio of miter to width; such are cut off.
     */
    public static Optional<Path> grownSharp(Path path, double by, double limit) {
        return apart(path, by * limit, part -> BufferOp.bufferOp(part, by, new BufferParameters(CHORDS / 4, BufferParameters.CAP_ROUND,
                BufferParameters.JOIN_MITRE, limit)));
    }

    /** As {@link #grown}, but corners are cut off. */
    public static Optional<Path> grownFlat(Path path, double by) {
        return apart(path, by, part -> BufferOp.bufferOp(part, by, new BufferParameters(CHORDS / 4, BufferParameters.CAP_ROUND,
                BufferParameters.JOIN_BEVEL, 1)));
    }

    /**
     * The form grown by {@code by} mm, or shrunk, as curves and straight sides within {@code tolerance} mm; empty where nothing is left.
     *
     * @param round whether corners that point outwards are rounded; else they stay corners unless they are very sharp
     */
    public static Optional<Path> offset(Path path, double by, boolean round, double tolerance) {
        double flat = tolerance / 4;
        Geometry form = Rings.filled(path.flattened(flat, 4 * CHORDS), path.rule());
        int quarter = (int) Math.max(4, Math.min(64, Math.ceil(Math.PI / 4 / Math.acos(1 - Math.min(0.5, flat / Math.abs(by))))));
        BufferParameters how = new BufferParameters(quarter, BufferParameters.CAP_ROUND, round ? BufferParameters.JOIN_ROUND
                : BufferParameters.JOIN_MITRE, 10);
        how.setSimplifyFactor(0);
        @SuppressWarnings("unchecked")
        List<Polygon> grown = PolygonExtracter.getPolygons(BufferOp.bufferOp(form, by, how));
        List<List<Curve>> contours = new ArrayList<>();
        for (Polygon polygon : grown) {
            if (polygon.isEmpty()) continue;
            contours.add(CurveFit.ring(corners(polygon.getExteriorRing()), tolerance));
            for (int hole = 0; hole < polygon.getNumInteriorRing(); hole++)
                contours.add(CurveFit.ring(corners(polygon.getInteriorRingN(hole)), tolerance));
        }
        return contours.isEmpty() ? Optional.empty() : Optional.of(Path.of(contours, FillRule.EVEN_ODD));
    }

    private static List<Point> corners(LineString ring) {
        List<Point> corners = new ArrayList<>();
        for (Coordinate c : ring.getCoordinates()) {
            Point at = new Point(c.x, c.y);
            if (corners.isEmpty() || corners.get(corners.size() - 1).distance(at) > 1e-7) corners.add(at);
        }
        if (corners.get(0).distance(corners.get(corners.size() - 1)) < 1e-7) corners.remove(corners.size() - 1);
        return corners;
    }

    /** Areas that stay apart when each grows by {@code by} mm are changed one by one, which takes far less time than all at once. */
    private static Optional<Path> apart(Path path, double by, UnaryOperator<Geometry> change) {
        Geometry whole = geometry(path);
        List<Geometry> parts = new ArrayList<>();
        for (int i = 0; i < whole.getNumGeometries(); i++) parts.add(whole.getGeometryN(i));
        List<Geometry> changed = new ArrayList<>();
        for (List<Geometry> cluster : Clusters.of(parts, part -> Rings.box(part).grown(Math.max(0, by) + 1e-6)))
            changed.add(change.apply(FACTORY.buildGeometry(cluster)));
        return path(FACTORY.buildGeometry(changed));
    }

    private static Optional<Path> path(Geometry shared) {
        List<Segment> steps = new ArrayList<>();
        @SuppressWarnings("unchecked")
        List<Polygon> polygons = PolygonExtracter.getPolygons(shared);
        for (Polygon polygon : polygons) {
            if (polygon.getArea() == 0) continue;
            ring(steps, polygon.getExteriorRing());
            for (int hole = 0; hole < polygon.getNumInteriorRing(); hole++) ring(steps, polygon.getInteriorRingN(hole));
        }
        return steps.isEmpty() ? Optional.empty() : Optional.of(new Path(steps));
    }

    /** Whether {@code inner} lies wholly in {@code outer}, with a tolerance of 1e-6 of its area. */
    public static boolean holds(Path outer, Path inner) {
        double area = area(inner);
        return sharedArea(outer, inner) >= area * (1 - 1e-6);
    }

    private static void ring(List<Segment> steps, LineString ring) {
        Coordinate[] corners = ring.getCoordinates();
        for (int i = 0; i < corners.length - 1; i++) {
            Point at = new Point(corners[i].x, corners[i].y);
            steps.add(i == 0 ? new Segment.Move(at) : new Segment.Line(at));
        }
        steps.add(new Segment.Close());
    }

    /** What two geometries share; corners that all but coincide are snapped together where exact arithmetic would be needed. */
    private static Geometry both(Geometry one, Geometry other) {
        return OverlayNGRobust.overlay(one, other, OverlayNG.INTERSECTION);
    }

    /** What a path fills; nobody changes it. */
    private static Geometry geometry(Path path) {
        if (path.empty()) return FACTORY.createPolygon();
        return KNOWN.get(path, Polygons::drawn);
    }

    private static Geometry drawn(Path path) {
        if (path.segments().size() <= Chords.MANY) return Rings.filled(path.flattened(CHORDS), path.rule());
        Box box = path.bounds();
        return Rings.filled(path.flattened(WITHIN * Math.max(box.width(), box.height()), CHORDS), path.rule());
    }
}
