package plainlantern.picture;

import com.drew.imaging.ImageMetadataReader;
import com.drew.imaging.ImageProcessingException;
import com.drew.metadata.MetadataException;
import com.drew.metadata.exif.ExifIFD0Directory;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.Iterator;
import java.util.Locale;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicReference;
import javax.imageio.ImageIO;
import javax.imageio.ImageReader;
import javax.imageio.event.IIOReadWarningListener;
import javax.imageio.stream.ImageInputStream;
import plainlantern.geometry.BadInput;

/** Reads picture files that nobody vouches for. Every refusal is a {@link BadInput} that names the file and the reason. */
public final class PictureReader {
    public static final long MOST_BYTES = 80L << 20;
    public static final long MOST_PIXELS = 250_000_000;

    static {
        ImageIO.setUseCache(false);
    }

    private PictureReader() {}

    /** Looks at a file's head without decoding pixels: real type, size limits, dimensions, orientation. */
    public static PictureFile inspect(String fileName, byte[] bytes) {
        if (bytes.length == 0) throw refused(fileName, "is empty.");
        if (bytes.length > MOST_BYTES) {
            throw refused(fileName, String.format(Locale.ROOT, "has %.1f MB; at most 80 MB can be imported.", bytes.length / 1048576.0));
        }
        FileKind format = FileKind.of(bytes).orElseThrow(() ->
                refused(fileName, "is not a picture that can be read. JPEG, PNG, WebP, GIF, BMP and TIFF can."));
        Optional<FileKind> claimed = FileKind.claimedBy(fileName);
        if (claimed.isPresent() && claimed.get() != format) {
            throw refused(fileName, "says it is " + claimed.get() + " but holds " + format + ". Rename it to ."
                    + format.extension() + " if you trust it.");
        }
        return withReader(fileName, bytes, format, reader -> {
            int width = reader.getWidth(0);
            int height = reader.getHeight(0);
            if (width <= 0 || height <= 0) throw refused(fileName, "has no pixels.");
            if ((long) width * height > MOST_PIXELS) {
                throw refused(fileName, String.format(Locale.ROOT, "has %.0f megapixels; at most 250 can be imported.",
                        (double) width * height / 1e6));
            }
            Orientation orientation = orientation(bytes);
            boolean swap = orientation.swapsSides();
            return new PictureFile(format, swap ? height : width, swap ? width : height, orientation);
        });
    }

    /** The first image of the file, upright, sRGB: interleaved bytes, TYPE_3BYTE_BGR or, with transparency, TYPE_4BYTE_ABGR. */
    public static BufferedImage decode(String fileName, byte[] bytes, PictureFile file) {
        BufferedImage stored = withReader(fileName, bytes, file.format(), reader -> {
            AtomicReference<String> warning = new AtomicReference<>();
            reader.addIIOReadWarningListener((IIOReadWarningListener) (source, text) -> warning.set(text));
            BufferedImage image = reader.read(0);
            if (warning.get() != null && warning.get().toLowerCase(Locale.ROOT).matches(".*(premature|truncat|unexpected end|eof).*")) {
                throw refused(fileName, "is cut off: its last part is missing.");
            }
            return image;
        });
        return file.orientation().upright(Srgb.bytes(stored));
    }

    private interface Reading<T> {
        T from(ImageReader reader) throws IOException;
    }

    private static <T> T withReader(String fileName, byte[] bytes, FileKind format, Reading<T> reading) {
        try (ImageInputStream in = ImageIO.createImageInputStream(new ByteArrayInputStream(bytes))) {
            Iterator<ImageReader> readers = ImageIO.getImageReadersByMIMEType(format.mediaType());
            ImageReader reader = readers.next();
            try {
                reader.setInput(in, true, true);
                return reading.from(reader);
            } finally {
                reader.dispose();
            }
        } catch (BadInput e) {
            throw e;
        } catch (IOException | RuntimeException e) {
            // Readers meet damaged files with all kinds of exceptions; for the person they mean one thing.
            throw refused(fileName, "is damaged or cut off and cannot be read.");
        }
    }

    private static Orientation orientation(byte[] bytes) {
        try {
            var exif = ImageMetadataReader.readMetadata(new ByteArrayInputStream(bytes), bytes.length)
                    .getFirstDirectoryOfType(ExifIFD0Directory.class);
            if (exif == null || !exif.containsTag(ExifIFD0Directory.TAG_ORIENTATION)) return Orientation.TOP_LEFT;
            return Orientation.of(exif.getInt(ExifIFD0Directory.TAG_ORIENTATION));
        } catch (ImageProcessingException | IOException | MetadataException | RuntimeException e) {
            // Damaged metadata says nothing about the pixels: take them as they stand.
            return Orientation.TOP_LEFT;
        }
    }

    private static BadInput refused(String fileName, String why) {
        return new BadInput("pictures", fileName + " " + why);
    }
}
