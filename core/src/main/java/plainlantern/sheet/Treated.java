package plainlantern.sheet;

/**
 * What is painted of a picture: its pixels after a treatment.
 *
 * @param picture the picture's id
 */
public record Treated(String picture, Treatment treatment) {
    /** The picture as it is. */
    public static Treated plain(String picture) {
        return new Treated(picture, Treatment.NONE);
    }
}
