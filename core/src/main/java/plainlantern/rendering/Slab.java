package plainlantern.rendering;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import plainlantern.picture.Tile;

/** Some rows of an element, painted once and kept until the page has passed them: in memory, or on disk where that is full. */
final class Slab {
    private final List<Part> parts = new ArrayList<>();
    private final int top;
    private final int bottom;
    private final Spill spill;
    private final long kept;

    /** @param place empty where its pixels are in memory */
    private record Part(ItemPainter.Painted painted, Optional<Spill.Place> place) {}

    private Slab(int top, int bottom, Spill spill, long kept) {
        this.top = top;
        this.bottom = bottom;
        this.spill = spill;
        this.kept = kept;
    }

    /**
     * @param top    its first row; what is painted beyond, as it casts into the slab, other slabs have
     * @param bottom the row after its last one
     * @param pixels that are counted as kept in memory
     */
    static Slab kept(List<ItemPainter.Painted> painted, int top, int bottom, long pixels) {
        Slab slab = new Slab(top, bottom, null, pixels);
        for (ItemPainter.Painted one : painted) slab.parts.add(new Part(one, Optional.empty()));
        return slab;
    }

    /** The same on disk. */
    static Slab spilled(List<ItemPainter.Painted> painted, int top, int bottom, Spill spill) {
        Slab slab = new Slab(top, bottom, spill, 0);
        for (ItemPainter.Painted one : painted) {
            Tile tile = one.tile();
            Tile bare = new Tile(tile.x(), tile.y(), tile.width(), tile.height(), new int[0]);
            slab.parts.add(new Part(new ItemPainter.Painted(bare, one.form(), one.look()), Optional.of(spill.put(tile.argb()))));
        }
        return slab;
    }

    /** What of it lies in rows {@code from} to before {@code to}. */
    List<ItemPainter.Painted> rows(int from, int to) {
        return parts.stream().flatMap(part -> rows(part, from, to).stream()).toList();
    }

    private Optional<ItemPainter.Painted> rows(Part part, int from, int to) {
        ItemPainter.Painted whole = part.painted();
        Tile tile = whole.tile();
        int first = Math.max(Math.max(from, top), tile.y());
        int rows = Math.min(Math.min(to, bottom), tile.y() + tile.height()) - first;
        if (rows <= 0) return Optional.empty();
        int at = (first - tile.y()) * tile.width();
        int count = rows * tile.width();
        int[] pixels = part.place().map(place -> spill.get(place, at, count))
                .orElseGet(() -> Arrays.copyOfRange(tile.argb(), at, at + count));
        return Optional.of(new ItemPainter.Painted(new Tile(tile.x(), first, tile.width(), rows, pixels), whole.form(), whole.look()));
    }

    /** Pixels that are counted as kept in memory. */
    long kept() {
        return kept;
    }

    void free() {
        for (Part part : parts) part.place().ifPresent(place -> spill.free(place));
    }
}
