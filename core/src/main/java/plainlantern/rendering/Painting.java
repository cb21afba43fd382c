package plainlantern.rendering;

import java.awt.image.BufferedImage;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Box;
import plainlantern.picture.PictureSource;
import plainlantern.picture.Tile;
import plainlantern.scene.Scene.Item;
import plainlantern.sheet.Treated;
import plainlantern.treating.ColourMap;

/**
 * A source of pictures that remembers how elements were painted of them: whoever looks at a sheet again, of which little has changed, has
 * little to paint.
 */
public final class Painting implements PictureSource {
    private static final int EACH = 4;
    /** What is remembered beside pixels, bytes. */
    private static final int MORE = 2000;

    private final PictureSource pictures;
    private final Memory memory;
    private final Object whose;

    private Painting(PictureSource pictures, Memory memory, Object whose) {
        this.pictures = pictures;
        this.memory = memory;
        this.whose = whose;
    }

    /** What was painted last, up to so many bytes; the rest is forgotten. */
    public static final class Memory {
        private final long most;
        private final Map<Key, List<ItemPainter.Painted>> kept = new LinkedHashMap<>(16, 0.75f, true);
        private long bytes;

        public Memory(long most) {
            this.most = most;
        }

        /** @param whose only the same one gets what was painted of these pictures */
        public PictureSource of(PictureSource pictures, Object whose) {
            return new Painting(pictures, this, whose);
        }

        private synchronized Optional<List<ItemPainter.Painted>> find(Key key) {
            return Optional.ofNullable(kept.get(key));
        }

        private synchronized void keep(Key key, List<ItemPainter.Painted> painted) {
            if (weight(painted) > most || kept.putIfAbsent(key, painted) != null) return;
            bytes += weight(painted);
            for (Iterator<List<ItemPainter.Painted>> eldest = kept.values().iterator(); bytes > most;) {
                bytes -= weight(eldest.next());
                eldest.remove();
            }
        }

        private static long weight(List<ItemPainter.Painted> painted) {
            return MORE + painted.stream().mapToLong(part -> (long) EACH * part.tile().argb().length).sum();
        }
    }

    private record Key(Object whose, Item item, Affine toPixels, Box part) {}

    /** As {@link ItemPainter#painted}; nobody changes what it gives. */
    List<ItemPainter.Painted> painted(Item item, Affine toPixels, Box part) {
        Key key = new Key(whose, item, toPixels, part);
        return memory.find(key).orElseGet(() -> {
            List<ItemPainter.Painted> painted = ItemPainter.painted(item, toPixels, part, pictures);
            memory.keep(key, painted);
            return painted;
        });
    }

    @Override
    public BufferedImage image(String id, double share) {
        return pictures.image(id, share);
    }

    @Override
    public BufferedImage deep(String id, double share) {
        return pictures.deep(id, share);
    }

    @Override
    public Tile onto(Treated what, int width, int height, Affine map, Box wanted) {
        return pictures.onto(what, width, height, map, wanted);
    }

    @Override
    public BufferedImage sized(Treated what, double share, int width, int height, int[] size) {
        return pictures.sized(what, share, width, height, size);
    }

    @Override
    public void passed(String id) {
        pictures.passed(id);
    }

    @Override
    public Optional<ColourMap> table(String id) {
        return pictures.table(id);
    }

    @Override
    public Optional<byte[]> original(String id) {
        return pictures.original(id);
    }
}
