package plainlantern.treating;

import java.util.function.UnaryOperator;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Bicubic;
import plainlantern.geometry.Box;
import plainlantern.geometry.Point;
import plainlantern.sheet.Bend;

/**
 * From where the colour of each place is taken where something is bent.
 *
 * @param source for a place, mm in a frame of its own, the place that is seen there
 * @param reach  so far it is from there at most, mm
 */
public record Bending(UnaryOperator<Point> source, double reach) {
    /** @param box the form's, upright in that frame */
    public static Bending of(Bend bend, Box box) {
        return bend.as(new Bend.Kinds<>() {
            @Override
            public Bending wave(Bend.Wave wave) {
                double turn = Math.toRadians(wave.turn());
                Point way = new Point(Math.cos(turn), Math.sin(turn));
                Point side = new Point(-way.y(), way.x());
                return new Bending(p -> p.plus(side.times(wave.amplitude() * course(wave.shape(),
                        (p.minus(box.centre()).dot(way)) / wave.length() + wave.phase() / 360))), wave.amplitude());
            }

            @Override
            public Bending twirl(Bend.Twirl twirl) {
                Point centre = box.at(new Point(twirl.x(), twirl.y()));
                double radius = twirl.radius() * box.shorter() / 2;
                return new Bending(p -> {
                    double share = 1 - p.distance(centre) / radius;
                    return share <= 0 ? p : centre.plus(p.minus(centre).turned(-twirl.turn() * share * share));
                }, 2 * radius);
            }

            @Override
            public Bending bulge(Bend.Bulge bulge) {
                Point centre = box.at(new Point(bulge.x(), bulge.y()));
                double radius = bulge.radius() * box.shorter() / 2;
                return new Bending(p -> {
                    double out = p.distance(centre) / radius;
                    if (out >= 1 || out == 0) return p;
                    double factor = Math.pow(Math.sin(Math.PI / 2 * out), bulge.strength());
                    return centre.plus(p.minus(centre).times(factor));
                }, 2 * radius);
            }

            @Override
            public Bending mesh(Bend.Mesh mesh) {
                Bicubic surface = mesh.surface();
                Affine fromUnit = box.fromUnit();
                Affine toUnit = fromUnit.inverse();
                return new Bending(p -> fromUnit.apply(surface.inverse(toUnit.apply(p))), surface.reach(box.width(), box.height()));
            }
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
