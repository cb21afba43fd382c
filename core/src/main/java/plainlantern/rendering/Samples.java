package plainlantern.rendering;

import java.util.ArrayList;
import java.util.List;
import plainlantern.geometry.Box;

/**
 * Squares of a large picture that stand for all of it, row by row, each in the middle of its share; where it is small they are smaller, and
 * are nearly all of it.
 *
 * @param along  so many of them along each side
 * @param across pixels of each
 * @param down   likewise
 */
record Samples(int along, int across, int down, List<Box> squares) {
    /** @param side pixels of a square at most, along each side */
    static Samples of(Box part, int along, int side) {
        int across = (int) Math.max(1, Math.min(side, part.width() / along));
        int down = (int) Math.max(1, Math.min(side, part.height() / along));
        List<Box> squares = new ArrayList<>();
        for (int row = 0; row < along; row++) {
            for (int column = 0; column < along; column++) {
                squares.add(new Box(part.x() + Math.max(0, (int) ((column + 0.5) * part.width() / along) - across / 2),
                        part.y() + Math.max(0, (int) ((row + 0.5) * part.height() / along) - down / 2), across, down));
            }
        }
        return new Samples(along, across, down, squares);
    }

    int width() {
        return along * across;
    }

    int height() {
        return along * down;
    }

    /** Where one of them begins when they stand side by side. */
    int left(int square) {
        return square % along * across;
    }

    int top(int square) {
        return square / along * down;
    }
}
