package plainlantern.picture;

import java.awt.image.BufferedImage;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.function.Function;
import java.util.function.Supplier;
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
        return image(id, shrink(share), () -> originals.apply(id));
    }

    private BufferedImage image(String id, int shrink, Supplier<byte[]> original) {
        return kept(id + '/' + shrink, () -> {
            byte[] bytes = original.get();
            return PictureReader.decode(id, bytes, PictureReader.inspect(id, bytes), shrink);
        });
    }

    @Override
    public BufferedImage deep(String id, double share) {
        int shrink = shrink(share);
        return kept(id + '/' + shrink + "/deep", () -> {
            byte[] bytes = originals.apply(id);
            PictureFile file = PictureReader.inspect(id, bytes);
            return file.stored().deep() ? PictureReader.deep(id, bytes, file, shrink) : image(id, shrink, () -> bytes);
        });
    }

    @Override
    public void passed(String id) {
        synchronized (kept) {
            kept.entrySet().removeIf(entry -> entry.getKey().startsWith(id + "/") && read(entry.getValue()));
        }
    }

    private BufferedImage kept(String key, Supplier<BufferedImage> reading) {
        CompletableFuture<BufferedImage> mine = new CompletableFuture<>();
        CompletableFuture<BufferedImage> image;
        synchronized (kept) {
            CompletableFuture<BufferedImage> theirs = kept.get(key);
            image = theirs == null ? mine : theirs;
            if (theirs == null) kept.put(key, mine);
        }
        if (image == mine) {
            try {
                mine.complete(reading.get());
                forget();
            } catch (RuntimeException | Error e) {
                // The next request tries again: the file or the memory may be there then.
                synchronized (kept) {
                    kept.remove(key, mine);
                }
                mine.completeExceptionally(e);
                throw e;
            }
        }
        return Joined.idly(image);
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
            Iterator<CompletableFuture<BufferedImage>> oldest = kept.values().iterator();
            while (kept.size() > 1 && oldest.hasNext() && pixels() > most) if (read(oldest.next())) oldest.remove();
        }
    }

    /** None of what is being read. Deep ones count twice, one that is kept under two names once. */
    private long pixels() {
        return kept.values().stream().filter(DecodedPictures::read).map(CompletableFuture::join).distinct()
                .mapToLong(image -> (long) image.getWidth() * image.getHeight() * (Srgb.deep(image) ? 2 : 1)).sum();
    }

    private static boolean read(CompletableFuture<BufferedImage> image) {
        return image.isDone() && !image.isCompletedExceptionally();
    }
}
