package plainlantern.studio.shelf;

/** One row of {@code picture}: facts of an imported file; width and height upright. */
public record PictureRow(String sha, String format, int width, int height) {}
