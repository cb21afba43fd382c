package plainlantern.studio.board;

/**
 * What the page looks at.
 *
 * @param whole whether the numbers of whole vistas are wanted rather than those of slices
 * @param layer the layer of the lit panels, see {@link plainlantern.sheet.Panel#acting}
 */
record Looking(Stage stage, boolean whole, int layer) {
    /** The same with another layer chosen. */
    Looking choosing(int newLayer) {
        return new Looking(stage, whole, newLayer);
    }

    /** A page just opened. */
    static Looking at(String stage) {
        return new Looking(Stage.of(stage), false, -1);
    }
}
