package plainlantern.picture;

import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** The file formats that can be imported, told by their first bytes as the formats' specifications give them. */
public enum FileKind {
    JPEG("image/jpeg", List.of("jpg", "jpeg", "jpe", "jfif")), PNG("image/png", List.of("png")),
    GIF("image/gif", List.of("gif")), BMP("image/bmp", List.of("bmp", "dib")),
    TIFF("image/tiff", List.of("tif", "tiff")), WEBP("image/webp", List.of("webp"));

    private final String mediaType;
    private final List<String> extensions;

    FileKind(String mediaType, List<String> extensions) {
        this.mediaType = mediaType;
        this.extensions = extensions;
    }

    public String mediaType() {
        return mediaType;
    }

    /** The usual file extension, without a dot. */
    public String extension() {
        return extensions.get(0);
    }

    /** The format that these bytes begin as, if it is one of ours. */
    public static Optional<FileKind> of(byte[] bytes) {
        if (starts(bytes, 0, 0xFF, 0xD8, 0xFF)) return Optional.of(JPEG);
        if (starts(bytes, 0, 0x89, 'P', 'N', 'G', '\r', '\n', 0x1A, '\n')) return Optional.of(PNG);
        if (starts(bytes, 0, 'G', 'I', 'F', '8')) return Optional.of(GIF);
        if (starts(bytes, 0, 'R', 'I', 'F', 'F') && starts(bytes, 8, 'W', 'E', 'B', 'P')) return Optional.of(WEBP);
        if (starts(bytes, 0, 'I', 'I', 42, 0) || starts(bytes, 0, 'M', 'M', 0, 42)) return Optional.of(TIFF);
        if (starts(bytes, 0, 'B', 'M')) return Optional.of(BMP);
        return Optional.empty();
    }

    /** The format that a file's name claims, if its extension is one of ours. */
    public static Optional<FileKind> claimedBy(String fileName) {
        String extension = fileName.substring(fileName.lastIndexOf('.') + 1).toLowerCase(Locale.ROOT);
        for (FileKind format : values()) if (format.extensions.contains(extension)) return Optional.of(format);
        return Optional.empty();
    }

    private static boolean starts(byte[] bytes, int at, int... wanted) {
        if (bytes.length < at + wanted.length) return false;
        for (int i = 0; i < wanted.length; i++) if ((bytes[at + i] & 0xFF) != wanted[i]) return false;
        return true;
    }
}
