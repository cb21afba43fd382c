package plainlantern.picture;

/**
 * What is known of a picture's file before its pixels are read.
 *
 * @param width  pixels across, upright
 * @param height pixels down, upright
 */
public record PictureFile(FileKind format, int width, int height, Orientation orientation) {}
