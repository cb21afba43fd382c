package plainlantern.picture;

import java.awt.Point;
import java.awt.Rectangle;
import java.awt.image.BufferedImage;
import java.awt.image.ColorModel;
import java.awt.image.DataBuffer;
import java.awt.image.DirectColorModel;
import java.awt.image.Raster;
import java.awt.image.RenderedImage;
import java.awt.image.SampleModel;
import java.awt.image.SinglePixelPackedSampleModel;
import java.awt.image.WritableRaster;
import java.util.Vector;

/**
 * Rows as writers of the JDK take images: they ask for them from top to bottom, and nothing is painted before it is asked for. A row
 * that is behind the last ones is not there any more.
 */
final class RowsImage implements RenderedImage {
    private static final int RED = 0xFF0000;
    private static final int GREEN = 0xFF00;
    private static final int BLUE = 0xFF;
    private static final int ALPHA = 0xFF000000;

    private final Rows rows;
    private final ColorModel colours;
    private final SampleModel samples;
    /** What was told last and before that, and the row after them. */
    private int[] before = new int[0];
    private int[] last = new int[0];
    private int told;

    RowsImage(Rows rows) {
        this.rows = rows;
        colours = rows.opaque() ? new DirectColorModel(24, RED, GREEN, BLUE) : ColorModel.getRGBdefault();
        samples = packed(rows.width(), rows.height());
    }

    private SampleModel packed(int width, int height) {
        int[] masks = rows.opaque() ? new int[] {RED, GREEN, BLUE} : new int[] {RED, GREEN, BLUE, ALPHA};
        return new SinglePixelPackedSampleModel(DataBuffer.TYPE_INT, width, height, masks);
    }

    private int pixel(int at) {
        // Beyond two thousand million pixels a writer's own count has gone round.
        long index = at & 0xFFFFFFFFL;
        int width = rows.width();
        while (index >= (long) told * width) {
            before = last;
            last = rows.next();
            told += last.length / width;
        }
        long fromLast = (long) told * width - last.length;
        return index >= fromLast ? last[(int) (index - fromLast)] : before[(int) (index - fromLast + before.length)];
    }

    private final class Painted extends DataBuffer {
        Painted() {
            super(TYPE_INT, Integer.MAX_VALUE);
        }

        @Override
        public int getElem(int bank, int i) {
            return pixel(i);
        }

        @Override
        public void setElem(int bank, int i, int value) {
            throw new UnsupportedOperationException();
        }
    }

    private static final class Lazy extends Raster {
        Lazy(SampleModel samples, DataBuffer data) {
            super(samples, data, new Point());
        }
    }

    @Override
    public Raster getData() {
        return new Lazy(samples, new Painted());
    }

    @Override
    public Raster getData(Rectangle part) {
        WritableRaster out = Raster.createWritableRaster(packed(part.width, part.height), part.getLocation());
        int[] row = new int[part.width];
        for (int y = part.y; y < part.y + part.height; y++) {
            for (int x = 0; x < row.length; x++) row[x] = pixel(y * rows.width() + part.x + x);
            out.setDataElements(part.x, y, part.width, 1, row);
        }
        return out;
    }

    @Override
    public Raster getTile(int across, int down) {
        return getData();
    }

    @Override
    public WritableRaster copyData(WritableRaster onto) {
        Raster part = getData(onto == null ? new Rectangle(0, 0, getWidth(), getHeight()) : onto.getBounds());
        if (onto == null) return (WritableRaster) part;
        onto.setRect(part);
        return onto;
    }

    @Override
    public Vector<RenderedImage> getSources() {
        return null;
    }

    @Override
    public Object getProperty(String name) {
        return BufferedImage.UndefinedProperty;
    }

    @Override
    public String[] getPropertyNames() {
        return null;
    }

    @Override
    public ColorModel getColorModel() {
        return colours;
    }

    @Override
    public SampleModel getSampleModel() {
        return samples;
    }

    @Override
    public int getWidth() {
        return rows.width();
    }

    @Override
    public int getHeight() {
        return rows.height();
    }

    @Override
    public int getMinX() {
        return 0;
    }

    @Override
    public int getMinY() {
        return 0;
    }

    @Override
    public int getNumXTiles() {
        return 1;
    }

    @Override
    public int getNumYTiles() {
        return 1;
    }

    @Override
    public int getMinTileX() {
        return 0;
    }

    @Override
    public int getMinTileY() {
        return 0;
    }

    @Override
    public int getTileWidth() {
        return rows.width();
    }

    @Override
    public int getTileHeight() {
        return rows.height();
    }

    @Override
    public int getTileGridXOffset() {
        return 0;
    }

    @Override
    public int getTileGridYOffset() {
        return 0;
    }
}
