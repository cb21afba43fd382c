package plainlantern.picture;

import java.awt.image.BufferedImage;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import java.util.function.Function;

/** Full-size pictures decoded from their originals; the last few are kept, so that one seen in many panels is read once. */
public final class DecodedPictures implements PictureSource {
    private static final int KEPT = 3;

    private final Function<String, byte[]> originals;
    private final Map<String, CompletableFuture<BufferedImage>> kept = new LinkedHashMap<>(8, 0.75f, true);

    /** {@code originals} gives the bytes of a picture's file. */
    public DecodedPictures(Function<String, byte[]> originals) {
        this.originals = originals;
    }

    @Override
    public BufferedImage image(String id, double share) {
        CompletableFuture<BufferedImage> mine = new CompletableFuture<>();
        CompletableFuture<BufferedImage> image;
        synchronized (kept) {
            CompletableFuture<BufferedImage> theirs = kept.get(id);
            image = theirs == null ? mine : theirs;
            if (theirs == null) {
                kept.put(id, mine);
                if (kept.size() > KEPT) kept.remove(kept.keySet().iterator().next());
            }
        }
        if (image == mine) {
            try {
                byte[] bytes = originals.apply(id);
                mine.complete(PictureReader.decode(id, bytes, PictureReader.inspect(id, bytes)));
            } catch (RuntimeException | Error e) {
                mine.completeExceptionally(e);
                throw e;
            }
        }
        return image.join();
    }
}
