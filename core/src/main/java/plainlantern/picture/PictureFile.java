package plainlantern.picture;

import java.time.LocalDateTime;
import java.util.Optional;

/**
 * What is known of a picture's file before its pixels are read.
 *
 * @param width  pixels across, upright
 * @param height pixels down, upright
 * @param srgb   whether its colours are sRGB as they stand: it names no other profile
 * @param taken  when it was taken, by the camera's clock: EXIF 2.32 tag 0x9003
 */
public record PictureFile(FileKind kind, int width, int height, Orientation orientation, boolean srgb, Optional<LocalDateTime> taken) {}
