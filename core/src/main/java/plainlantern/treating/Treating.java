package plainlantern.treating;

import java.awt.image.BufferedImage;
import java.awt.image.DataBufferInt;
import plainlantern.sheet.Treatment;

/** Treatments as they are done, in one place: what a {@link Treatment} holds is done here, one part after the other. */
public final class Treating {
    private Treating() {}

    /** @param argb 0xAARRGGBB, alpha multiplied in; changed in place */
    public static void treat(Treatment treatment, int[] argb) {
        treatment.cleared().ifPresent(cleared -> Backdrop.remove(cleared, argb));
    }

    /** A treated copy of an image, of TYPE_4BYTE_ABGR; the image itself where nothing is done to it. */
    public static BufferedImage treated(Treatment treatment, BufferedImage image) {
        if (treatment.none()) return image;
        BufferedImage out = new BufferedImage(image.getWidth(), image.getHeight(), BufferedImage.TYPE_INT_ARGB_PRE);
        out.createGraphics().drawImage(image, 0, 0, null);
        treat(treatment, ((DataBufferInt) out.getRaster().getDataBuffer()).getData());
        BufferedImage plain = new BufferedImage(image.getWidth(), image.getHeight(), BufferedImage.TYPE_4BYTE_ABGR);
        plain.createGraphics().drawImage(out, 0, 0, null);
        return plain;
    }
}
