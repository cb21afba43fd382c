package plainlantern.picture;

import com.pngencoder.PngEncoder;
import com.pngencoder.PngEncoderPhysicalPixelDimensions;
import com.pngencoder.PngEncoderSrgbRenderingIntent;
import java.awt.color.ColorSpace;
import java.awt.color.ICC_Profile;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageTypeSpecifier;
import javax.imageio.ImageWriteParam;
import javax.imageio.ImageWriter;
import javax.imageio.metadata.IIOInvalidTreeException;
import javax.imageio.metadata.IIOMetadata;
import javax.imageio.metadata.IIOMetadataNode;
import javax.imageio.stream.ImageOutputStream;

/** Writes finished sRGB images as files that say their resolution and their colour space. */
public final class Encoder {
    private static final String JPEG_TREE = "javax_imageio_jpeg_image_1.0";
    /** Deflate level: beyond this, files of photographs hardly shrink and take longer (measured, docs/performance.md). */
    private static final int PNG_LEVEL = 2;
    /** From this quality on, colour keeps the full resolution (common practice). */
    private static final float FULL_CHROMA = 0.9f;

    private Encoder() {}

    /** PNG with pHYs (pixels a metre, rounded) and sRGB chunks; compressed on all cores. */
    public static byte[] png(BufferedImage image, double ppi) {
        return new PngEncoder().withBufferedImage(image).withCompressionLevel(PNG_LEVEL).withPredictorEncoding(true)
                .withPhysicalPixelDimensions(PngEncoderPhysicalPixelDimensions.pixelsPerMeter((int) Math.round(ppi / 0.0254)))
                .withSrgbRenderingIntent(PngEncoderSrgbRenderingIntent.PERCEPTUAL).toBytes();
    }

    /**
     * JPEG with the resolution in its JFIF header (whole pixels an inch, as that header has it) and an sRGB profile.
     *
     * @param image   without transparency
     * @param quality 0 to 1
     */
    public static byte[] jpeg(BufferedImage image, float quality, double ppi) {
        ImageWriter writer = ImageIO.getImageWritersByMIMEType("image/jpeg").next();
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (ImageOutputStream out = ImageIO.createImageOutputStream(bytes)) {
            ImageWriteParam param = writer.getDefaultWriteParam();
            param.setCompressionMode(ImageWriteParam.MODE_EXPLICIT);
            param.setCompressionQuality(quality);
            IIOMetadata metadata = writer.getDefaultImageMetadata(ImageTypeSpecifier.createFromRenderedImage(image), param);
            metadata.setFromTree(JPEG_TREE, described(metadata, quality, ppi));
            writer.setOutput(out);
            writer.write(null, new IIOImage(image, null, metadata), param);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } finally {
            writer.dispose();
        }
        return bytes.toByteArray();
    }

    private static IIOMetadataNode described(IIOMetadata metadata, float quality, double ppi) throws IIOInvalidTreeException {
        IIOMetadataNode root = (IIOMetadataNode) metadata.getAsTree(JPEG_TREE);
        IIOMetadataNode jfif = (IIOMetadataNode) root.getElementsByTagName("app0JFIF").item(0);
        String density = Long.toString(Math.max(1, Math.min(65535, Math.round(ppi))));
        jfif.setAttribute("resUnits", "1");
        jfif.setAttribute("Xdensity", density);
        jfif.setAttribute("Ydensity", density);
        IIOMetadataNode profile = new IIOMetadataNode("app2ICC");
        profile.setUserObject(ICC_Profile.getInstance(ColorSpace.CS_sRGB));
        jfif.appendChild(profile);
        if (quality >= FULL_CHROMA) {
            IIOMetadataNode luma = (IIOMetadataNode) root.getElementsByTagName("componentSpec").item(0);
            luma.setAttribute("HsamplingFactor", "1");
            luma.setAttribute("VsamplingFactor", "1");
        }
        return root;
    }
}
