package plainlantern.studio.shelf;

import java.awt.image.BufferedImage;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.Semaphore;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;
import plainlantern.picture.Backdrop;
import plainlantern.picture.DecodedPictures;
import plainlantern.picture.Encoder;
import plainlantern.picture.FileKind;
import plainlantern.picture.Footing;
import plainlantern.picture.Palette;
import plainlantern.picture.PictureFile;
import plainlantern.picture.PictureReader;
import plainlantern.picture.PictureSource;
import plainlantern.picture.Previews;
import plainlantern.picture.Previews.Level;
import plainlantern.picture.Sha256;
import plainlantern.picture.Subject;
import plainlantern.sheet.Cleared;
import plainlantern.sheet.Colour;
import plainlantern.sheet.Foot;
import plainlantern.sheet.Gone;
import plainlantern.sheet.Picture;
import plainlantern.studio.web.NotFound;

/** Import of pictures, and reading them back for those who own them. */
@Service
public class Pictures {
    /** Megapixels that may be open at once in this process; a single larger picture takes all. */
    private static final int OPEN_MEGAPIXELS = 260;

    private final PictureStore store;
    private final TransactionTemplate transaction;
    private final Semaphore room = new Semaphore(OPEN_MEGAPIXELS, true);

    Pictures(PictureStore store, TransactionTemplate transaction) {
        this.store = store;
        this.transaction = transaction;
    }

    /**
     * Imports one file for an account: checks, decodes, makes previews, stores. A file that is there already is only
     * given to the account. Throws {@link plainlantern.geometry.BadInput} and leaves no trace where it cannot be read.
     */
    public Picture add(UUID account, String fileName, byte[] bytes) {
        PictureFile file = PictureReader.inspect(fileName, bytes);
        String sha = Sha256.of(bytes);
        Optional<PictureRow> there = store.find(sha);
        Map<Level, byte[]> previews = there.isPresent() ? Map.of() : previews(fileName, bytes, file);
        PictureRow row = there.orElseGet(() -> PictureRow.of(sha, file, Subject.of(decoded(previews.get(Level.SMALL))), Footing.of(decoded(previews.get(Level.MEDIUM)))));
        transaction.executeWithoutResult(status -> {
            if (there.isEmpty()) store.add(row, kinds(bytes, file, previews));
            store.own(account, sha);
        });
        return row.named(nameOf(fileName));
    }

    private Map<Level, byte[]> previews(String fileName, byte[] bytes, PictureFile file) {
        int megapixels = (int) Math.min(OPEN_MEGAPIXELS, 1 + (long) file.width() * file.height() / 1_000_000);
        return using(megapixels, () -> Previews.of(PictureReader.decode(fileName, bytes, file)));
    }

    private static BufferedImage decoded(byte[] preview) {
        return PictureReader.decode("preview", preview, PictureReader.inspect("preview", preview));
    }

    private static Map<String, PictureStore.Data> kinds(byte[] bytes, PictureFile file, Map<Level, byte[]> previews) {
        Map<String, PictureStore.Data> kinds = new LinkedHashMap<>();
        kinds.put(PictureStore.ORIGINAL, new PictureStore.Data(file.kind().mediaType(), bytes));
        previews.forEach((level, data) -> kinds.put(kind(level),
                new PictureStore.Data(FileKind.of(data).orElseThrow().mediaType(), data)));
        return kinds;
    }

    private <T> T using(int megapixels, Supplier<T> work) {
        room.acquireUninterruptibly(megapixels);
        try {
            return work.get();
        } finally {
            room.release(megapixels);
        }
    }

    private static String kind(Level level) {
        return level.name().toLowerCase(Locale.ROOT);
    }

    /** "dawn-ridge" for "dawn-ridge.jpg"; at most 80 characters. */
    private static String nameOf(String fileName) {
        String file = fileName.substring(Math.max(fileName.lastIndexOf('/'), fileName.lastIndexOf('\\')) + 1);
        String bare = file.replaceFirst("\\.[A-Za-z0-9]{1,5}$", "").strip();
        if (bare.isEmpty()) bare = "Picture";
        return bare.length() > 80 ? bare.substring(0, 80) : bare;
    }

    /** The account's own pictures with those ids, under those names; throws {@link Gone} where one is not its own. */
    public List<Picture> owned(UUID account, Map<String, String> namesById) {
        Map<String, PictureRow> rows = store.owned(account, namesById.keySet()).stream()
                .collect(Collectors.toMap(PictureRow::sha, Function.identity()));
        return namesById.entrySet().stream().map(entry -> {
            PictureRow row = rows.get(entry.getKey());
            if (row == null) throw new Gone("That picture is not there.");
            return row.named(nameOf(entry.getValue()));
        }).toList();
    }

    public PictureStore.Data preview(UUID account, String sha, Level level) {
        return store.data(account, sha, kind(level)).orElseThrow(NotFound::new);
    }

    /** A preview without a plain background. */
    PictureStore.Data cleared(UUID account, String sha, Level level, Cleared clear) {
        return new PictureStore.Data(FileKind.PNG.mediaType(), Encoder.png(Backdrop.removed(clear, decoded(preview(account, sha, level).data())), 72));
    }

    /** Where a picture stands, with that background taken out or none. */
    public Optional<Foot> foot(UUID account, String sha, Optional<Cleared> clear) {
        BufferedImage picture = decoded(preview(account, sha, Level.MEDIUM).data());
        return Footing.of(clear.map(c -> Backdrop.removed(c, picture)).orElse(picture));
    }

    /** A picture's leading colours. */
    public List<Colour> palette(UUID account, String sha, int count) {
        return Palette.of(decoded(preview(account, sha, Level.SMALL).data()), count);
    }

    /** What is most likely a plain background: the mean colour of its four corners. */
    public Colour corners(UUID account, String sha) {
        BufferedImage small = decoded(preview(account, sha, Level.SMALL).data());
        int x = small.getWidth() - 1;
        int y = small.getHeight() - 1;
        return Palette.mean(new int[] {small.getRGB(0, 0), small.getRGB(x, 0), small.getRGB(0, y), small.getRGB(x, y)});
    }

    public byte[] original(UUID account, String sha) {
        return store.data(account, sha, PictureStore.ORIGINAL).orElseThrow(NotFound::new).data();
    }

    /** For deliveries: full-size pixels from the originals. */
    public PictureSource originals(UUID account) {
        return new DecodedPictures(sha -> original(account, sha));
    }

    /** For small drawings: pixels from the smallest preview that has enough of them. */
    public PictureSource previews(UUID account) {
        return (sha, share) -> {
            PictureRow row = store.find(sha).orElseThrow(NotFound::new);
            double needed = Math.max(row.width(), row.height()) * share;
            Level level = needed <= Level.SMALL.side() ? Level.SMALL : needed <= Level.MEDIUM.side() ? Level.MEDIUM : Level.LARGE;
            byte[] data = preview(account, sha, level).data();
            return PictureReader.decode(sha, data, PictureReader.inspect(sha, data));
        };
    }
}
