package plainlantern.picture;

import com.sun.jna.NativeLong;
import com.sun.jna.Pointer;
import java.io.IOException;
import java.io.OutputStream;
import java.util.function.DoubleConsumer;
import plainlantern.asking.BadInput;
import plainlantern.picture.LibWebp.Encoding;

/** A WebP by libwebp, which wants all pixels before it begins: they wait beside the heap. */
final class WebpFile {
    private static final int MOST = 16_383;
    /** WebPEncodingError. */
    private static final int NO_MEMORY = 1;
    private static final int NO_MEMORY_FOR_FILE = 2;
    private static final int FIRST_PART = 6;
    private static final int PART = 7;
    private static final int FILE = 9;
    /**
     * How much is tried to make a file smaller that keeps every pixel, of 100: with all of it an A3 page of photos takes two and a half
     * times as long and is no smaller, a poster by a third of a percent.
     */
    private static final float EFFORT = 30;
    /** Its files are written in many small pieces. */
    private static final int PIECE = 1 << 16;

    private final LibWebp library;
    private final LibWebp.Picture picture = new LibWebp.Picture();
    private final Encoding config = new Encoding();
    private final OutputStream out;
    private final DoubleConsumer heard;
    private Throwable ended;

    private WebpFile(LibWebp library, float quality, OutputStream out, DoubleConsumer heard) {
        this.library = library;
        this.out = out;
        this.heard = heard;
        boolean lossless = quality == 1;
        if (library.WebPConfigInitInternal(config, 0, lossless ? EFFORT : 100 * quality, LibWebp.ENCODER) == 0
                || library.WebPPictureInitInternal(picture, LibWebp.ENCODER) == 0) throw unable();
        config.lossless = lossless ? 1 : 0;
        config.threads = 1;
    }

    /**
     * Onto a stream that stays open.
     *
     * @param quality 0 to 1; 1 keeps every pixel as it is
     * @param heard   hears how far packing is, 0 to 1; what it throws ends it
     * @throws BadInput where this machine has no such library or memory, or the format has no room for the image
     */
    static void write(Rows rows, float quality, OutputStream out, DoubleConsumer heard) throws IOException {
        if (Math.max(rows.width(), rows.height()) > MOST) throw refused("WebP holds at most " + MOST + " pixels along a side.");
        new WebpFile(LibWebp.LIBRARY.orElseThrow(WebpFile::unable), quality, out, heard).write(rows);
    }

    private static BadInput unable() {
        return new BadInput("format", "This machine cannot write WebP. PNG and JPEG are always possible.");
    }

    private void write(Rows rows) throws IOException {
        picture.inArgb = 1;
        picture.width = rows.width();
        picture.height = rows.height();
        try {
            if (library.WebPPictureAlloc(picture) == 0) throw failed();
            long at = 0;
            for (int done = 0; done < rows.height();) {
                int[] pixels = rows.next();
                picture.argb.write(at, pixels, 0, pixels.length);
                at += 4L * pixels.length;
                done += pixels.length / rows.width();
            }
            picture.writer = (bytes, size, all) -> going(() -> copy(bytes, size.longValue()));
            picture.heard = (percent, all) -> going(() -> heard.accept(percent / 100.0));
            if (library.WebPEncode(config, picture) == 0) throw failed();
        } finally {
            library.WebPPictureFree(picture);
        }
    }

    private void copy(Pointer bytes, long size) throws IOException {
        for (long at = 0; at < size; at += PIECE) out.write(bytes.getByteArray(at, (int) Math.min(PIECE, size - at)));
    }

    private interface Step {
        void go() throws IOException;
    }

    /** What is thrown on the way waits until the library has let go. */
    private int going(Step step) {
        try {
            step.go();
            return 1;
        } catch (IOException | RuntimeException | Error e) {
            ended = e;
            return 0;
        }
    }

    private RuntimeException failed() throws IOException {
        if (ended instanceof IOException e) throw e;
        if (ended instanceof Error e) throw e;
        if (ended instanceof RuntimeException e) return e;
        return switch (picture.error) {
            case NO_MEMORY, NO_MEMORY_FOR_FILE -> refused("This machine has too little memory for a WebP of that size.");
            case FIRST_PART, PART, FILE -> refused("A WebP has no room for so much detail at that size and quality.");
            default -> new IllegalStateException("libwebp gave up with " + picture.error);
        };
    }

    private static BadInput refused(String why) {
        return new BadInput("ppi", why + " Choose fewer pixels per inch, or PNG.");
    }
}
