package plainlantern.picture;

import com.drew.imaging.ImageMetadataReader;
import com.drew.imaging.ImageProcessingException;
import com.drew.imaging.png.PngChunk;
import com.drew.imaging.png.PngChunkReader;
import com.drew.imaging.png.PngChunkType;
import com.drew.imaging.png.PngProcessingException;
import com.drew.lang.ByteArrayReader;
import com.drew.lang.SequentialByteArrayReader;
import com.drew.metadata.Metadata;
import com.drew.metadata.exif.ExifIFD0Directory;
import com.drew.metadata.exif.ExifReader;
import com.drew.metadata.exif.ExifSubIFDDirectory;
import java.awt.color.ICC_Profile;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.time.format.DateTimeParseException;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.atomic.AtomicReference;
import java.util.function.BiFunction;
import javax.imageio.ImageIO;
import javax.imageio.ImageReadParam;
import javax.imageio.ImageReader;
import javax.imageio.ImageTypeSpecifier;
import javax.imageio.event.IIOReadWarningListener;
import javax.imageio.stream.ImageInputStream;
import plainlantern.asking.BadInput;
import plainlantern.picture.PictureFile.Stored;

/** Reads picture files that nobody vouches for. Every refusal is a {@link BadInput} that names the file and the reason. */
public final class PictureReader {
    public static final long MOST_BYTES = 80L << 20;
    public static final long MOST_PIXELS = 250_000_000;
    /** Pixels of all scans of a JPEG together: a picture of 250 megapixels with the ten scans that are usual. */
    private static final long MOST_SCANNED = 2_500_000_000L;

    private static final DateTimeFormatter CAMERA = DateTimeFormatter.ofPattern("uuuu:MM:dd HH:mm:ss", Locale.ROOT);

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
        FileKind kind = FileKind.of(bytes).orElseThrow(() ->
                refused(fileName, "is not a picture that can be read. JPEG, PNG, WebP, GIF, BMP and TIFF can."));
        Optional<FileKind> claimed = FileKind.claimedBy(fileName);
        if (claimed.isPresent() && claimed.get() != kind) {
            throw refused(fileName, "says it is " + claimed.get() + " but holds " + kind + ". Rename it to ."
                    + kind.extension() + " if you trust it.");
        }
        return withReader(fileName, bytes, kind, reader -> {
            int width = reader.getWidth(0);
            int height = reader.getHeight(0);
            if (width <= 0 || height <= 0) throw refused(fileName, "has no pixels.");
            if ((long) width * height > MOST_PIXELS) {
                throw refused(fileName, String.format(Locale.ROOT, "has %.0f megapixels; at most 250 can be imported.",
                        (double) width * height / 1e6));
            }
            if (kind == FileKind.JPEG && JpegScans.count(bytes) * (long) width * height > MOST_SCANNED) {
                throw refused(fileName, "is stored in too many passes for its size. Save it as a plain JPEG.");
            }
            Metadata metadata = metadata(kind, bytes);
            Orientation orientation = orientation(metadata);
            boolean swap = orientation.swapsSides();
            ImageTypeSpecifier raw = raw(reader);
            int pixelBytes = pixelBytes(raw);
            return new PictureFile(kind, swap ? height : width, swap ? width : height, orientation, srgb(kind, bytes, pixelBytes),
                    taken(metadata), new Stored(pixelBytes, raw.getBitsPerBand(0) > 8, Bands.free(kind, metadata, width, height)));
        });
    }

    /** The first image of the file, upright, sRGB: interleaved bytes, TYPE_3BYTE_BGR or, with transparency, TYPE_4BYTE_ABGR. */
    public static BufferedImage decode(String fileName, byte[] bytes, PictureFile file) {
        return decode(fileName, bytes, file, 1);
    }

    /**
     * As {@link #decode(String, byte[], PictureFile)}, smaller by a whole factor where that saves work.
     *
     * @param shrink the largest factor by which the sides may be divided, at least 1
     */
    public static BufferedImage decode(String fileName, byte[] bytes, PictureFile file, double shrink) {
        if (file.shrinks()) {
            int by = whole(shrink);
            Optional<BufferedImage> fast = file.kind() == FileKind.JPEG ? FastJpeg.decode(bytes, by) : FastWebp.decode(bytes, by);
            if (fast.isPresent()) {
                Optional<ICC_Profile> told = file.srgb() ? Optional.empty() : profile(file.kind(), bytes, file.stored().bytes());
                return file.orientation().upright(Srgb.bytes(fast.get(), told));
            }
        }
        return read(fileName, bytes, file, shrink, Srgb::bytes);
    }

    /**
     * As {@link #decode(String, byte[], PictureFile, double)}, with samples of sixteen bits where the file has as many: interleaved in the
     * same order.
     */
    static BufferedImage deep(String fileName, byte[] bytes, PictureFile file, double shrink) {
        return read(fileName, bytes, file, shrink, Srgb::shorts);
    }

    private static BufferedImage read(String fileName, byte[] bytes, PictureFile file, double shrink,
            BiFunction<BufferedImage, Optional<ICC_Profile>, BufferedImage> ours) {
        Optional<ICC_Profile> told = told(bytes, file);
        int by = whole(shrink);
        boolean bands = file.banded() && by > 1;
        BufferedImage image = reading(fileName, bytes, file, reader -> bands
                ? Bands.read(reader, bytes, file, by, part -> stored(reader, bytes, file, part), band -> ours.apply(band, told))
                : ours.apply(stored(reader, bytes, file, plainly(file, reader)), told));
        return file.orientation().upright(image);
    }

    private static int whole(double shrink) {
        return Integer.highestOneBit((int) Math.min(8, shrink));
    }

    private static Optional<ICC_Profile> told(byte[] bytes, PictureFile file) {
        return switch (file.kind()) {
            case PNG -> file.srgb() ? Optional.empty() : PngColours.profile(bytes);
            case BMP -> ElderColours.bmp(bytes);
            case GIF -> ElderColours.gif(bytes);
            default -> Optional.empty();
        };
    }

    private static BufferedImage stored(ImageReader reader, byte[] bytes, PictureFile file, ImageReadParam part) throws IOException {
        return inks(file) ? JpegInks.srgb(bytes, reader.readRaster(0, part)) : reader.read(0, part);
    }

    private static BufferedImage reading(String fileName, byte[] bytes, PictureFile file, Reading<BufferedImage> reading) {
        return withReader(fileName, bytes, file.kind(), reader -> {
            AtomicReference<String> warning = new AtomicReference<>();
            reader.addIIOReadWarningListener((IIOReadWarningListener) (source, text) -> warning.set(text));
            BufferedImage image = reading.from(reader);
            if (warning.get() != null && warning.get().toLowerCase(Locale.ROOT).matches(".*(premature|truncat|unexpected end|eof).*")) {
                throw refused(fileName, "is cut off: its last part is missing.");
            }
            return image;
        });
    }

    private static boolean inks(PictureFile file) {
        return file.kind() == FileKind.JPEG && file.stored().bytes() == 4;
    }

    /** A PNG of three bytes a pixel is decoded into our own form at once, which spares a copy of all its pixels. */
    private static ImageReadParam plainly(PictureFile file, ImageReader reader) throws IOException {
        ImageReadParam param = reader.getDefaultReadParam();
        if (file.plain()) param.setDestination(new BufferedImage(reader.getWidth(0), reader.getHeight(0), BufferedImage.TYPE_3BYTE_BGR));
        return param;
    }

    private static ImageTypeSpecifier raw(ImageReader reader) throws IOException {
        ImageTypeSpecifier raw = reader.getRawImageType(0);
        return raw == null ? reader.getImageTypes(0).next() : raw;
    }

    private static int pixelBytes(ImageTypeSpecifier raw) {
        int bits = 0;
        for (int band = 0; band < raw.getNumBands(); band++) bits += raw.getBitsPerBand(band) > 8 ? 16 : 8;
        return bits / 8;
    }

    private interface Reading<T> {
        T from(ImageReader reader) throws IOException;
    }

    private static <T> T withReader(String fileName, byte[] bytes, FileKind kind, Reading<T> reading) {
        try (ImageInputStream in = ImageIO.createImageInputStream(new ByteArrayInputStream(bytes))) {
            ImageReader reader = ImageIO.getImageReadersByMIMEType(kind.mediaType()).next();
            try {
                // Those that stand in one piece may be read several times.
                reader.setInput(in, false, true);
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

    /** Damaged metadata says nothing about the pixels: the file is taken as if it had none. */
    private static Metadata metadata(FileKind kind, byte[] bytes) {
        try {
            return kind == FileKind.PNG ? exif(bytes) : ImageMetadataReader.readMetadata(new ByteArrayInputStream(bytes), bytes.length);
        } catch (ImageProcessingException | IOException | RuntimeException e) {
            return new Metadata();
        }
    }

    /** Of a PNG only its eXIf chunk: the packed ones may be far larger than their file. */
    private static Metadata exif(byte[] png) throws PngProcessingException, IOException {
        Metadata metadata = new Metadata();
        for (PngChunk chunk : new PngChunkReader().extract(new SequentialByteArrayReader(png), Set.of(PngChunkType.eXIf))) {
            new ExifReader().extract(new ByteArrayReader(chunk.getBytes()), metadata);
        }
        return metadata;
    }

    private static Orientation orientation(Metadata metadata) {
        for (ExifIFD0Directory exif : metadata.getDirectoriesOfType(ExifIFD0Directory.class)) {
            Integer value = exif.getInteger(ExifIFD0Directory.TAG_ORIENTATION);
            if (value != null) return Orientation.of(value);
        }
        return Orientation.TOP_LEFT;
    }

    private static Optional<LocalDateTime> taken(Metadata metadata) {
        return metadata.getDirectoriesOfType(ExifSubIFDDirectory.class).stream()
                .map(exif -> exif.getString(ExifSubIFDDirectory.TAG_DATETIME_ORIGINAL)).filter(Objects::nonNull).findFirst()
                        .flatMap(text -> {
                    try {
                        return Optional.of(LocalDateTime.parse(text.strip(), CAMERA));
                    } catch (DateTimeParseException e) {
                        return Optional.empty();
                    }
                });
    }

    /** Whether the colours are known to be sRGB's as they stand; inks never are, whatever the file says of them. */
    private static boolean srgb(FileKind kind, byte[] bytes, int components) {
        return switch (kind) {
            case JPEG -> components <= 3 && profile(kind, bytes, components).isEmpty();
            case PNG, WEBP -> profile(kind, bytes, components).isEmpty();
            default -> false;
        };
    }

    /** What the file's own chunks say of its colours, where that is not sRGB; of other kinds their readers tell. */
    private static Optional<ICC_Profile> profile(FileKind kind, byte[] bytes, int components) {
        return switch (kind) {
            case JPEG -> JpegColours.profile(bytes, components);
            case PNG -> PngColours.profile(bytes);
            case WEBP -> WebpColours.profile(bytes);
            default -> Optional.empty();
        };
    }

    private static BadInput refused(String fileName, String why) {
        return new BadInput("pictures", fileName + " " + why);
    }
}
