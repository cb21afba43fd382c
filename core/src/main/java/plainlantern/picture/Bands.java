package plainlantern.picture;

import com.drew.metadata.Metadata;
import com.drew.metadata.exif.ExifDirectoryBase;
import com.drew.metadata.exif.ExifIFD0Directory;
import java.awt.Point;
import java.awt.Rectangle;
import java.awt.image.BufferedImage;
import java.awt.image.Raster;
import java.awt.image.WritableRaster;
import java.io.IOException;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import javax.imageio.ImageReadParam;
import javax.imageio.ImageReader;

/**
 * Pictures that are wanted smaller are read in bands of rows, each made smaller as soon as it is there: a PNG whose rows come one after
 * the other, and a TIFF in strips or tiles of its own. What is interlaced, or stored in one piece, is read whole.
 */
final class Bands {
    /** The interlace method of a PNG stands here (PNG 3, 11.2.1). */
    private static final int INTERLACE = 28;

    private Bands() {}

    /** So many rows of a file, as high as it is told, can be read without those below them; 0 where there is no such number. */
    static int free(FileKind kind, byte[] bytes, Metadata metadata, int height) {
        if (kind == FileKind.PNG) return bytes.length > INTERLACE && bytes[INTERLACE] == 0 ? 1 : 0;
        if (kind != FileKind.TIFF) return 0;
        return metadata.getDirectoriesOfType(ExifIFD0Directory.class).stream().limit(1)
                .flatMap(first -> Stream.of(ExifDirectoryBase.TAG_ROWS_PER_STRIP, ExifDirectoryBase.TAG_TILE_LENGTH).map(first::getInteger))
                .filter(rows -> rows != null && rows > 0 && rows < height).findFirst().orElse(0);
    }

    /** @param ours makes of a band one of interleaved samples, see {@link PictureReader} */
    static BufferedImage read(ImageReader reader, PictureFile file, int shrink, UnaryOperator<BufferedImage> ours) throws IOException {
        int width = reader.getWidth(0);
        int height = reader.getHeight(0);
        int rows = file.stored().band();
        Reduction smaller = new Reduction(width, height, shrink);
        ImageReadParam param = reader.getDefaultReadParam();
        if (file.kind() == FileKind.PNG) {
            BufferedImage band = file.plain() ? new BufferedImage(width, rows, BufferedImage.TYPE_3BYTE_BGR)
                    : reader.getImageTypes(0).next().createBufferedImage(width, rows);
            Passing raster = new Passing(band, height, full -> smaller.add(ours.apply(full)));
            param.setDestination(new BufferedImage(band.getColorModel(), raster, false, null));
            reader.read(0, param);
            raster.flush();
        } else {
            for (int y = 0; y < height; y += rows) {
                param.setSourceRegion(new Rectangle(0, y, width, Math.min(rows, height - y)));
                smaller.add(ours.apply(reader.read(0, param)));
            }
        }
        return smaller.image();
    }

    /** As high as the picture for a reader that writes its rows from the top down; it keeps one band of them. */
    private static final class Passing extends WritableRaster {
        private final BufferedImage band;
        private final WritableRaster kept;
        private final Consumer<BufferedImage> to;
        private int top;

        Passing(BufferedImage band, int height, Consumer<BufferedImage> to) {
            super(band.getSampleModel().createCompatibleSampleModel(band.getWidth(), height), band.getRaster().getDataBuffer(),
                    new Point());
            this.band = band;
            this.kept = band.getRaster();
            this.to = to;
        }

        @Override
        public void setPixel(int x, int y, int[] samples) {
            if (y - top >= kept.getHeight()) next();
            kept.setPixel(x, y - top, samples);
        }

        @Override
        public void setRect(int x, int y, Raster row) {
            if (y - top >= kept.getHeight()) next();
            kept.setRect(x, y - top, row);
        }

        private void next() {
            to.accept(band);
            top += kept.getHeight();
        }

        void flush() {
            int rows = Math.min(kept.getHeight(), getHeight() - top);
            to.accept(rows == kept.getHeight() ? band : band.getSubimage(0, 0, band.getWidth(), rows));
        }
    }
}
