package plainlantern.rendering;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.Comparator;
import java.util.TreeSet;
import plainlantern.asking.BadInput;

/**
 * Pixels of a painting on disk for which there is no room in memory: a file that nobody sees, which is gone with the painting or the
 * process, whatever ends it. Places that were given back are used again.
 */
final class Spill implements AutoCloseable {
    private static final int PIECE = 1 << 16;

    private final TreeSet<Place> free = new TreeSet<>(Comparator.comparingLong(Place::bytes).thenComparingLong(Place::from));
    private FileChannel file;
    private long end;

    /** Where pixels stand: byte by byte from there on. */
    record Place(long from, long bytes) {}

    /** Takes pixels; throws {@link BadInput} where the disk has no room. */
    synchronized Place put(int[] pixels) {
        long bytes = 4L * pixels.length;
        Place place = place(bytes);
        try {
            if (file == null) {
                Path path = Files.createTempFile("plain-lantern-", ".spill");
                file = FileChannel.open(path, StandardOpenOption.READ, StandardOpenOption.WRITE, StandardOpenOption.DELETE_ON_CLOSE);
            }
            ByteBuffer piece = ByteBuffer.allocateDirect(4 * Math.min(PIECE, pixels.length));
            for (int at = 0; at < pixels.length; at += PIECE) {
                piece.clear();
                int count = Math.min(PIECE, pixels.length - at);
                piece.asIntBuffer().put(pixels, at, count);
                piece.limit(4 * count);
                for (long to = place.from() + 4L * at; piece.hasRemaining();) to += file.write(piece, to);
            }
        } catch (IOException e) {
            throw new BadInput("disk", "There is no room for temporary files: " + e.getMessage() + ". Choose fewer pixels per inch.");
        }
        return place;
    }

    /** The smallest place that was given back and is large enough, or one after all others. */
    private Place place(long bytes) {
        Place fits = free.ceiling(new Place(0, bytes));
        if (fits != null) {
            free.remove(fits);
            return fits;
        }
        end += bytes;
        return new Place(end - bytes, bytes);
    }

    /** So many pixels of a place, from one of them on. */
    synchronized int[] get(Place place, int from, int count) {
        int[] pixels = new int[count];
        ByteBuffer piece = ByteBuffer.allocateDirect(4 * Math.min(PIECE, count));
        try {
            for (int at = 0; at < count; at += PIECE) {
                int some = Math.min(PIECE, count - at);
                piece.clear().limit(4 * some);
                for (long where = place.from() + 4L * (from + at); piece.hasRemaining();) {
                    int read = file.read(piece, where);
                    if (read < 0) throw new IOException("the file ended");
                    where += read;
                }
                piece.flip();
                piece.asIntBuffer().get(pixels, at, some);
            }
        } catch (IOException e) {
            throw new BadInput("disk", "Temporary files cannot be read: " + e.getMessage() + ".");
        }
        return pixels;
    }

    /** Gives a place back. */
    synchronized void free(Place place) {
        free.add(place);
    }

    @Override
    public synchronized void close() {
        try {
            if (file != null) file.close();
        } catch (IOException e) {
            throw new BadInput("disk", "Temporary files cannot be closed: " + e.getMessage() + ".");
        }
    }
}
