package plainlantern.picture;

import java.awt.image.BufferedImage;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.function.Function;
import plainlantern.treating.ColourMap;

/**
 * Pictures decoded from their originals, no larger than a rendering needs; those used last are kept, so that one seen in many
 * panels is read once.
 */
public final class DecodedPictures implements PictureSource {
    /** So many pixels are kept, and the last picture whatever its size. */
    public static final long KEPT = 72_000_000;

    private final long most;
    private final Function<String, byte[]> originals;
    private final Function<String, ColourMap> tables;
    private final Map<String, CompletableFuture<BufferedImage>> kept = new LinkedHashMap<>(8, 0.75f, true);

    /** {@code originals} gives the bytes of a picture's file. */
    public DecodedPictures(Function<String, byte[]> originals) {
        this(originals, id -> null);
    }

    /** {@code tables} gives the table of colours with an id, or null. */
    public DecodedPictures(Function<String, byte[]> originals, Function<String, ColourMap> tables) {
        this(originals, tables, KEPT);
    }

    /** @param most pixels that are kept */
    public DecodedPictures(Function<String, byte[]> originals, Function<String, ColourMap> tables, long most) {
        this.originals = originals;
        this.tables = tables;
        this.most = most;
    }

    @Override
    public Optional<ColourMap> table(String id) {
        return Optional.ofNullable(tables.apply(id));
    }

    @Override
    public Optional<byte[]> original(String id) {
        return Optional.of(originals.apply(id));
    }

    @Override
    public BufferedImage image(String id, double share) {
        int shrink = shrink(share);
        String key = id + '/' + shrink;
        CompletableFuture<BufferedImage> mine = new CompletableFuture<>();
        CompletableFuture<BufferedImage> image;
        synchronized (kept) {
            CompletableFuture<BufferedImage> theirs = kept.get(key);
            image = theirs == null ? mine : theirs;
            if (theirs == null) {
                kept.put(key, mine);
            }
        }
        if (image == mine) {
            try {
                byte[] bytes = originals.apply(id);
                mine.complete(PictureReader.decode(id, bytes, PictureReader.inspect(id, bytes), shrink));
                forget();
            } catch (RuntimeException | Error e) {
                mine.completeExceptionally(e);
                throw e;
            }
        }
        return Joined.of(image);
    }

    /**
     * By how much a picture's sides may be divided from the start: what is left to reduce stays above Resample's own blocks, so that the
     * fine filter always has the last word.
     */
    public static int shrink(double share) {
        return Integer.highestOneBit((int) Math.max(1, Math.min(8, 1 / share / Resample.LEFT_TO_FILTER)));
    }

    /** Lets go of those that were used longest ago, as many as are too many. */
    private void forget() {
        synchronized (kept) {
            long pixels = kept.values().stream().mapToLong(DecodedPictures::pixels).sum();
            for (Iterator<CompletableFuture<BufferedImage>> oldest = kept.values().iterator(); pixels > most && kept.size() > 1
                    && oldest.hasNext();) {
                long these = pixels(oldest.next());
                if (these > 0) oldest.remove();
                pixels -= these;
            }
        }
    }

    /** None while it is being read. */
    private static long pixels(CompletableFuture<BufferedImage> image) {
        if (!image.isDone() || image.isCompletedExceptionally()) return 0;
        BufferedImage done = image.join();
        return (long) done.getWidth() * done.getHeight();
    }
}
