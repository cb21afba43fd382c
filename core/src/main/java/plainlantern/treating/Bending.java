package plainlantern.treating;

import java.util.List;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;
import java.util.stream.IntStream;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Bicubic;
import plainlantern.geometry.Box;
import plainlantern.geometry.Path;
import plainlantern.geometry.Point;
import plainlantern.sheet.Bend;

/**
 * From where the colour of each place is taken where something is bent.
 *
 * @param source gives what tells for a place, mm in a frame of its own, the place that is seen there; each for one thread
 * @param reach  so far it is from there at most, mm
 * @param whole  whether what lies together stays together: what is seen in a box is then what lies within what is seen along its edge
 */
public record Bending(Supplier<UnaryOperator<Point>> source, double reach, boolean whole) {
    /** So many places along each side of a box are looked at. */
    private static final int PLACES = 96;

    /** @param box the form's, upright in that frame */
    public static Bending of(Bend bend, Box box) {
        return bend.as(new Bend.Kinds<>() {
            @Override
            public Bending wave(Bend.Wave wave) {
                double turn = Math.toRadians(wave.turn());
                Point way = new Point(Math.cos(turn), Math.sin(turn));
                Point side = new Point(-way.y(), way.x());
                return new Bending(() -> p -> p.plus(side.times(wave.amplitude() * course(wave.shape(),
                        (p.minus(box.centre()).dot(way)) / wave.length() + wave.phase() / 360))), wave.amplitude(), false);
            }

            @Override
            public Bending twirl(Bend.Twirl twirl) {
                Point centre = box.at(new Point(twirl.x(), twirl.y()));
                double radius = twirl.radius() * box.shorter() / 2;
                return new Bending(() -> p -> {
                    double share = 1 - p.distance(centre) / radius;
                    return share <= 0 ? p : centre.plus(p.minus(centre).turned(-twirl.turn() * share * share));
                }, 2 * radius, true);
            }

            @Override
            public Bending bulge(Bend.Bulge bulge) {
                Point centre = box.at(new Point(bulge.x(), bulge.y()));
                double radius = bulge.radius() * box.shorter() / 2;
                return new Bending(() -> p -> {
                    double out = p.distance(centre) / radius;
                    if (out >= 1 || out == 0) return p;
                    double factor = Math.pow(Math.sin(Math.PI / 2 * out), bulge.strength());
                    return centre.plus(p.minus(centre).times(factor));
                }, 2 * radius, true);
            }

            @Override
            public Bending mesh(Bend.Mesh mesh) {
                Bicubic surface = mesh.surface();
                Affine fromUnit = box.fromUnit();
                Affine toUnit = fromUnit.inverse();
                return new Bending(() -> {
                    UnaryOperator<Point> way = surface.back();
                    return p -> fromUnit.apply(way.apply(toUnit.apply(p)));
                }, surface.reach(box.width(), box.height()), true);
            }
        });
    }

    /** A box that holds all that is seen in another one; both in a frame from which {@code toOwn} leads to the bend's. */
    public Box seen(Box box, Affine toOwn) {
        Box within = box.grown(reach / toOwn.least());
        if (!whole) return within;
        Affine back = toOwn.inverse();
        UnaryOperator<Point> from = source.get();
        List<Point> seen = IntStream.range(0, 4 * PLACES).mapToObj(i -> back.apply(from.apply(toOwn.apply(edge(box, i))))).toList();
        double apart = 0;
        for (int i = 0; i < seen.size(); i++) apart = Math.max(apart, seen.get(i).distance(seen.get((i + 1) % seen.size())));
        Box bounds = Path.polygon(seen).bounds().grown(apart);
        return Box.between(Math.max(bounds.x(), within.x()), Math.max(bounds.y(), within.y()), Math.min(bounds.right(), within.right()),
                Math.min(bounds.bottom(), within.bottom()));
    }

    private static Point edge(Box box, int i) {
        double along = (double) (i % PLACES) / PLACES;
        return box.at(switch (i / PLACES) {
            case 0 -> new Point(along, 0);
            case 1 -> new Point(1, along);
            case 2 -> new Point(1 - along, 1);
            default -> new Point(0, 1 - along);
        });
    }

    /** Between -1 and 1; one wave from each whole number to the next. */
    static double course(Bend.Wave.Shape shape, double at) {
        double t = at - Math.floor(at);
        return switch (shape) {
            case SINE -> Math.sin(2 * Math.PI * t);
            case SQUARE -> t < 0.5 ? 1 : -1;
            case TRIANGLE -> t < 0.25 ? 4 * t : t < 0.75 ? 2 - 4 * t : 4 * t - 4;
        };
    }
}
