package plainlantern.geometry;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
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
    private final List<Polygon> faces = new ArrayList<>();
    private final List<BitSet> owners = new ArrayList<>();
    private double dropped;

    /**
     * @param forms where they lie, in any order
     * @param least regions of a smaller area, mm², are left out
     */
    public Regions(List<Path> forms, double least) {
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
        for (Polygon face : all.stream().sorted(Comparator.comparing(Regions::reading)).toList()) {
            BitSet of = new BitSet();
            Geometry place = face.getInteriorPoint();
            for (int i = 0; i < areas.size(); i++) if (areas.get(i).contains(place)) of.set(i);
            if (of.isEmpty()) continue;
            if (face.getArea() < least || chords.thin(face.getExteriorRing())) {
                dropped += face.getArea();
                continue;
            }
            faces.add(face);
            owners.add(of);
        }
    }

    /** In the order of reading: from top to bottom, then from left to right, by whole millimetres. */
    private static Double reading(Polygon face) {
        Coordinate middle = face.getInteriorPoint().getCoordinate();
        return Math.rint(middle.y) * 1e6 + middle.x;
    }

    public int count() {
        return faces.size();
    }

    /** mm² of what was too small to be a region. */
    public double dropped() {
        return dropped;
    }

    /** The forms that a region is inside of, by their places in the list. */
    public BitSet owners(int region) {
        return (BitSet) owners.get(region).clone();
    }

    /** A place well inside a region, where its number can stand. */
    public Point inside(int region) {
        Coordinate at = faces.get(region).getInteriorPoint().getCoordinate();
        return new Point(at.x, at.y);
    }

    public Path path(int region) {
        return joined(List.of(region)).orElseThrow();
    }

    /** Several regions as one form; empty where nothing of it is left. */
    public Optional<Path> joined(List<Integer> regions) {
        Geometry area = OverlayNGRobust.union(regions.stream().map(faces::get).map(face -> (Geometry) face).toList());
        Path path = area == null ? Path.EMPTY : Algebra.told(chords, area);
        return path.empty() ? Optional.empty() : Optional.of(path);
    }
}
