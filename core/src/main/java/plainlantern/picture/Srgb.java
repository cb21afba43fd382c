package plainlantern.picture;

import java.awt.color.ColorSpace;
import java.awt.image.BufferedImage;
import java.awt.image.ColorConvertOp;
import java.awt.image.ColorModel;
import java.awt.image.DataBuffer;
import java.awt.image.DataBufferByte;
import java.awt.image.Raster;

/** Brings decoded images into one form: sRGB (IEC 61966-2-1), interleaved bytes, alpha not multiplied in. */
final class Srgb {
    private Srgb() {}

    static BufferedImage bytes(BufferedImage image) {
        ColorModel model = image.getColorModel();
        boolean alpha = model.hasAlpha() && model.getTransparency() != ColorModel.OPAQUE;
        int type = alpha ? BufferedImage.TYPE_4BYTE_ABGR : BufferedImage.TYPE_3BYTE_BGR;
        if (image.getType() == type && wholeArray(image)) return image;
        BufferedImage out = new BufferedImage(image.getWidth(), image.getHeight(), type);
        if (model.getColorSpace().getType() == ColorSpace.TYPE_GRAY && model.getNumColorComponents() == 1) {
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
