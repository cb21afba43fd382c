package plainlantern.sheet;

import plainlantern.geometry.BadInput;

/**
 * A picture on the shelf.
 *
 * @param id     SHA-256 of the original file, 64 lower-case hex digits
 * @param name   what people call it, at first the file's name
 * @param width  pixels across, upright
 * @param height pixels down, upright
 */
public record Picture(String id, String name, int width, int height) {
    public Picture {
        BadInput.unless(id.matches("[0-9a-f]{64}"), "picture", "A picture's id is a SHA-256 in hex.");
        BadInput.unless(width > 0 && height > 0, "picture", "A picture has one pixel at least.");
    }
}
