package plainlantern.picture;

import java.awt.image.BufferedImage;
import java.util.Map;
import java.util.Optional;
import plainlantern.geometry.BadInput;
import plainlantern.picture.Previews.Level;
import plainlantern.sheet.Focal;
import plainlantern.sheet.Foot;

/**
 * All that is learnt of a picture's file once, when it comes in.
 *
 * @param previews encoded
 * @param focal    the proposed focal point
 * @param foot     where a picture with transparency stands
 */
public record Imported(PictureFile file, Map<Level, byte[]> previews, Optional<Focal> focal, Optional<Foot> foot) {
    /** A picture is read at no more than so many times its largest preview. */
    private static final double ENOUGH = 2;

    /** Reads a file that nobody vouches for; throws {@link BadInput} with the reason where it cannot be used. */
    public static Imported of(String fileName, byte[] bytes) {
        PictureFile file = PictureReader.inspect(fileName, bytes);
        double shrink = Math.max(1, Math.max(file.width(), file.height()) / ENOUGH / Level.LARGE.side());
        Map<Level, byte[]> previews = Previews.of(PictureReader.decode(fileName, bytes, file, shrink));
        return new Imported(file, previews, Subject.of(decoded(previews.get(Level.SMALL))), Footing.of(decoded(previews.get(Level.MEDIUM))));
    }

    private static BufferedImage decoded(byte[] preview) {
        return PictureReader.decode("preview", preview, PictureReader.inspect("preview", preview));
    }
}
