package plainlantern.fitting;

import java.util.List;
import java.util.OptionalDouble;
import plainlantern.asking.BadInput;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Path;
import plainlantern.geometry.Point;
import plainlantern.lettering.LetterStyle;
import plainlantern.lettering.Setting;
import plainlantern.sheet.Holder;
import plainlantern.sheet.Seat;
import plainlantern.sheet.Words.Boxed;
import plainlantern.sheet.Words;

/** Words as they lie in their panel. */
public final class Typesetting {
    private Typesetting() {}

    /** Their lines, broken to fit the panel's box where they are set in it. */
    public static Setting.Block block(Holder panel, Words words) {
        return words.style().setting().block(words.text(), words.boxed()
                .map(b -> OptionalDouble.of(Math.max(0, panel.seat().width() - 2 * b.padding()))).orElse(OptionalDouble.empty()));
    }

    /**
     * Words as they are set.
     *
     * @param map from where the lines are told, their middle at the origin, to where they lie
     */
    public record Placed(LetterStyle style, List<Setting.Line> lines, Affine map) {
        /** Whether the typeface has all the letters. */
        public boolean complete() {
            return lines.stream().allMatch(line -> style.setting().face().missing(line.text()).isEmpty());
        }

        public Path outlines() {
            return style.setting().outlines(lines).mapped(map);
        }
    }

    /** In the panel's frame. */
    public static Placed placed(Holder panel, Words words) {
        Setting.Block block = block(panel, words);
        if (words.boxed().isEmpty()) return new Placed(words.style(), words.style().setting().lines(block, block.width()),
                Affine.move(words.centre()).after(Affine.turn(words.turn())));
        Boxed boxed = words.boxed().get();
        double room = panel.seat().height() - 2 * boxed.padding() - block.height();
        return new Placed(words.style(), words.style().setting().lines(block, panel.seat().width() - 2 * boxed.padding()),
                Affine.move(0, room * (boxed.lie().above() - 0.5)));
    }

    /** Their outlines in the panel's frame. */
    public static Path outlines(Holder panel, Words words) {
        return placed(panel, words).outlines();
    }

    /** How much larger than its box a block set in it is, mm; zero or less where it fits. */
    public static double overflow(Holder panel, Words words) {
        if (words.boxed().isEmpty()) return 0;
        Setting.Block block = block(panel, words);
        double padding = 2 * words.boxed().get().padding();
        return Math.max(block.height() - panel.seat().height() + padding, block.width() - panel.seat().width() + padding);
    }

    /** The panel just as high as its words in the box need, its upper edge where it was; wider, too, where a single word is. */
    public static Holder fitted(Holder panel) {
        List<Words> all = panel.content().stream().flatMap(layer -> layer.words().stream()).filter(w -> w.boxed().isPresent()).toList();
        BadInput.unless(!all.isEmpty(), "panels", "There are no words in its box.");
        double width = panel.seat().width();
        for (Words words : all) width = Math.max(width, block(panel, words).width() + 2 * words.boxed().orElseThrow().padding());
        double height = Seat.THINNEST;
        Holder wide = panel.withSeat(panel.seat().sized(width, panel.seat().height()));
        for (Words words : all) height = Math.max(height, block(wide, words).height() + 2 * words.boxed().orElseThrow().padding());
        Seat seat = panel.seat();
        Point centre = seat.toSheet().apply(new Point((width - seat.width()) / 2, (height - seat.height()) / 2));
        return panel.withSeat(seat.sized(width, height).at(centre));
    }
}
