package plainlantern.picture;

/**
 * Finished pixels at whole positions of a larger image.
 *
 * @param argb row by row, 0xAARRGGBB, alpha multiplied in
 */
public record Tile(int x, int y, int width, int height, int[] argb) {}
