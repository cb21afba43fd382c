package plainlantern.studio.demo;

import java.awt.Color;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.function.Supplier;
import javax.imageio.ImageIO;
import plainlantern.picture.Encoder;
import plainlantern.picture.Orientation;
import plainlantern.picture.Resample;

/** The pictures of the demo, painted by program: invented places and birds, photo-sized. */
final class DemoPictures {
    /** A file to import: its name, and how to paint it. */
    record Painted(String file, Supplier<byte[]> bytes) {}

    static final List<Painted> ALL = List.of(
            jpeg("Dawn over the bay", () -> figures(new Landscape(6000, 4000, Light.DAWN, 0.56, 0.62, 0.4, 0.035, 6, 0.26, 0.5, 11))
                    .birds(0.3, 0.2, 0.012, 7, new Color(0x3A3048), 1)),
            jpeg("First boat out", () -> figures(new Landscape(5700, 3800, Light.MORNING, 0.5, 0.25, 0.24, 0.03, 5, 0.24, 0.45, 23))
                    .boat(0.64, 0.66, 0.3, new Color(0x2C3A40), new Color(0xF4E9D6)).reeds(0.22, new Color(0x4A5236), 160, 3)),
            turned("Mist on the reeds", 6, () -> figures(new Landscape(3600, 5400, Light.DAWN, 0.6, 0.4, 0.47, 0.03, 7, 0.3, 0.35, 37))
                    .reeds(0.42, new Color(0x4A3F3C), 300, 5)),
            jpeg("The wheel", () -> figures(new Landscape(4000, 5600, Light.NOON, 0.68, 0.8, 0.16, 0.02, 4, 0.24, 0.6, 41))
                    .wheel(0.5, 0.5, 0.31, new Color(0x8A5E34), new Color(0x3B2617)).reeds(0.2, new Color(0x3C5A2C), 200, 6)),
            jpeg("Tide mill at noon", () -> figures(new Landscape(6000, 4000, Light.NOON, 0.58, 0.2, 0.12, 0.02, 5, 0.22, 0.62, 53))
                    .mill(0.6, 0.665, 0.4, new Color(0xC9B89A), new Color(0x8C4A33), new Color(0x33424A))
                            .reeds(0.14, new Color(0x46662E), 170, 8)),
            jpeg("Square tide", () -> figures(new Landscape(4500, 4500, Light.MORNING, 0.52, 0.7, 0.3, 0.04, 6, 0.28, 0.4, 61))
                    .birds(0.35, 0.24, 0.016, 5, new Color(0x33424E), 4)),
            jpeg("The hide", () -> figures(new Landscape(6000, 4000, Light.STORM, 0.55, 0.72, 0.42, 0.026, 6, 0.22, 0.85, 71))
                    .hide(0.3, 0.73, 0.3, new Color(0x6E5A44)).reeds(0.24, new Color(0x5A5636), 320, 9)),
            jpeg("Long evening", () -> figures(new Landscape(8200, 2700, Light.DUSK, 0.58, 0.55, 0.44, 0.05, 6, 0.34, 0.55, 83))
                    .boat(0.24, 0.72, 0.26, new Color(0x201A2C), new Color(0xD88E78)).birds(0.72, 0.2, 0.018, 9, new Color(0x2B1F38), 2)),
            jpeg("Moon tide", () -> figures(new Landscape(5700, 3800, Light.NIGHT, 0.57, 0.34, 0.2, 0.042, 6, 0.28, 0.3, 97))
                    .mill(0.73, 0.64, 0.27, new Color(0x1A2233), new Color(0x10151F), new Color(0xF2C66A))),
            jpeg("Geese going home", () -> figures(new Landscape(5400, 3600, Light.EMBER, 0.64, 0.46, 0.5, 0.06, 5, 0.2, 0.5, 103))
                    .birds(0.5, 0.2, 0.024, 11, new Color(0x1A0F1C), 7).reeds(0.2, new Color(0x1C1218), 240, 10)),
            turned("Blue hour", 8, () -> figures(new Landscape(3800, 5400, Light.BLUE_HOUR, 0.55, 0.64, 0.42, 0.024, 7, 0.32, 0.3, 113))
                    .boat(0.36, 0.74, 0.16, new Color(0x0B1424), new Color(0x8FA4C4))),
            jpeg("Frost on the ridges", () -> figures(new Landscape(5600, 3700, Light.FROST, 0.6, 0.75, 0.3, 0.03, 8, 0.42, 0.3, 127))
                    .reeds(0.16, new Color(0x9A8F86), 150, 12)),
            tiff("Low water", () -> figures(new Landscape(4200, 2800, Light.DUSK, 0.42, 0.4, 0.27, 0.03, 4, 0.16, 0.6, 131))
                    .reeds(0.3, new Color(0x2A2030), 260, 13)),
            new Painted("Gallery.jpg", () -> Encoder.jpeg(new Room(5100, 3400).paint(), 0.92f, 300)),
            new Painted("Paper.jpg", () -> Encoder.jpeg(large(Textures.paper(1790, 2517)), 0.9f, 300)),
            new Painted("Side light.jpg", () -> Encoder.jpeg(large(Textures.light(1790, 2517)), 0.9f, 300)),
            png("Heron", () -> clear(2600, 3600).heron(0.48, 0.97, 0.95)),
            png("Mill wheel", () -> clear(3200, 3200).wheel(0.5, 0.5, 0.46, new Color(0x946538), new Color(0x40291A))));

    private DemoPictures() {}

    /** Twice as large: what is soft needs no more to be painted. */
    private static BufferedImage large(BufferedImage soft) {
        return Resample.toSize(soft, 2 * soft.getWidth(), 2 * soft.getHeight());
    }

    private static Painted jpeg(String name, Supplier<Figures> scenery) {
        return new Painted(name + ".jpg", () -> Encoder.jpeg(scenery.get().image(), 0.9f, 300));
    }

    /** Stored as a camera held sideways stores it, with the EXIF orientation that makes it upright again. */
    private static Painted turned(String name, int orientation, Supplier<Figures> scenery) {
        return new Painted(name + ".jpg", () -> {
            // Orientations 6 and 8 undo each other.
            BufferedImage sideways = Orientation.of(orientation == 6 ? 8 : 6).upright(scenery.get().image());
            return withOrientation(Encoder.jpeg(sideways, 0.9f, 300), orientation);
        });
    }

    private static Painted tiff(String name, Supplier<Figures> scenery) {
        return new Painted(name + ".tif", () -> {
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            try {
                ImageIO.write(scenery.get().image(), "tiff", out);
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
            return out.toByteArray();
        });
    }

    private static Painted png(String name, Supplier<Figures> cutout) {
        return new Painted(name + ".png", () -> Encoder.png(cutout.get().image(), 300));
    }

    private static Figures figures(Landscape landscape) {
        return new Figures(landscape.paint());
    }

    private static Figures clear(int width, int height) {
        return new Figures(new BufferedImage(width, height, BufferedImage.TYPE_4BYTE_ABGR));
    }

    /** Puts an APP1 segment with nothing but tag 0x0112 behind the start of a JPEG (EXIF 2.32, big-endian TIFF header). */
    static byte[] withOrientation(byte[] jpeg, int orientation) {
        byte[] segment = {(byte) 0xFF, (byte) 0xE1, 0, 34, 'E', 'x', 'i', 'f', 0, 0, 'M', 'M', 0, 42, 0, 0, 0, 8,
            0, 1, 1, 0x12, 0, 3, 0, 0, 0, 1, 0, (byte) orientation, 0, 0, 0, 0, 0, 0};
        byte[] out = new byte[jpeg.length + segment.length];
        System.arraycopy(jpeg, 0, out, 0, 2);
        System.arraycopy(segment, 0, out, 2, segment.length);
        System.arraycopy(jpeg, 2, out, 2 + segment.length, jpeg.length - 2);
        return out;
    }
}
