package plainlantern.picture;

import java.io.BufferedInputStream;
import java.io.BufferedOutputStream;
import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;

/** Opaque rows that stand on disk, so that they can be told more than once. The file goes when it is closed. */
public final class Spool implements AutoCloseable {
    private final Path file;
    private final int width;
    private final int height;
    /** How many pixels were told at once, each time. */
    private final List<Integer> pieces = new ArrayList<>();
    private final List<DataInputStream> open = new ArrayList<>();

    private Spool(Path file, int width, int height) {
        this.file = file;
        this.width = width;
        this.height = height;
    }

    /** Takes all of them; throws {@link IOException} where the disk has no room, and leaves nothing there. */
    public static Spool of(Rows rows) throws IOException {
        Spool spool = new Spool(Files.createTempFile("plain-lantern-", ".rows"), rows.width(), rows.height());
        try (DataOutputStream out = new DataOutputStream(new BufferedOutputStream(Files.newOutputStream(spool.file), 1 << 16))) {
            for (int done = 0; done < rows.height();) {
                int[] pixels = rows.next();
                ByteBuffer bytes = ByteBuffer.allocate(3 * pixels.length);
                for (int pixel : pixels) bytes.put((byte) (pixel >> 16)).put((byte) (pixel >> 8)).put((byte) pixel);
                out.write(bytes.array());
                spool.pieces.add(pixels.length);
                done += pixels.length / rows.width();
            }
        } catch (IOException | RuntimeException | Error e) {
            spool.close();
            throw e;
        }
        return spool;
    }

    /** The rows from the first one on. */
    public Rows rows() throws IOException {
        DataInputStream in = new DataInputStream(new BufferedInputStream(Files.newInputStream(file), 1 << 16));
        open.add(in);
        return new Rows() {
            private int told;

            @Override
            public int width() {
                return width;
            }

            @Override
            public int height() {
                return height;
            }

            @Override
            public boolean opaque() {
                return true;
            }

            @Override
            public int[] next() {
                int[] pixels = new int[pieces.get(told++)];
                byte[] bytes = new byte[3 * pixels.length];
                try {
                    in.readFully(bytes);
                } catch (IOException e) {
                    throw new UncheckedIOException(e);
                }
                for (int i = 0, at = 0; i < pixels.length; i++, at += 3)
                    pixels[i] = 0xFF000000 | (bytes[at] & 0xFF) << 16 | (bytes[at + 1] & 0xFF) << 8 | bytes[at + 2] & 0xFF;
                return pixels;
            }
        };
    }

    @Override
    public void close() throws IOException {
        for (DataInputStream in : open) in.close();
        Files.deleteIfExists(file);
    }
}
