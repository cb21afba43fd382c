package plainlantern.studio.shelf;

import java.awt.image.BufferedImage;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import org.springframework.stereotype.Service;
import plainlantern.asking.Unit;
import plainlantern.geometry.Box;
import plainlantern.picture.DecodedPictures;
import plainlantern.picture.PictureSource;
import plainlantern.picture.Previews.Level;
import plainlantern.rendering.Cost;
import plainlantern.rendering.Delivery;
import plainlantern.rendering.Glazing;
import plainlantern.rendering.Masks;
import plainlantern.rendering.Painting;
import plainlantern.rendering.RasterPainter;
import plainlantern.scene.Page;
import plainlantern.scene.Scene.PaintedPicture;
import plainlantern.scene.Scene;
import plainlantern.sheet.Treated;
import plainlantern.studio.room.Room;

/** Paintings of sheets for an account that waits for them, each with the memory it takes. */
@Service
public class Paints {
    /** What a look at a caption's place takes, about. */
    private static final long LOOK = 48L << 20;

    /** Memory for what lies beneath glazes, at most, and at most a share of all. */
    private static final long BENEATH = 96L << 20;
    private static final int SHARE = 16;

    private final Pictures pictures;
    private final Room room;
    private final Painting.Memory memory = new Painting.Memory(Math.min(BENEATH, Runtime.getRuntime().maxMemory() / SHARE));

    Paints(Pictures pictures, Room room) {
        this.pictures = pictures;
        this.room = room;
    }

    /** The whole sheet from previews, its longer side so many pixels. */
    public BufferedImage small(UUID account, Scene scene, double side) {
        return room.with(account, Cost.small(scene, side, previews()), () -> RasterPainter.small(scene, side, pictures.previews(account)));
    }

    /** A part of the sheet from previews. */
    public BufferedImage part(UUID account, Scene scene, Box box, double ppi) {
        return room.with(account, Cost.part(scene, box, ppi, previews()),
                () -> RasterPainter.part(scene, box, ppi, pictures.previews(account)));
    }

    /** A glaze of a scene from previews, as {@link Glazing#look} has it. */
    public Optional<BufferedImage> glaze(UUID account, Scene scene, Treated told, int side) {
        Optional<Box> box = scene.items().stream().filter(item -> item.element().equals(told.subject())).map(item -> item.clip().bounds())
                .findFirst();
        return box.flatMap(around -> {
            double ppi = Math.max(1, side / Math.max(around.width(), around.height()) * Unit.MM_PER_INCH);
            return room.with(account, 2 * Cost.part(scene, around, ppi, previews()),
                    () -> Glazing.look(scene, told, side, memory.of(pictures.previews(account), account)));
        });
    }

    /** What the veil of a layer leaves of it, from previews: a grey image, its longer side so many pixels. */
    public BufferedImage veil(UUID account, Scene scene, Scene.Layer layer, int side) {
        return room.with(account, LOOK + 32L * side * side, () -> Masks.of(layer, side,
                Glazing.of(List.of(scene), pictures.previews(account))));
    }

    /** The pixels of a delivery, from the originals, as {@link RasterPainter#pixels} has them. */
    public BufferedImage pixels(UUID account, Scene scene, double ppi, int left, int top, int across, int down) {
        double pixel = Unit.MM_PER_INCH / ppi;
        long cost = Cost.part(scene, new Box(left * pixel, top * pixel, across * pixel, down * pixel), ppi,
                originals(account, List.of(scene)));
        return room.with(account, cost, () -> RasterPainter.pixels(scene, ppi, left, top, across, down, pictures.originals(account)));
    }

    /** Small looks at a sheet. */
    public <T> T look(UUID account, Function<PictureSource, T> work) {
        return room.with(account, LOOK, () -> work.apply(pictures.previews(account)));
    }

    /** Looks at a few small squares of a delivery, from the originals. */
    public <T> T sampled(UUID account, Delivery delivery, List<Page> pages, Function<PictureSource, T> work) {
        return room.with(account, Cost.sampling(delivery, pages, originals(account, scenes(pages))),
                () -> work.apply(pictures.originals(account)));
    }

    /** What a delivery takes, bytes. */
    public long cost(UUID account, Delivery delivery, List<Page> pages) {
        return Cost.delivery(delivery, pages, originals(account, scenes(pages)));
    }

    private static List<Scene> scenes(List<Page> pages) {
        return pages.stream().map(Page::scene).toList();
    }

    private Cost.Pictures originals(UUID account, List<Scene> scenes) {
        Set<String> ids = new HashSet<>();
        for (Scene scene : scenes) {
            for (Scene.Item item : scene.items()) ids(item, ids);
            scene.paper().ifPresent(paper -> ids(paper, ids));
        }
        Map<String, PictureRow> rows = pictures.rows(account, ids);
        return new Cost.Pictures() {
            @Override
            public long reading(PaintedPicture picture, double share) {
                PictureRow row = rows.get(picture.treated().picture());
                return row == null ? 0 : row.reading(DecodedPictures.shrink(share), !picture.treated().tones().isEmpty());
            }

            @Override
            public long held(PaintedPicture picture, double share) {
                PictureRow row = rows.get(picture.treated().picture());
                return row == null ? 0 : row.held(DecodedPictures.shrink(share), !picture.treated().tones().isEmpty());
            }

            @Override
            public long mostHeld() {
                return pictures.mostKept() * 4;
            }
        };
    }

    private static void ids(Scene.Item item, Set<String> ids) {
        for (PaintedPicture picture : item.pictures()) ids.add(picture.treated().picture());
    }

    /** Previews are read whenever they are needed; small ones are kept. */
    private static Cost.Pictures previews() {
        return new Cost.Pictures() {
            @Override
            public long reading(PaintedPicture picture, double share) {
                return 2 * held(picture, share);
            }

            @Override
            public long held(PaintedPicture picture, double share) {
                Level level = Pictures.level(picture.width(), picture.height(), share);
                double smaller = Math.min(1, (double) level.side() / Math.max(picture.width(), picture.height()));
                return (long) (4 * smaller * smaller * picture.width() * picture.height());
            }

            @Override
            public long mostHeld() {
                return 4L * Pictures.SMALL_KEPT * Level.SMALL.side() * Level.SMALL.side();
            }
        };
    }
}
