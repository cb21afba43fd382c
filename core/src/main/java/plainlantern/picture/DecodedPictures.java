package plainlantern.picture;

import java.awt.image.BufferedImage;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import java.util.function.Function;

/**
 * Pictures decoded from their originals, no larger than a rendering needs; the last few are kept, so that one seen in many
 * panels is read once.
 */
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
        // What is left to reduce stays above Resample's own blocks, so that the fine filter always has the last word.
        int shrink = Integer.highestOneBit((int) Math.max(1, Math.min(8, 1 / share / Resample.LEFT_TO_FILTER)));
        String key = id + '/' + shrink;
        CompletableFuture<BufferedImage> mine = new CompletableFuture<>();
        CompletableFuture<BufferedImage> image;
        synchronized (kept) {
            CompletableFuture<BufferedImage> theirs = kept.get(key);
            image = theirs == null ? mine : theirs;
            if (theirs == null) {
                kept.put(key, mine);
                if (kept.size() > KEPT) kept.remove(kept.keySet().iterator().next());
            }
        }
        if (image == mine) {
            try {
                byte[] bytes = originals.apply(id);
                mine.complete(PictureReader.decode(id, bytes, PictureReader.inspect(id, bytes), shrink));
            } catch (RuntimeException | Error e) {
                mine.completeExceptionally(e);
                throw e;
            }
        }
        return Joined.of(image);
    }
}
