package plainlantern.studio.demo;

import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.GradientPaint;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.AffineTransform;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Line2D;
import java.awt.geom.Path2D;
import java.awt.geom.Rectangle2D;
import java.awt.image.BufferedImage;
import java.util.Random;

/** What stands in the bay: reeds, boats, birds, the mill and its wheel, the hide. Sizes are in pixels of the picture. */
final class Figures {
    private final Graphics2D g;
    private final int width;
    private final int height;
    private final BufferedImage image;

    Figures(BufferedImage image) {
        this.image = image;
        g = image.createGraphics();
        g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        g.setRenderingHint(RenderingHints.KEY_STROKE_CONTROL, RenderingHints.VALUE_STROKE_PURE);
        width = image.getWidth();
        height = image.getHeight();
    }

    BufferedImage image() {
        return image;
    }

    /** Reeds along the lower edge, {@code tall} parts of the height, thicker towards both sides. */
    Figures reeds(double tall, Color colour, int count, int seed) {
        Random random = new Random(seed);
        for (int i = 0; i < count; i++) {
            double side = Math.pow(random.nextDouble(), 1.7) * 0.46;
            double x = (random.nextBoolean() ? side : 1 - side) * width;
            double rise = height * tall * (0.45 + 0.65 * random.nextDouble());
            double lean = (random.nextDouble() - 0.42) * rise * 0.5;
            double dark = 0.55 + 0.5 * random.nextDouble();
            g.setColor(scaled(colour, dark));
            Path2D blade = new Path2D.Double();
            double foot = height * (0.0016 + 0.0026 * random.nextDouble());
            blade.moveTo(x - foot, height + 4);
            blade.quadTo(x + lean * 0.15, height - rise * 0.6, x + lean, height - rise);
            blade.quadTo(x + lean * 0.22 + foot, height - rise * 0.55, x + foot, height + 4);
            g.fill(blade);
            if (i % 5 == 0) {
                AffineTransform was = g.getTransform();
                g.translate(x + lean * 0.86, height - rise * 0.93);
                g.rotate(Math.atan2(lean, rise * 0.8));
                g.fill(new Ellipse2D.Double(-foot * 2.1, -rise * 0.07, foot * 4.2, rise * 0.14));
                g.setTransform(was);
            }
        }
        return this;
    }

    /** A loose string of birds in flight around a place (parts of width and height). */
    Figures birds(double x, double y, double size, int count, Color colour, int seed) {
        Random random = new Random(seed);
        g.setColor(colour);
        for (int i = 0; i < count; i++) {
            double span = height * size * (0.7 + 0.5 * random.nextDouble());
            double cx = x * width + (i - count / 2.0) * span * 1.5 + random.nextGaussian() * span * 0.3;
            double cy = y * height + Math.abs(i - count / 2.0) * span * 0.62 + random.nextGaussian() * span * 0.2;
            double flap = span * (0.12 + 0.26 * random.nextDouble());
            Path2D wings = new Path2D.Double();
            wings.moveTo(cx - span, cy - flap);
            wings.quadTo(cx - span * 0.45, cy - flap * 1.3, cx, cy);
            wings.quadTo(cx + span * 0.5, cy - flap * 1.2, cx + span * 0.95, cy - flap * 0.8);
            wings.quadTo(cx + span * 0.45, cy - flap * 0.5, cx + span * 0.08, cy + span * 0.13);
            wings.lineTo(cx - span * 0.1, cy + span * 0.13);
            wings.quadTo(cx - span * 0.5, cy - flap * 0.55, cx - span, cy - flap);
            g.fill(wings);
        }
        return this;
    }

    /** A sailing boat with its reflection; {@code size} is the mast as a part of the height. */
    Figures boat(double x, double y, double size, Color hull, Color sail) {
        double s = height * size;
        AffineTransform was = g.getTransform();
        for (int mirror = 1; mirror >= 0; mirror--) {
            g.setTransform(was);
            g.translate(x * width, y * height);
            g.scale(1, mirror == 1 ? -0.8 : 1);
            g.setColor(faded(hull, mirror == 1 ? 70 : 255));
            Path2D body = new Path2D.Double();
            body.moveTo(-s * 0.42, -s * 0.1);
            body.lineTo(s * 0.46, -s * 0.14);
            body.quadTo(s * 0.34, s * 0.03, s * 0.2, s * 0.03);
            body.lineTo(-s * 0.3, s * 0.03);
            body.closePath();
            g.fill(body);
            g.fill(new Rectangle2D.Double(-s * 0.008, -s, s * 0.018, s * 0.92));
            g.setPaint(new GradientPaint(0, (float) -s, faded(sail, mirror == 1 ? 55 : 255), (float) (s * 0.4), 0,
                    faded(scaled(sail, 0.72), mirror == 1 ? 55 : 255)));
            Path2D main = new Path2D.Double();
            main.moveTo(s * 0.02, -s * 0.97);
            main.quadTo(s * 0.34, -s * 0.5, s * 0.38, -s * 0.19);
            main.lineTo(s * 0.02, -s * 0.17);
            main.closePath();
            g.fill(main);
            Path2D jib = new Path2D.Double();
            jib.moveTo(-s * 0.02, -s * 0.86);
            jib.quadTo(-s * 0.16, -s * 0.45, -s * 0.36, -s * 0.16);
            jib.lineTo(-s * 0.02, -s * 0.17);
            jib.closePath();
            g.fill(jib);
        }
        g.setTransform(was);
        return this;
    }

    /** The tide mill on its quay; {@code size} is its height as a part of the picture's. */
    Figures mill(double x, double y, double size, Color wall, Color roof, Color window) {
        double s = height * size;
        AffineTransform was = g.getTransform();
        g.translate(x * width, y * height);
        g.setPaint(new GradientPaint((float) (-s * 0.5), 0, wall, (float) (s * 0.6), 0, scaled(wall, 0.62)));
        g.fill(new Rectangle2D.Double(-s * 0.5, -s * 0.62, s, s * 0.62));
        g.setColor(scaled(wall, 0.5));
        g.fill(new Rectangle2D.Double(-s * 0.85, -s * 0.1, s * 1.9, s * 0.1));
        for (int row = 0; row < 9; row++) {
            g.fill(new Rectangle2D.Double(-s * 0.5, -s * 0.62 + row * s * 0.062, s, s * 0.004));
        }
        g.setPaint(new GradientPaint(0, (float) -s, roof, 0, (float) (-s * 0.58), scaled(roof, 0.6)));
        Path2D top = new Path2D.Double();
        top.moveTo(-s * 0.58, -s * 0.6);
        top.lineTo(-s * 0.16, -s);
        top.lineTo(s * 0.2, -s);
        top.lineTo(s * 0.58, -s * 0.6);
        top.closePath();
        g.fill(top);
        g.setColor(window);
        for (int i = 0; i < 3; i++) {
            for (int j = 0; j < 2; j++) g.fill(new Rectangle2D.Double(-s * 0.36 + i * s * 0.3, -s * 0.5 + j * s * 0.23, s * 0.1, s * 0.13));
        }
        g.setTransform(was);
        wheel(x - size * 0.62 * height / width, y - size * 0.16, size * 0.3, scaled(roof, 0.7), scaled(roof, 0.45));
        return this;
    }

    /** The mill wheel: rims, spokes and paddles; {@code radius} is a part of the height. */
    Figures wheel(double x, double y, double radius, Color wood, Color shade) {
        double r = height * radius;
        AffineTransform was = g.getTransform();
        g.translate(x * width, y * height);
        g.rotate(0.13);
        for (int i = 0; i < 24; i++) {
            AffineTransform each = g.getTransform();
            g.rotate(i * Math.PI / 12);
            g.setColor(i % 2 == 0 ? wood : scaled(wood, 0.84));
            g.fill(new Rectangle2D.Double(r * 0.8, -r * 0.028, r * 0.24, r * 0.056));
            g.setColor(shade);
            g.fill(new Rectangle2D.Double(r * 0.8, r * 0.012, r * 0.24, r * 0.016));
            if (i % 3 == 0) {
                g.setPaint(new GradientPaint(0, (float) (-r * 0.03), wood, 0, (float) (r * 0.03), shade));
                g.fill(new Rectangle2D.Double(r * 0.08, -r * 0.03, r * 0.86, r * 0.06));
            }
            g.setTransform(each);
        }
        for (double ring : new double[] {0.94, 0.74}) {
            g.setStroke(new BasicStroke((float) (r * 0.055)));
            g.setPaint(new GradientPaint((float) -r, (float) -r, scaled(wood, 1.15), (float) r, (float) r, shade));
            g.draw(new Ellipse2D.Double(-r * ring, -r * ring, 2 * r * ring, 2 * r * ring));
        }
        g.setColor(shade);
        g.fill(new Ellipse2D.Double(-r * 0.14, -r * 0.14, r * 0.28, r * 0.28));
        g.setColor(scaled(wood, 1.1));
        g.fill(new Ellipse2D.Double(-r * 0.07, -r * 0.07, r * 0.14, r * 0.14));
        g.setTransform(was);
        return this;
    }

    /** The bird hide on its stilts. */
    Figures hide(double x, double y, double size, Color wood) {
        double s = height * size;
        AffineTransform was = g.getTransform();
        g.translate(x * width, y * height);
        g.setColor(scaled(wood, 0.55));
        g.setStroke(new BasicStroke((float) (s * 0.045)));
        for (double leg : new double[] {-0.5, -0.18, 0.18, 0.5}) g.draw(new Line2D.Double(leg * s, -s * 0.4, leg * s * 1.08, s * 0.12));
        g.draw(new Line2D.Double(-s * 0.5, s * 0.02, s * 0.18, -s * 0.36));
        g.setPaint(new GradientPaint((float) (-s * 0.6), 0, wood, (float) (s * 0.6), 0, scaled(wood, 0.6)));
        g.fill(new Rectangle2D.Double(-s * 0.6, -s * 0.9, s * 1.2, s * 0.52));
        g.setColor(scaled(wood, 0.5));
        for (int i = 1; i < 9; i++) g.fill(new Rectangle2D.Double(-s * 0.6, -s * 0.9 + i * s * 0.058, s * 1.2, s * 0.006));
        g.setColor(new Color(0x0E1214));
        g.fill(new Rectangle2D.Double(-s * 0.46, -s * 0.74, s * 0.92, s * 0.1));
        g.setColor(scaled(wood, 0.4));
        Path2D roof = new Path2D.Double();
        roof.moveTo(-s * 0.7, -s * 0.88);
        roof.lineTo(-s * 0.62, -s * 1.04);
        roof.lineTo(s * 0.66, -s * 0.96);
        roof.lineTo(s * 0.7, -s * 0.86);
        roof.closePath();
        g.fill(roof);
        g.setTransform(was);
        return this;
    }

    /** A standing heron, seen from its right; {@code size} is its height as a part of the picture's. */
    Figures heron(double x, double y, double size) {
        double s = height * size;
        AffineTransform was = g.getTransform();
        g.translate(x * width, y * height);
        g.setStroke(new BasicStroke((float) (s * 0.014), BasicStroke.CAP_ROUND, BasicStroke.JOIN_ROUND));
        g.setColor(new Color(0x8A7A4A));
        g.draw(new Line2D.Double(-s * 0.02, -s * 0.36, -s * 0.035, 0));
        g.draw(new Line2D.Double(s * 0.05, -s * 0.36, s * 0.06, 0));
        for (double foot : new double[] {-0.035, 0.06}) {
            g.draw(new Line2D.Double(foot * s, 0, (foot + 0.07) * s, s * 0.012));
            g.draw(new Line2D.Double(foot * s, 0, (foot - 0.035) * s, s * 0.008));
        }
        Path2D neck = new Path2D.Double();
        neck.moveTo(s * 0.1, -s * 0.5);
        neck.curveTo(s * 0.24, -s * 0.62, -s * 0.02, -s * 0.74, s * 0.09, -s * 0.9);
        neck.lineTo(s * 0.15, -s * 0.9);
        neck.curveTo(s * 0.07, -s * 0.74, s * 0.34, -s * 0.6, s * 0.14, -s * 0.4);
        neck.closePath();
        g.setPaint(new GradientPaint(0, (float) (-s * 0.9), new Color(0xF4F4F0), 0, (float) (-s * 0.4), new Color(0xB9C0C6)));
        g.fill(neck);
        Path2D body = new Path2D.Double();
        body.moveTo(s * 0.18, -s * 0.52);
        body.curveTo(s * 0.02, -s * 0.66, -s * 0.2, -s * 0.5, -s * 0.34, -s * 0.26);
        body.curveTo(-s * 0.16, -s * 0.3, -s * 0.04, -s * 0.28, s * 0.06, -s * 0.33);
        body.curveTo(s * 0.16, -s * 0.38, s * 0.2, -s * 0.44, s * 0.18, -s * 0.52);
        g.setPaint(new GradientPaint((float) (-s * 0.2), (float) (-s * 0.58), new Color(0x9DABB8), (float) (-s * 0.05), (float) (-s * 0.28),
                new Color(0x4B5866)));
        g.fill(body);
        g.setColor(new Color(0x2C3640));
        Path2D wing = new Path2D.Double();
        wing.moveTo(s * 0.06, -s * 0.44);
        wing.curveTo(-s * 0.06, -s * 0.42, -s * 0.22, -s * 0.34, -s * 0.37, -s * 0.22);
        wing.curveTo(-s * 0.2, -s * 0.27, -s * 0.06, -s * 0.3, s * 0.06, -s * 0.44);
        g.fill(wing);
        g.setColor(new Color(0xF6F6F2));
        g.fill(new Ellipse2D.Double(s * 0.07, -s * 0.955, s * 0.12, s * 0.075));
        g.setColor(new Color(0xE2A23C));
        Path2D bill = new Path2D.Double();
        bill.moveTo(s * 0.175, -s * 0.94);
        bill.lineTo(s * 0.37, -s * 0.895);
        bill.lineTo(s * 0.175, -s * 0.895);
        bill.closePath();
        g.fill(bill);
        g.setColor(new Color(0x1B2126));
        Path2D crest = new Path2D.Double();
        crest.moveTo(s * 0.16, -s * 0.945);
        crest.quadTo(s * 0.06, -s * 0.98, -s * 0.08, -s * 0.9);
        crest.quadTo(s * 0.05, -s * 0.94, s * 0.13, -s * 0.93);
        crest.closePath();
        g.fill(crest);
        g.fill(new Ellipse2D.Double(s * 0.148, -s * 0.932, s * 0.016, s * 0.016));
        g.setTransform(was);
        return this;
    }

    private static Color scaled(Color c, double by) {
        return new Color(level(c.getRed() * by), level(c.getGreen() * by), level(c.getBlue() * by), c.getAlpha());
    }

    private static Color faded(Color c, int alpha) {
        return new Color(c.getRed(), c.getGreen(), c.getBlue(), alpha);
    }

    private static int level(double value) {
        return (int) Math.max(0, Math.min(255, value));
    }
}
