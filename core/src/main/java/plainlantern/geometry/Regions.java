package plainlantern.geometry;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.function.Predicate;
import java.util.stream.Stream;
import org.locationtech.jts.algorithm.Area;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.LinearRing;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.geom.prep.PreparedGeometry;
import org.locationtech.jts.geom.prep.PreparedGeometryFactory;
import org.locationtech.jts.operation.overlayng.OverlayNGRobust;
import org.locationtech.jts.operation.polygonize.Polygonizer;

/**
 * The regions into which overlapping forms part each other: each is inside some of the forms, and no outline runs through it. All come from
 * one drawing of all outlines, so that neighbours share their sides exactly; any of them are made one by leaving out what is between them.
 * Curves stay curves, as in {@link Algebra}.
 */
public final class Regions {
    private final Chords chords;
    private final double least;
    /** Those too small to be regions come last. */
    private final List<Face> faces = new ArrayList<>();
    private final int count;

    private record Face(Polygon area, BitSet owners) {}

    /**
     * What is left of regions that were made one.
     *
     * @param path    empty where nothing is left
     * @param dropped mm² of parts and holes that were too small to be kept
     */
    public record Joined(Path path, double dropped) {}

    /**
     * @param forms where they lie, in any order
     * @param least regions of a smaller area, mm², are no regions by themselves; parts and holes of what is joined that are smaller go
     */
    public Regions(List<Path> forms, double least) {
        this.least = least;
        chords = new Chords(forms);
        List<PreparedGeometry> areas = new ArrayList<>();
        List<Geometry> lines = new ArrayList<>();
        for (int i = 0; i < forms.size(); i++) {
            areas.add(PreparedGeometryFactory.prepare(chords.area(i)));
            lines.add(chords.area(i).getBoundary());
        }
        Polygonizer polygonizer = new Polygonizer();
        polygonizer.add(OverlayNGRobust.union(lines));
        @SuppressWarnings("unchecked")
        Collection<Polygon> all = polygonizer.getPolygons();
        for (Polygon area : Rings.ordered(all).stream().sorted(Comparator.<Polygon, Boolean>comparing(this::small)
                .thenComparing(Regions::reading)).toList()) {
            BitSet owners = new BitSet();
            Geometry place = area.getInteriorPoint();
            for (int i = 0; i < areas.size(); i++) if (areas.get(i).contains(place)) owners.set(i);
            if (!owners.isEmpty()) faces.add(new Face(area, owners));
        }
        count = (int) faces.stream().filter(face -> !small(face.area)).count();
    }

    private boolean small(Polygon area) {
        return area.getArea() < least || chords.thin(area.getExteriorRing());
    }

    /** In the order of reading: from top to bottom, then from left to right, by whole millimetres. */
    private static Double reading(Polygon area) {
        Coordinate middle = area.getInteriorPoint().getCoordinate();
        return Math.rint(middle.y) * 1e6 + middle.x;
    }

    /** How many regions there are; their numbers are those from 0. */
    public int count() {
        return count;
    }

    /** mm² of what is too small to be a region. */
    public double small() {
        return faces.stream().skip(count).mapToDouble(face -> face.area.getArea()).sum();
    }

    /** The forms that a region is inside of, by their places in the list. */
    public BitSet owners(int region) {
        return (BitSet) faces.get(region).owners.clone();
    }

    /** mm². */
    public double area(int region) {
        return faces.get(region).area.getArea();
    }

    /** A place well inside a region, where its number can stand. */
    public Point inside(int region) {
        Coordinate at = faces.get(region).area.getInteriorPoint().getCoordinate();
        return new Point(at.x, at.y);
    }

    public Path path(int region) {
        return Algebra.told(chords, faces.get(region).area);
    }

    /** Several regions as one form. */
    public Joined joined(List<Integer> regions) {
        return joined(regions.stream().map(faces::get));
    }

    /** All that is inside of such forms, whatever its size. */
    public Joined where(Predicate<BitSet> owners) {
        return joined(faces.stream().filter(face -> owners.test(face.owners)));
    }

    private Joined joined(Stream<Face> joined) {
        Geometry area = OverlayNGRobust.union(joined.map(face -> (Geometry) face.area).toList());
        if (area == null) return new Joined(Path.EMPTY, 0);
        double dropped = 0;
        List<Geometry> kept = new ArrayList<>();
        for (int i = 0; i < area.getNumGeometries(); i++) {
            Polygon part = (Polygon) area.getGeometryN(i);
            List<LinearRing> holes = new ArrayList<>();
            for (int hole = 0; hole < part.getNumInteriorRing(); hole++) {
                double size = Math.abs(Area.ofRing(part.getInteriorRingN(hole).getCoordinates()));
                if (size >= least) holes.add(part.getInteriorRingN(hole));
                else dropped += size;
            }
            Polygon whole = Rings.FACTORY.createPolygon(part.getExteriorRing(), holes.toArray(LinearRing[]::new));
            if (whole.getArea() >= least) kept.add(whole);
            else dropped += whole.getArea();
        }
        return new Joined(Algebra.told(chords, Rings.FACTORY.buildGeometry(kept)), dropped);
    }
}
