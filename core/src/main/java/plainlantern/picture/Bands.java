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
 * the other, or in passes that wait on disk, and a TIFF in strips or tiles of its own. What is stored in one piece is read whole if it is
 * not too large for that, or else in a few parts, each from its beginning.
 */
final class Bands {
    /** The interlace method of a PNG stands here (PNG 3, 11.2.1). */
    private static final int INTERLACE = 28;

    private Bands() {}

    /** So many rows of a file are to be read at once or, where that is easy, a few of them; 0 where all are. */
    static int free(FileKind kind, Metadata metadata, int width, int height) {
        if (kind == FileKind.PNG) return 1;
        // Its reader decodes all in any case.
        if (kind == FileKind.WEBP) return 0;
        int part = (int) (NativePixels.WHOLE / width);
        return metadata.getDirectoriesOfType(ExifIFD0Directory.class).stream().limit(1).filter(first -> kind == FileKind.TIFF)
                .flatMap(first -> Stream.of(ExifDirectoryBase.TAG_ROWS_PER_STRIP, ExifDirectoryBase.TAG_TILE_LENGTH).map(first::getInteger))
                .filter(rows -> rows != null && rows > 0 && rows < height).findFirst().orElse(part < height ? Math.max(1, part) : 0);
    }

    /** Reads some rows of what a reader was given. */
    interface Part {
        BufferedImage read(ImageReadParam region) throws IOException;
    }

    /** @param ours makes of a band one of interleaved samples, see {@link PictureReader} */
    static BufferedImage read(ImageReader reader, byte[] bytes, PictureFile file, int shrink, Part part,
            UnaryOperator<BufferedImage> ours) throws IOException {
        int width = reader.getWidth(0);
        int height = reader.getHeight(0);
        int rows = file.stored().band();
        Reduction smaller = new Reduction(width, height, shrink);
        ImageReadParam param = reader.getDefaultReadParam();
        if (file.kind() == FileKind.PNG) {
            BufferedImage band = file.plain() ? new BufferedImage(width, rows, BufferedImage.TYPE_3BYTE_BGR)
                    : reader.getImageTypes(0).next().createBufferedImage(width, rows);
            Consumer<BufferedImage> full = some -> smaller.add(ours.apply(some));
            if (bytes[INTERLACE] == 0) {
                Passing raster = new Passing(band, height, full);
                into(raster, band, reader, param);
                raster.flush();
            } else {
                try (Laced raster = new Laced(band, height)) {
                    into(raster, band, reader, param);
                    raster.tell(full);
                }
            }
        } else {
            for (int y = 0; y < height; y += rows) {
                param.setSourceRegion(new Rectangle(0, y, width, Math.min(rows, height - y)));
                smaller.add(ours.apply(part.read(param)));
            }
        }
        return smaller.image();
    }

    /** Its first so many rows, all where it has no more. */
    static BufferedImage upper(BufferedImage band, int rows) {
        return rows >= band.getHeight() ? band : band.getSubimage(0, 0, band.getWidth(), rows);
    }

    private static void into(WritableRaster raster, BufferedImage band, ImageReader reader, ImageReadParam param) throws IOException {
        param.setDestination(new BufferedImage(band.getColorModel(), raster, false, null));
        reader.read(0, param);
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
            to.accept(upper(band, getHeight() - top));
        }
    }
}
