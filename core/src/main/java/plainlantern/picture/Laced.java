package plainlantern.picture;

import java.awt.Point;
import java.awt.image.BufferedImage;
import java.awt.image.DataBuffer;
import java.awt.image.DataBufferByte;
import java.awt.image.DataBufferUShort;
import java.awt.image.Raster;
import java.awt.image.WritableRaster;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.StandardOpenOption;
import java.util.function.Consumer;
import plainlantern.asking.BadInput;

/**
 * As high as a picture for a reader that comes by its rows several times (the seven passes of PNG 3, 8.1): they stand in a file that
 * nobody sees, but for the one that is being written. Throws {@link BadInput} where the disk has no room.
 */
final class Laced extends WritableRaster implements AutoCloseable {
    private static final int NONE = -1;

    private final BufferedImage band;
    private final WritableRaster row;
    private final FileChannel file;
    private int at = NONE;

    /** @param band some rows of the picture, for the samples' form */
    Laced(BufferedImage band, int height) throws IOException {
        super(band.getSampleModel().createCompatibleSampleModel(band.getWidth(), height), band.getRaster().getDataBuffer(), new Point());
        this.band = band;
        this.row = band.getRaster().createCompatibleWritableRaster(band.getWidth(), 1);
        this.file = FileChannel.open(Files.createTempFile("plain-lantern-", ".laced"), StandardOpenOption.READ, StandardOpenOption.WRITE,
                StandardOpenOption.DELETE_ON_CLOSE);
    }

    @Override
    public void setPixel(int x, int y, int[] samples) {
        turn(y);
        row.setPixel(x, 0, samples);
    }

    @Override
    public void setRect(int x, int y, Raster from) {
        turn(y);
        row.setRect(x, 0, from);
    }

    private void turn(int y) {
        if (y == at) return;
        keep();
        move(y, row.getDataBuffer(), false);
        at = y;
    }

    private void keep() {
        if (at != NONE) move(at, row.getDataBuffer(), true);
        at = NONE;
    }

    /** All rows, a band after the other. */
    void tell(Consumer<BufferedImage> to) {
        keep();
        for (int y = 0; y < getHeight(); y += band.getHeight()) {
            move(y, band.getRaster().getDataBuffer(), false);
            to.accept(Bands.upper(band, getHeight() - y));
        }
    }

    /** Samples to where they stand in the file, or from there; 0 where it has none yet. */
    private void move(int y, DataBuffer samples, boolean out) {
        boolean deep = samples instanceof DataBufferUShort;
        long from = (long) y * row.getDataBuffer().getSize() * (deep ? Short.BYTES : 1);
        ByteBuffer bytes = deep ? ByteBuffer.allocate(samples.getSize() * Short.BYTES)
                : ByteBuffer.wrap(((DataBufferByte) samples).getData());
        try {
            if (out) {
                if (deep) bytes.asShortBuffer().put(((DataBufferUShort) samples).getData());
                while (bytes.hasRemaining()) file.write(bytes, from + bytes.position());
            } else {
                int read = 0;
                while (bytes.hasRemaining() && read >= 0) read = file.read(bytes, from + bytes.position());
                while (bytes.hasRemaining()) bytes.put((byte) 0);
                if (deep) bytes.flip().asShortBuffer().get(((DataBufferUShort) samples).getData());
            }
        } catch (IOException e) {
            throw new BadInput("disk", "There is no room for temporary files: " + e.getMessage() + ".");
        }
    }

    @Override
    public void close() throws IOException {
        file.close();
    }
}
