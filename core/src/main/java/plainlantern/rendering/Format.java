package plainlantern.rendering;

import com.fasterxml.jackson.annotation.JsonCreator;
import plainlantern.asking.BadInput;
import plainlantern.asking.Choice;

/** The formats that are delivered. */
public enum Format implements Choice {
    PNG("PNG", "image/png", "png"), JPEG("JPEG", "image/jpeg", "jpg"), TIFF("TIFF", "image/tiff", "tif"),
            WEBP("WebP", "image/webp", "webp"),
    PDF("PDF", "application/pdf", "pdf"), SVG("SVG", "image/svg+xml", "svg"), OPENRASTER("Layers", "image/openraster", "ora");

    private final String title;
    private final String mediaType;
    private final String extension;

    Format(String title, String mediaType, String extension) {
        this.title = title;
        this.mediaType = mediaType;
        this.extension = extension;
    }

    /** What people call it. */
    public String title() {
        return title;
    }

    public String mediaType() {
        return mediaType;
    }

    public String extension() {
        return extension;
    }

    /**
     * The most pixels along a side that a file of this format can have: JPEG by its encoder's limit (libjpeg), WebP by its 14 bits a side
     * (RFC 9649), the others more than is painted.
     */
    public int longest() {
        return this == JPEG ? 65_500 : this == WEBP ? 16_383 : Integer.MAX_VALUE;
    }

    /**
     * The most pixels that such a file is made with: a TIFF tells its places in 32 bits, and a pixel may take four bytes, and more if it is
     * packed; of the others as many as the largest JPEG has, as more would take hours.
     */
    public long most() {
        return this == TIFF ? 950_000_000 : pixels() ? 4_290_000_000L : Long.MAX_VALUE;
    }

    /** Whether all of it is pixels. */
    public boolean pixels() {
        return this != PDF && this != SVG;
    }

    /** The format called that, in any case; throws {@link BadInput}. */
    @JsonCreator
    public static Format of(String name) {
        for (Format format : values()) if (format.name().equalsIgnoreCase(name)) return format;
        throw new BadInput("format", "“" + name + "” cannot be made. PNG, JPEG, TIFF, WebP, PDF, SVG and OpenRaster can.");
    }
}
