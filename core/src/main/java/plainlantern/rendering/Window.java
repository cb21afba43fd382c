package plainlantern.rendering;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import plainlantern.geometry.Box;
import plainlantern.picture.Tile;

/** Finished rows of a page, of which as many are kept as somebody will still look at. */
final class Window {
    private final Strips rows;
    private final int left;
    private final Mirror mirror;
    private final Deque<Tile> kept = new ArrayDeque<>();
    private int next;

    /**
     * @param left   where the first pixel of its rows lies
     * @param top    where its first row lies
     * @param mirror where there is nothing any more
     */
    Window(Strips rows, int left, int top, Mirror mirror) {
        this.rows = rows;
        this.left = left;
        this.mirror = mirror;
        next = top;
    }

    /** Goes on until it has all rows before one. */
    void until(int row) {
        while (next < row) {
            Tile tile = rows.paint();
            kept.add(new Tile(left, next, tile.width(), tile.height(), tile.argb()));
            next += tile.height();
        }
    }

    /** Nobody will look at what lies above that row. */
    void pass(int row) {
        while (!kept.isEmpty() && kept.peek().y() + kept.peek().height() <= row) kept.remove();
    }

    void close() {
        rows.close();
    }

    /** Pixels of a box, all of which it sees in the rows that are kept. */
    Tile tile(Box box) {
        Tile out = Tile.over(box);
        List<Tile> tiles = new ArrayList<>(kept);
        boolean straight = mirror.across().holds(out.x(), out.x() + out.width());
        for (int y = 0; y < out.height(); y++) {
            int row = mirror.down().at(out.y() + y);
            Tile from = tiles.stream().filter(t -> row >= t.y() && row < t.y() + t.height()).findFirst()
                    .orElseThrow(() -> new IllegalStateException("row " + row + " is not there any more, or not yet"));
            int at = (row - from.y()) * from.width() - left;
            if (straight) System.arraycopy(from.argb(), at + out.x(), out.argb(), y * out.width(), out.width());
            else for (int x = 0; x < out.width(); x++) out.argb()[y * out.width() + x] = from.argb()[at + mirror.across().at(out.x() + x)];
        }
        return out;
    }
}
