package plainlantern.picture;

import java.awt.Transparency;
import java.awt.color.CMMException;
import java.awt.color.ColorSpace;
import java.awt.color.ICC_ColorSpace;
import java.awt.color.ICC_Profile;
import java.awt.color.ProfileDataException;
import java.awt.image.BufferedImage;
import java.awt.image.ColorConvertOp;
import java.awt.image.ColorModel;
import java.awt.image.ComponentColorModel;
import java.awt.image.ComponentSampleModel;
import java.awt.image.DataBuffer;
import java.awt.image.DataBufferByte;
import java.awt.image.DataBufferUShort;
import java.awt.image.IndexColorModel;
import java.awt.image.Raster;
import java.awt.image.WritableRaster;
import java.lang.reflect.Array;
import java.nio.ByteBuffer;
import java.util.Optional;
import java.util.stream.IntStream;
import plainlantern.treating.Recent;

/**
 * Brings decoded images into one form: sRGB (IEC 61966-2-1), interleaved bytes or, for tones, shorts, alpha not multiplied in. Colours
 * that a profile describes
 * are computed by Little CMS, which comes with Java, in the file's own depth: 16 bits stay 16 bits until they are sRGB. Scanners and
 * screens are read as they are to be perceived, printers' inks relative to the paper's white.
 */
final class Srgb {
    private static final ICC_Profile SRGB = ICC_Profile.getInstance(ColorSpace.CS_sRGB);
    /** Java's own name for greys that no profile describes. */
    private static final ColorSpace GREY = ColorSpace.getInstance(ColorSpace.CS_GRAY);
    /** Steps a channel of the colours by which a profile is tried. */
    private static final int TRIED = 6;
    private static final int STRIP = 64;

    /** The same few profiles are in most files, and each is tried by colours: what came of that, of those that are no larger than this. */
    private static final int KNOWN_BYTES = 1 << 16;
    private static final Recent<ByteBuffer, Optional<ICC_Profile>> KNOWN = new Recent<>(24);
    private static final Recent<ByteBuffer, Boolean> SAME = new Recent<>(24);

    private Srgb() {}

    /** A profile that a file holds; empty where it makes no sense. */
    static Optional<ICC_Profile> profile(byte[] bytes) {
        return bytes.length > KNOWN_BYTES ? read(bytes) : KNOWN.get(ByteBuffer.wrap(bytes), () -> read(bytes));
    }

    private static Optional<ICC_Profile> read(byte[] bytes) {
        try {
            ICC_Profile profile = ICC_Profile.getInstance(bytes);
            converted(profile, Raster.createInterleavedRaster(DataBuffer.TYPE_BYTE, 1, 1, profile.getNumComponents(), null));
            return Optional.of(profile);
        } catch (RuntimeException damaged) {
            // Java tells of damaged profiles by exceptions of many kinds.
            return Optional.empty();
        }
    }

    /** Whether a profile says nothing else than sRGB, whatever it is called: tried with colours of all kinds. */
    static boolean is(ICC_Profile profile) {
        if (profile.getNumComponents() != 3) return false;
        byte[] bytes = profile.getData();
        return bytes.length > KNOWN_BYTES ? tried(profile) : SAME.get(ByteBuffer.wrap(bytes), () -> tried(profile));
    }

    private static boolean tried(ICC_Profile profile) {
        WritableRaster colours = Raster.createInterleavedRaster(DataBuffer.TYPE_BYTE, TRIED * TRIED, TRIED, 3, null);
        for (int r = 0; r < TRIED; r++) for (int g = 0; g < TRIED; g++) for (int b = 0; b < TRIED; b++)
            colours.setPixel(r * TRIED + g, b, new int[] {r * 255 / (TRIED - 1), g * 255 / (TRIED - 1), b * 255 / (TRIED - 1)});
        Raster seen = converted(profile, colours);
        int[] were = colours.getPixels(0, 0, colours.getWidth(), TRIED, (int[]) null);
        int[] are = seen.getPixels(0, 0, colours.getWidth(), TRIED, (int[]) null);
        return IntStream.range(0, were.length).allMatch(i -> Math.abs(were[i] - are[i]) <= 2);
    }

    private static Raster converted(ICC_Profile from, WritableRaster colours) {
        return new ColorConvertOp(new ICC_Profile[] {from, SRGB}, null).filter(colours,
                Raster.createInterleavedRaster(DataBuffer.TYPE_BYTE, colours.getWidth(), colours.getHeight(), 3, null));
    }

    /** @param told what the file says of its colours; empty where the image says it, or nothing does */
    static BufferedImage bytes(BufferedImage image, Optional<ICC_Profile> told) {
        return of(image, told, false);
    }

    /** With sixteen bits a sample, in the same order; with eight where the image has no more, or is none of samples. */
    static BufferedImage shorts(BufferedImage image, Optional<ICC_Profile> told) {
        return of(image, told, image.getSampleModel() instanceof ComponentSampleModel
                && image.getRaster().getTransferType() == DataBuffer.TYPE_USHORT);
    }

    /** Whether its samples have sixteen bits. */
    static boolean deep(BufferedImage image) {
        return image.getRaster().getTransferType() == DataBuffer.TYPE_USHORT;
    }

    /** An empty image with samples like those of another. */
    static BufferedImage like(BufferedImage image, int width, int height) {
        return empty(width, height, image.getColorModel().hasAlpha(), deep(image));
    }

    /** All samples of an interleaved raster, an array of bytes or shorts. */
    static Object samples(Raster raster) {
        return raster.getDataBuffer() instanceof DataBufferUShort deep ? deep.getData() : ((DataBufferByte) raster.getDataBuffer())
                .getData();
    }

    private static BufferedImage empty(int width, int height, boolean alpha, boolean deep) {
        if (!deep) return new BufferedImage(width, height, type(alpha));
        ColorModel model = new ComponentColorModel(ColorSpace.getInstance(ColorSpace.CS_sRGB), alpha, false,
                alpha ? Transparency.TRANSLUCENT : Transparency.OPAQUE, DataBuffer.TYPE_USHORT);
        return new BufferedImage(model, Raster.createInterleavedRaster(DataBuffer.TYPE_USHORT, width, height, alpha ? width * 4 : width * 3,
                alpha ? 4 : 3, alpha ? new int[] {3, 2, 1, 0} : new int[] {2, 1, 0}, null), false, null);
    }

    private static BufferedImage of(BufferedImage image, Optional<ICC_Profile> told, boolean deep) {
        Optional<ICC_Profile> profile = told.or(() -> own(image));
        if (profile.isEmpty()) return plain(image, deep);
        ColorModel model = image.getColorModel();
        // Others are spread out to bytes first: palettes, packed numbers, greys whose colours are told as those of three.
        boolean samples = image.getSampleModel() instanceof ComponentSampleModel && !(model instanceof IndexColorModel)
                && image.getRaster().getTransferType() <= DataBuffer.TYPE_USHORT
                && model.getNumColorComponents() >= profile.get().getNumComponents();
        try {
            return converted(samples ? image : plain(image, false), profile.get(), deep);
        } catch (CMMException | ProfileDataException | IllegalArgumentException damaged) {
            return plain(image, deep);
        }
    }

    private static Optional<ICC_Profile> own(BufferedImage image) {
        ColorSpace space = image.getColorModel().getColorSpace();
        return space instanceof ICC_ColorSpace icc && !space.isCS_sRGB() && space != GREY ? Optional.of(icc.getProfile())
                : Optional.empty();
    }

    private static BufferedImage converted(BufferedImage image, ICC_Profile profile, boolean deep) {
        boolean alpha = image.getColorModel().hasAlpha();
        Raster from = image.getRaster();
        BufferedImage out = empty(image.getWidth(), image.getHeight(), alpha, deep);
        int strips = (image.getHeight() + STRIP - 1) / STRIP;
        int parts = Math.min(strips, Runtime.getRuntime().availableProcessors());
        IntStream.range(0, parts).parallel().forEach(part -> {
            // Operations let nobody else in, and write back the whole array that they were given: each part has its own of both.
            ColorConvertOp operation = new ColorConvertOp(new ICC_Profile[] {profile, SRGB}, null);
            for (int strip = part; strip < strips; strip += parts)
                strip(operation, from, out.getRaster(), strip * STRIP, profile.getNumComponents());
        });
        if (alpha) alpha(from, out.getRaster());
        return out;
    }

    private static void strip(ColorConvertOp operation, Raster from, WritableRaster to, int top, int colours) {
        int width = from.getWidth();
        int height = Math.min(STRIP, from.getHeight() - top);
        // Packed as Little CMS takes them: it would read between the samples of others.
        WritableRaster own = Raster.createInterleavedRaster(from.getTransferType(), width, height, colours, null);
        Object samples = null;
        for (int y = 0; y < height; y++) {
            samples = from.getDataElements(from.getMinX(), from.getMinY() + top + y, width, 1, samples);
            own.setDataElements(0, y, width, 1, first(colours, samples, width));
        }
        WritableRaster seen = Raster.createInterleavedRaster(to.getTransferType(), width, height, width * 3, 3, new int[] {2, 1, 0}, null);
        operation.filter(own, seen);
        Object colour = samples(seen);
        Object all = samples(to);
        int bands = to.getNumBands();
        int count = width * height * 3;
        if (bands == 3) System.arraycopy(colour, 0, all, top * width * 3, count);
        else for (int i = 0, at = top * width * bands; i < count; i += 3, at += bands) System.arraycopy(colour, i, all, at + 1, 3);
    }

    /** Of each pixel so many samples from its first one on. */
    private static Object first(int colours, Object samples, int width) {
        int bands = Array.getLength(samples) / width;
        if (bands == colours) return samples;
        Object some = Array.newInstance(samples.getClass().getComponentType(), width * colours);
        for (int x = 0; x < width; x++) System.arraycopy(samples, x * bands, some, x * colours, colours);
        return some;
    }

    private static void alpha(Raster from, WritableRaster to) {
        int band = from.getNumBands() - 1;
        int shift = Math.max(0, from.getSampleModel().getSampleSize(band) - to.getSampleModel().getSampleSize(3));
        int[] row = new int[from.getWidth()];
        for (int y = 0; y < from.getHeight(); y++) {
            from.getSamples(from.getMinX(), from.getMinY() + y, row.length, 1, band, row);
            if (shift > 0) for (int x = 0; x < row.length; x++) row[x] >>= shift;
            to.setSamples(0, y, row.length, 1, 3, row);
        }
    }

    private static int type(boolean alpha) {
        return alpha ? BufferedImage.TYPE_4BYTE_ABGR : BufferedImage.TYPE_3BYTE_BGR;
    }

    private static BufferedImage plain(BufferedImage image, boolean deep) {
        ColorModel model = image.getColorModel();
        boolean grey = model.getColorSpace().getType() == ColorSpace.TYPE_GRAY && model.getNumColorComponents() == 1;
        if (deep && (grey || model.getColorSpace().isCS_sRGB())) return spread(image);
        int type = type(model.hasAlpha() && model.getTransparency() != ColorModel.OPAQUE);
        if (image.getType() == type && wholeArray(image)) return image;
        BufferedImage out = new BufferedImage(image.getWidth(), image.getHeight(), type);
        if (grey) {
            grey(image, out);
        } else if (model.getColorSpace().isCS_sRGB()) {
            for (int y = 0; y < image.getHeight(); y++) {
                int[] row = image.getRGB(0, y, image.getWidth(), 1, null, 0, image.getWidth());
                out.setRGB(0, y, image.getWidth(), 1, row, 0, image.getWidth());
            }
        } else {
            new ColorConvertOp(null).filter(image, out);
        }
        return out;
    }

    /** The very samples, of sixteen bits, a grey one as three. */
    private static BufferedImage spread(BufferedImage image) {
        Raster from = image.getRaster();
        int bands = from.getNumBands();
        BufferedImage out = empty(image.getWidth(), image.getHeight(), image.getColorModel().hasAlpha(), true);
        int[] row = new int[image.getWidth()];
        for (int band = 0; band < out.getRaster().getNumBands(); band++) {
            for (int y = 0; y < image.getHeight(); y++) {
                from.getSamples(from.getMinX(), from.getMinY() + y, row.length, 1, band == 3 ? bands - 1 : bands < 3 ? 0 : band, row);
                out.getRaster().setSamples(0, y, row.length, 1, band, row);
            }
        }
        return out;
    }

    /** Grey samples become equal red, green and blue; Java's own grey is linear light, files' greys are not. */
    private static void grey(BufferedImage image, BufferedImage out) {
        Raster raster = image.getRaster();
        int bands = raster.getNumBands();
        int shift = Math.max(0, raster.getSampleModel().getSampleSize(0) - 8);
        boolean wide = raster.getDataBuffer().getDataType() == DataBuffer.TYPE_USHORT || shift > 0;
        int[] row = new int[image.getWidth() * bands];
        for (int y = 0; y < image.getHeight(); y++) {
            raster.getPixels(0, y, image.getWidth(), 1, row);
            for (int x = 0; x < image.getWidth(); x++) {
                int value = wide ? row[x * bands] >> shift : row[x * bands];
                int opacity = bands > 1 ? row[x * bands + 1] >> shift : 255;
                out.setRGB(x, y, opacity << 24 | value << 16 | value << 8 | value);
            }
        }
    }

    private static boolean wholeArray(BufferedImage image) {
        return image.getRaster().getDataBuffer() instanceof DataBufferByte data && data.getNumBanks() == 1
                && data.getData().length == image.getWidth() * image.getHeight() * image.getRaster().getNumBands();
    }
}
