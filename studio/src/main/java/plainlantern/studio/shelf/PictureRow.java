package plainlantern.studio.shelf;

/** One row of {@code picture}: facts of an imported file; width and height upright. */
public record PictureRow(String sha, String fileKind, int width, int height) {}
