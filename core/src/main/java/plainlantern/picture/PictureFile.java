package plainlantern.picture;

/**
 * What is known of a picture's file before its pixels are read.
 *
 * @param width  pixels across, upright
 * @param height pixels down, upright
 * @param srgb   whether its colours are sRGB as they stand: it names no other profile
 */
public record PictureFile(FileKind kind, int width, int height, Orientation orientation, boolean srgb) {}
