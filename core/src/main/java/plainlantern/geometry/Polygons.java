package plainlantern.geometry;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.locationtech.jts.algorithm.MinimumDiameter;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.LineString;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.operation.buffer.BufferOp;
import org.locationtech.jts.operation.buffer.BufferParameters;
import org.locationtech.jts.operation.overlayng.OverlayNG;
import org.locationtech.jts.operation.overlayng.OverlayNGRobust;
import plainlantern.geometry.Path.Segment;

/** Areas of paths and of what they share, by JTS; curves are cut into 64 chords each. */
public final class Polygons {
    private static final GeometryFactory FACTORY = Rings.FACTORY;
    private static final int CHORDS = 64;

    private Polygons() {}

    /** mm². */
    public static double area(Path path) {
        return geometry(path).getArea();
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
     * The distance of the two nearest parallel lines between which the form fits, mm: how thin it is at its thinnest (Houle and Toussaint
     * 1988).
     */
    public static double thickness(Path path) {
        return new MinimumDiameter(geometry(path)).getLength();
    }

    /** So many mm of the straight way from {@code a} to {@code b} lie inside. */
    public static double within(Path path, Point a, Point b) {
        Geometry way = FACTORY.createLineString(new Coordinate[] {new Coordinate(a.x(), a.y()), new Coordinate(b.x(), b.y())});
        return both(geometry(path), way).getLength();
    }

    /** The form grown by {@code by} mm on all sides, corners rounded, or shrunk where that is negative; empty where nothing is left. */
    public static Optional<Path> grown(Path path, double by) {
        return path(geometry(path).buffer(by, CHORDS / 4));
    }

    /**
     * As {@link #grown}, but corners stay corners unless they are sharper than {@code limit}, a ratio of miter to width; such are cut off.
     */
    public static Optional<Path> grownSharp(Path path, double by, double limit) {
        return path(BufferOp.bufferOp(geometry(path), by, new BufferParameters(CHORDS / 4, BufferParameters.CAP_ROUND,
                BufferParameters.JOIN_MITRE, limit)));
    }

    /** As {@link #grown}, but corners are cut off. */
    public static Optional<Path> grownFlat(Path path, double by) {
        return path(BufferOp.bufferOp(geometry(path), by, new BufferParameters(CHORDS / 4, BufferParameters.CAP_ROUND,
                BufferParameters.JOIN_BEVEL, 1)));
    }

    private static Optional<Path> path(Geometry shared) {
        List<Segment> steps = new ArrayList<>();
        for (int i = 0; i < shared.getNumGeometries(); i++) {
            if (!(shared.getGeometryN(i) instanceof Polygon polygon) || polygon.getArea() == 0) continue;
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

    private static Geometry geometry(Path path) {
        return Rings.filled(path.flattened(CHORDS), path.rule());
    }
}
