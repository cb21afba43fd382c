package plainlantern.picture;

import java.awt.color.ColorSpace;
import java.awt.color.ICC_Profile;
import java.awt.image.BufferedImage;
import java.awt.image.RenderedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.util.Iterator;
import java.util.function.DoubleConsumer;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageTypeSpecifier;
import javax.imageio.ImageWriteParam;
import javax.imageio.ImageWriter;
import javax.imageio.metadata.IIOInvalidTreeException;
import javax.imageio.metadata.IIOMetadata;
import javax.imageio.metadata.IIOMetadataNode;
import javax.imageio.plugins.tiff.BaselineTIFFTagSet;
import javax.imageio.plugins.tiff.TIFFDirectory;
import javax.imageio.plugins.tiff.TIFFField;
import javax.imageio.plugins.tiff.TIFFTag;
import javax.imageio.stream.FileCacheImageOutputStream;
import javax.imageio.stream.ImageOutputStream;
import plainlantern.asking.BadInput;

/** Writes finished sRGB images as files that say their resolution and their colour space. */
public final class Encoder {
    private static final String JPEG_TREE = "javax_imageio_jpeg_image_1.0";
    /** From this quality on, colour keeps the full resolution (common practice). */
    private static final float FULL_CHROMA = 0.9f;

    private Encoder() {}

    /** PNG with pHYs (pixels a metre, rounded) and sRGB chunks. */
    public static byte[] png(BufferedImage image, double ppi) {
        return png(image, ppi, "");
    }

    /** As {@link #png(BufferedImage, double)}, with a comment in Latin-1: files of equal pixels and other comments are other files. */
    public static byte[] png(BufferedImage image, double ppi, String comment) {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try {
            PngFile.write(Rows.of(image), ppi, comment, bytes);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return bytes.toByteArray();
    }

    /**
     * As {@link #png(BufferedImage, double)}, as the rows come, onto a stream that stays open; compressed on all cores where it is
     * large.
     */
    public static void png(Rows rows, double ppi, OutputStream out) {
        try {
            PngFile.write(rows, ppi, "", out);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /**
     * JPEG with the resolution in its JFIF header (whole pixels an inch, as that header has it) and an sRGB profile.
     *
     * @param image   without transparency
     * @param quality 0 to 1
     */
    public static byte[] jpeg(BufferedImage image, float quality, double ppi) {
        return jpeg(image, quality, quality >= FULL_CHROMA, ppi);
    }

    /** @param full whether colour keeps the full resolution (4:4:4), or half of it along both axes (4:2:0) */
    public static byte[] jpeg(BufferedImage image, float quality, boolean full, double ppi) {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        jpeg(image, quality, full, ppi, bytes);
        return bytes.toByteArray();
    }

    /** The same as the rows come, onto a stream that stays open. */
    public static void jpeg(Rows rows, float quality, boolean full, double ppi, OutputStream to) {
        jpeg(new RowsImage(rows), quality, full, ppi, to);
    }

    private static void jpeg(RenderedImage image, float quality, boolean full, double ppi, OutputStream to) {
        ImageWriter writer = ImageIO.getImageWritersByMIMEType("image/jpeg").next();
        try (ImageOutputStream out = new Onward(to)) {
            ImageWriteParam param = writer.getDefaultWriteParam();
            param.setCompressionMode(ImageWriteParam.MODE_EXPLICIT);
            param.setCompressionQuality(quality);
            IIOMetadata metadata = writer.getDefaultImageMetadata(ImageTypeSpecifier.createFromRenderedImage(image), param);
            metadata.setFromTree(JPEG_TREE, described(metadata, full, ppi));
            writer.setOutput(out);
            writer.write(null, new IIOImage(image, null, metadata), param);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } finally {
            writer.dispose();
        }
    }

    /**
     * TIFF 6.0, LZW, with its resolution and an sRGB profile, as the rows come; alpha, where there is any, is not multiplied in. Where its
     * strips are is written at its beginning, so the file stands on disk until all are there.
     */
    public static void tiff(Rows rows, double ppi, OutputStream to) {
        RowsImage image = new RowsImage(rows);
        Iterator<ImageWriter> writers = ImageIO.getImageWritersByFormatName("tiff");
        ImageWriter writer = writers.next();
        // The JDK's own writer is the one whose fields are a public interface (javax.imageio.plugins.tiff).
        while (writers.hasNext() && !writer.getClass().getName().startsWith("com.sun.")) writer = writers.next();
        try (ImageOutputStream out = new FileCacheImageOutputStream(to, null)) {
            ImageWriteParam param = writer.getDefaultWriteParam();
            param.setCompressionMode(ImageWriteParam.MODE_EXPLICIT);
            param.setCompressionType("LZW");
            ImageTypeSpecifier kind = ImageTypeSpecifier.createFromRenderedImage(image);
            TIFFDirectory fields = TIFFDirectory.createFromMetadata(writer.getDefaultImageMetadata(kind, param));
            BaselineTIFFTagSet tags = BaselineTIFFTagSet.getInstance();
            long[][] resolution = {{Math.round(ppi * 1000), 1000}};
            fields.addTIFFField(new TIFFField(tags.getTag(BaselineTIFFTagSet.TAG_X_RESOLUTION), TIFFTag.TIFF_RATIONAL, 1, resolution));
            fields.addTIFFField(new TIFFField(tags.getTag(BaselineTIFFTagSet.TAG_Y_RESOLUTION), TIFFTag.TIFF_RATIONAL, 1, resolution));
            fields.addTIFFField(new TIFFField(tags.getTag(BaselineTIFFTagSet.TAG_RESOLUTION_UNIT), TIFFTag.TIFF_SHORT, 1,
                    new char[] {BaselineTIFFTagSet.RESOLUTION_UNIT_INCH}));
            byte[] profile = ICC_Profile.getInstance(ColorSpace.CS_sRGB).getData();
            fields.addTIFFField(new TIFFField(new TIFFTag("ICCProfile", BaselineTIFFTagSet.TAG_ICC_PROFILE, 1 << TIFFTag.TIFF_UNDEFINED),
                    TIFFTag.TIFF_UNDEFINED, profile.length, profile));
            writer.setOutput(out);
            writer.write(null, new IIOImage(image, null, fields.getAsMetadata()), param);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } finally {
            writer.dispose();
        }
    }

    /**
     * WebP, when all rows have come, onto a stream that stays open.
     *
     * @param quality 0 to 1; 1 keeps every pixel as it is
     * @param heard   hears how far packing is, 0 to 1; what it throws ends it
     * @throws BadInput where this machine has no library for it or not the memory, or the format has no room for the image
     */
    public static void webp(Rows rows, float quality, OutputStream out, DoubleConsumer heard) {
        try {
            WebpFile.write(rows, quality, out, heard);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static IIOMetadataNode described(IIOMetadata metadata, boolean full, double ppi) throws IIOInvalidTreeException {
        IIOMetadataNode root = (IIOMetadataNode) metadata.getAsTree(JPEG_TREE);
        IIOMetadataNode jfif = (IIOMetadataNode) root.getElementsByTagName("app0JFIF").item(0);
        String density = Long.toString(Math.max(1, Math.min(65535, Math.round(ppi))));
        jfif.setAttribute("resUnits", "1");
        jfif.setAttribute("Xdensity", density);
        jfif.setAttribute("Ydensity", density);
        IIOMetadataNode profile = new IIOMetadataNode("app2ICC");
        profile.setUserObject(ICC_Profile.getInstance(ColorSpace.CS_sRGB));
        jfif.appendChild(profile);
        IIOMetadataNode luma = (IIOMetadataNode) root.getElementsByTagName("componentSpec").item(0);
        luma.setAttribute("HsamplingFactor", full ? "1" : "2");
        luma.setAttribute("VsamplingFactor", full ? "1" : "2");
        return root;
    }
}
