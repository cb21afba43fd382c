package plainlantern.picture;

import java.awt.image.BufferedImage;
import java.util.Map;
import java.util.Optional;
import plainlantern.asking.BadInput;
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
    static final String TOO_LARGE = " has more pixels than this server has memory to read. Make it smaller, or save it as JPEG.";
    /** A picture is read at no more than so many times its largest preview. */
    private static final double ENOUGH = 2;
    /** Of this process's memory for the pixels of one picture. */
    private static final double SHARE = 0.85;

    /** Reads a file that nobody vouches for; throws {@link BadInput} with the reason where it cannot be used. */
    public static Imported of(String fileName, byte[] bytes) {
        PictureFile file = PictureReader.inspect(fileName, bytes);
        double shrink = Math.max(1, Math.max(file.width(), file.height()) / ENOUGH / Level.LARGE.side());
        BadInput.unless(file.reading(Integer.highestOneBit((int) Math.min(8, shrink))) + bytes.length <= SHARE * Runtime.getRuntime()
                .maxMemory(), "pictures", fileName + TOO_LARGE);
        Map<Level, byte[]> previews = Previews.of(PictureReader.decode(fileName, bytes, file, shrink));
        return new Imported(file, previews, Subject.of(decoded(previews.get(Level.SMALL))),
                Footing.of(decoded(previews.get(Level.MEDIUM))));
    }

    private static BufferedImage decoded(byte[] preview) {
        return PictureReader.decode("preview", preview, PictureReader.inspect("preview", preview));
    }
}
