package plainlantern.rendering;

import java.awt.image.BufferedImage;
import plainlantern.geometry.BadInput;
import plainlantern.picture.Encoder;
import plainlantern.picture.PictureSource;
import plainlantern.scene.Scene;
import plainlantern.sheet.Colour;
import plainlantern.sheet.Paper;

/**
 * How a sheet is handed over as one picture file.
 *
 * @param ppi     pixels an inch, 1 to 4800
 * @param paper   PNG only: whether the paper is painted; JPEG always is on paper, white where the sheet has none
 * @param quality JPEG only: 1 to 100
 */
public record Delivery(Format format, double ppi, boolean paper, int quality) {
    /** The formats that can be delivered. */
    public enum Format {
        PNG("image/png", "png"), JPEG("image/jpeg", "jpg");

        private final String mediaType;
        private final String extension;

        Format(String mediaType, String extension) {
            this.mediaType = mediaType;
            this.extension = extension;
        }

        public String mediaType() {
            return mediaType;
        }

        public String extension() {
            return extension;
        }

        /** The format called that, in any case; throws {@link BadInput}. */
        public static Format of(String name) {
            for (Format format : values()) if (format.name().equalsIgnoreCase(name)) return format;
            throw new BadInput("format", "“" + name + "” cannot be delivered. PNG and JPEG can.");
        }
    }

    public Delivery {
        BadInput.unless(quality >= 1 && quality <= 100, "quality", "Quality goes from 1 to 100.");
    }

    /** The finished file. */
    public byte[] file(Scene scene, PictureSource pictures) {
        if (format == Format.PNG) return Encoder.png(RasterPainter.paint(scene, ppi, paper, pictures), ppi);
        boolean bare = scene.paper() instanceof Paper.None;
        Scene solid = bare ? new Scene(scene.width(), scene.height(), new Paper.Plain(Colour.WHITE), scene.items()) : scene;
        BufferedImage page = RasterPainter.paint(solid, ppi, true, pictures);
        return Encoder.jpeg(page, quality / 100f, ppi);
    }
}
