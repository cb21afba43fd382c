package plainlantern.studio.shelf;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;
import plainlantern.asking.BadInput;
import plainlantern.checking.Told;
import plainlantern.editing.Outside;
import plainlantern.geometry.Point;
import plainlantern.lettering.Face;
import plainlantern.picture.DecodedPictures;
import plainlantern.picture.Footing;
import plainlantern.picture.Imported;
import plainlantern.picture.Palette;
import plainlantern.picture.PictureReader;
import plainlantern.picture.PictureSource;
import plainlantern.picture.Previews;
import plainlantern.picture.Previews.Level;
import plainlantern.picture.Sha256;
import plainlantern.rendering.Beneath;
import plainlantern.rendering.FileNames;
import plainlantern.sheet.Cleared;
import plainlantern.sheet.Colour;
import plainlantern.sheet.Foot;
import plainlantern.sheet.Gone;
import plainlantern.sheet.Levels;
import plainlantern.sheet.Picture;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.Tone;
import plainlantern.sheet.Treated;
import plainlantern.sheet.Treatment;
import plainlantern.sheet.Warp;
import plainlantern.studio.quota.Quotas;
import plainlantern.studio.room.Room;
import plainlantern.studio.room.Work;
import plainlantern.studio.tables.ColourTables;
import plainlantern.studio.web.NotFound;
import plainlantern.treating.ColourMap;
import plainlantern.treating.Histogram;
import plainlantern.treating.Matching;
import plainlantern.treating.Patch;
import plainlantern.treating.Recent;

/** Import of pictures, and reading them back for those who own them. */
@Service
public class Pictures {
    /** Memory for a preview that is decoded and worked on. */
    private static final long PREVIEW = 4L * 3 * Level.LARGE.side() * Level.LARGE.side();

    /** Pixels along the longer side of what is painted while a slider moves. */
    private static final int LIVE = 512;
    /** The same where a tone looks at the surroundings of each pixel, which takes twice as long. */
    private static final int LIVE_LOCAL = 384;
    /** So many small previews are kept, decoded: paintings of one sheet ask for the same again and again. */
    static final int SMALL_KEPT = 64;

    private final PictureStore store;
    private final TransactionTemplate transaction;
    private final Importers importers;
    private final Quotas quotas;
    private final Room room;
    private final ColourTables tables;
    /** Previews that were treated last, decoded: while a slider moves, the same one is asked for again and again. */
    private final Recent<String, BufferedImage> recent = new Recent<>(8);
    /** By account and picture. */
    private final Recent<String, BufferedImage> small = new Recent<>(SMALL_KEPT);
    /** A check asks the same of every picture after each edit. */
    private final Recent<Asked, Told.Lost> lost = new Recent<>(1000);

    /** What an account asks of a treated picture. */
    private record Asked(UUID account, Treated what) {}

    Pictures(PictureStore store, TransactionTemplate transaction, Importers importers, Quotas quotas, Room room, ColourTables tables) {
        this.store = store;
        this.transaction = transaction;
        this.importers = importers;
        this.quotas = quotas;
        this.room = room;
        this.tables = tables;
    }

    /** As {@link #add(UUID, String, Path)}, of a file that is in memory. */
    public Picture add(UUID account, String fileName, byte[] bytes) {
        try {
            return Work.during("picture", file -> add(account, fileName, Files.write(file, bytes)));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /**
     * Imports one file for an account: checks, decodes, makes previews, stores. A file that is there already is only
     * given to the account. Throws {@link BadInput} and leaves no trace where it cannot be read or the account has no room for it.
     */
    public Picture add(UUID account, String fileName, Path file) throws IOException {
        long bytes = Files.size(file);
        BadInput.unless(bytes <= PictureReader.MOST_BYTES, "pictures",
                String.format(Locale.ROOT, "%s has %.1f MB; at most 80 MB can be imported.", fileName, bytes / 1048576.0));
        String sha = Sha256.of(file);
        if (store.owned(account, List.of(sha)).isEmpty()) quotas.pictures(account, bytes);
        Optional<PictureRow> there = store.find(sha);
        if (there.isPresent()) return stored(account, fileName, file, there.get(), Optional.empty());
        Imported imported = importers.read(account, fileName, file);
        return stored(account, fileName, file, PictureRow.of(sha, imported, bytes), Optional.of(imported));
    }

    private Picture stored(UUID account, String fileName, Path file, PictureRow row, Optional<Imported> fresh) {
        try {
            transaction.executeWithoutResult(status -> {
                fresh.ifPresent(imported -> store(row, imported, file));
                store.own(account, row.sha());
            });
        } catch (DataIntegrityViolationException gone) {
            // One that was there a moment ago was removed, as nobody used it.
            throw new BadInput("pictures", fileName + " did not come in. Bring it once more.");
        }
        return row.named(nameOf(fileName));
    }

    private void store(PictureRow row, Imported imported, Path file) {
        Map<String, PictureStore.Data> previews = new LinkedHashMap<>();
        imported.previews().forEach((level, data) -> previews.put(kind(level), PictureStore.Data.of(data)));
        try {
            store.add(row, imported.file().kind().mediaType(), file, previews);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static BufferedImage decoded(byte[] preview) {
        return PictureReader.decode("preview", preview, PictureReader.inspect("preview", preview));
    }

    private static String kind(Level level) {
        return level.name().toLowerCase(Locale.ROOT);
    }

    /** "dawn-ridge" for "dawn-ridge.jpg"; at most 80 characters. */
    private static String nameOf(String fileName) {
        return FileNames.bare(fileName, "Picture", 80);
    }

    /** What edits of that account may know of its pictures, and of its typefaces. */
    public Outside of(UUID account, Function<String, Optional<Face>> faces) {
        return new Outside() {
            @Override
            public List<Picture> owned(List<Picture> told) {
                Map<String, String> names = new LinkedHashMap<>();
                Map<String, Picture> byId = new HashMap<>();
                for (Picture picture : told) {
                    names.put(picture.id(), picture.name());
                    byId.put(picture.id(), picture);
                }
                return Pictures.this.owned(account, names).stream().map(p -> {
                    Picture as = byId.get(p.id());
                    return as.treatment().none() ? p : p.treated(as.treatment(), as.foot());
                }).toList();
            }

            @Override
            public Optional<Face> face(String own) {
                return faces.apply(own);
            }

            @Override
            public Optional<String> table(String id) {
                return tables.name(account, id);
            }

            @Override
            public Levels evened(String picture, Treatment treatment) {
                return room.with(account, PREVIEW, () -> Histogram.evened(small(account, picture, treatment.toned(Tone.NEUTRAL)),
                        treatment.tone().balance()));
            }

            @Override
            public Tone matched(String giver, Treatment given, String taker, Treatment taken, double strength) {
                return room.with(account, PREVIEW, () -> Matching.matched(small(account, giver, given),
                        small(account, taker, taken.toned(Tone.NEUTRAL)), taken.tone(), strength));
            }

            @Override
            public Optional<List<Point>> edges(Sheet sheet, List<String> but, List<Point> corners) {
                return room.with(account, PREVIEW, () -> Beneath.edges(sheet, but, corners, previews(account)));
            }

            @Override
            public Colour colour(String picture, Point share) {
                return Pictures.this.colour(account, picture, share);
            }

            @Override
            public Optional<Foot> foot(String picture, Optional<Cleared> cleared) {
                return Pictures.this.foot(account, picture, cleared);
            }
        };
    }

    /** The account's own pictures with those ids, under those names; throws {@link Gone} where one is not its own. */
    public List<Picture> owned(UUID account, Map<String, String> namesById) {
        Map<String, PictureRow> rows = rows(account, namesById.keySet());
        return namesById.entrySet().stream().map(entry -> {
            PictureRow row = rows.get(entry.getKey());
            if (row == null) throw new Gone("That picture is not there.");
            return row.named(nameOf(entry.getValue()));
        }).toList();
    }

    /** Whether the account has that picture, of the size it says. */
    public boolean has(UUID account, Picture picture) {
        PictureRow row = rows(account, List.of(picture.id())).get(picture.id());
        return row != null && row.width() == picture.width() && row.height() == picture.height();
    }

    /** Takes pictures away from an account that no sheet of its uses. */
    public void remove(UUID account, Collection<String> shas) {
        store.disown(account, shas);
    }

    Map<String, PictureRow> rows(UUID account, Collection<String> shas) {
        return store.owned(account, shas).stream().collect(Collectors.toMap(PictureRow::sha, Function.identity()));
    }

    public PictureStore.Data preview(UUID account, String sha, Level level) {
        return store.data(account, sha, kind(level)).orElseThrow(NotFound::new);
    }

    /** A preview of a treated picture: JPEG, or PNG where parts of it are clear. */
    PictureStore.Data treated(UUID account, Treated what, Level level) {
        return encoded(account, () -> seen(account, what, level));
    }

    /** The same with fewer pixels, at once. */
    PictureStore.Data live(UUID account, Treated what) {
        // In perspective a part of the picture may be seen large.
        int live = what.tones().stream().anyMatch(toned -> toned.tone().levels().local()) ? LIVE_LOCAL : LIVE;
        int side = what.warp().isPresent() ? Level.MEDIUM.side() : live;
        return encoded(account, () -> treated(account, what, recent.get(what.picture() + "live" + side, () ->
                Previews.atMost(decoded(preview(account, what.picture(), Level.MEDIUM).data()), side)), live));
    }

    private PictureStore.Data encoded(UUID account, Supplier<BufferedImage> painted) {
        return room.with(account, PREVIEW, () -> PictureStore.Data.of(Previews.encoded(painted.get())));
    }

    /** A treated picture as one of its previews shows it. */
    private BufferedImage seen(UUID account, Treated what, Level level) {
        Level from = what.warp().isEmpty() ? level : level == Level.SMALL ? Level.MEDIUM : Level.LARGE;
        BufferedImage preview = from == Level.LARGE ? decoded(preview(account, what.picture(), from).data())
                : recent.get(what.picture() + kind(from), () -> decoded(preview(account, what.picture(), from).data()));
        return treated(account, what, preview, level.side());
    }

    /** Asks whose it is, as a preview may have been decoded for someone else. */
    private BufferedImage treated(UUID account, Treated what, BufferedImage preview, int side) {
        PictureRow row = rows(account, List.of(what.picture())).get(what.picture());
        if (row == null) throw new NotFound();
        int[] size = {preview.getWidth(), preview.getHeight()};
        BufferedImage flat = with(account, (id, share) -> preview).sized(what.warped(Optional.empty()), 1, row.width(), row.height(), size);
        return what.warp().map(warp -> warped(what.picture(), warp, flat, side)).orElse(flat);
    }

    /**
     * A picture in perspective, its box at most so many pixels along its longer side. How it is drawn comes from an address: that decides
     * what is seen of the preview, and of nothing larger.
     */
    private static BufferedImage warped(String picture, Warp told, BufferedImage flat, int side) {
        Warp warp = new Warp(told.toPicture(), told.open(), flat.getWidth(), flat.getHeight(), told.across(), told.down());
        double share = Math.min(1, (double) side / Math.max(told.across(), told.down()));
        int[] size = {(int) Math.max(1, Math.round(told.across() * share)), (int) Math.max(1, Math.round(told.down() * share))};
        PictureSource source = (id, any) -> flat;
        return source.sized(Treated.plain(picture).warped(Optional.of(warp)), share, told.across(), told.down(), size);
    }

    /** That source of pixels, with the account's tables of colours. */
    private PictureSource with(UUID account, PictureSource pixels) {
        return new PictureSource() {
            @Override
            public BufferedImage image(String id, double share) {
                return pixels.image(id, share);
            }

            @Override
            public Optional<ColourMap> table(String id) {
                return tables.map(account, id);
            }
        };
    }

    /** A picture's small preview as pixels, treated as it would be anywhere. */
    private Patch small(UUID account, String picture, Treatment treatment) {
        return small(account, Treated.anywhere(picture, treatment));
    }

    private Patch small(UUID account, Treated what) {
        return Patch.of(seen(account, what, Level.SMALL));
    }

    /** How the values of a treated picture are spread. */
    public Histogram histogram(UUID account, String picture, Treatment treatment) {
        return room.with(account, PREVIEW, () -> Histogram.of(small(account, picture, treatment)));
    }

    /** What the tones of a picture cut off that was not before them. */
    public Told.Lost lost(UUID account, Treated what) {
        return lost.get(new Asked(account, what), () -> room.with(account, PREVIEW, () -> {
            Histogram after = Histogram.of(small(account, what));
            Histogram before = Histogram.of(small(account, what.toneless()));
            return new Told.Lost(Math.max(0, after.dark() - before.dark()), Math.max(0, after.light() - before.light()));
        }));
    }

    /** Where a picture stands, with that background taken out or none. */
    public Optional<Foot> foot(UUID account, String sha, Optional<Cleared> clear) {
        return room.with(account, PREVIEW, () -> Footing.of(seen(account, new Treated(sha, clear, List.of(), Optional.empty()),
                Level.MEDIUM)));
    }

    /** A picture's leading colours. */
    public List<Colour> palette(UUID account, String sha, int count) {
        return Palette.of(decoded(preview(account, sha, Level.SMALL).data()), count);
    }

    /** The mean colour of a few pixels about a place, told as shares of its width and height. */
    Colour colour(UUID account, String sha, Point share) {
        BufferedImage seen = decoded(preview(account, sha, Level.MEDIUM).data());
        int x = (int) Math.min(seen.getWidth() - 1, share.x() * seen.getWidth());
        int y = (int) Math.min(seen.getHeight() - 1, share.y() * seen.getHeight());
        int left = Math.max(0, x - 1);
        int top = Math.max(0, y - 1);
        int across = Math.min(seen.getWidth(), x + 2) - left;
        int down = Math.min(seen.getHeight(), y + 2) - top;
        return Palette.mean(seen.getRGB(left, top, across, down, null, 0, across));
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

    /** So many bytes of a picture's file from a place on; fewer at its end, none after it. */
    public byte[] part(UUID account, String sha, long from, int length) {
        return store.part(account, sha, from, length).orElseThrow(NotFound::new);
    }

    /** For deliveries: full-size pixels from the originals. */
    public PictureSource originals(UUID account) {
        return new DecodedPictures(sha -> original(account, sha), table -> tables.map(account, table).orElse(null), mostKept());
    }

    /** Decoded pixels that are kept for one painting. */
    long mostKept() {
        return Math.min(DecodedPictures.KEPT, room.most() / 5 / 4);
    }

    /**
     * For small drawings: pixels from the smallest preview that has enough of them. Small ones are kept, as thousands of panels may show
     * one.
     */
    public PictureSource previews(UUID account) {
        Recent<String, PictureRow> rows = new Recent<>(1000);
        return with(account, (sha, share) -> {
            PictureRow row = rows.get(sha, () -> store.find(sha).orElseThrow(NotFound::new));
            Level level = level(row.width(), row.height(), share);
            Supplier<BufferedImage> reading = () -> {
                byte[] data = preview(account, sha, level).data();
                return PictureReader.decode(sha, data, PictureReader.inspect(sha, data));
            };
            return level == Level.SMALL ? small.get(account + sha, reading) : reading.get();
        });
    }

    static Level level(int width, int height, double share) {
        double needed = Math.max(width, height) * share;
        return needed <= Level.SMALL.side() ? Level.SMALL : needed <= Level.MEDIUM.side() ? Level.MEDIUM : Level.LARGE;
    }
}
