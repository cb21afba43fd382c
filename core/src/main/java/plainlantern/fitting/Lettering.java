package plainlantern.fitting;

import java.util.List;
import java.util.OptionalDouble;
import plainlantern.geometry.Affine;
import plainlantern.geometry.BadInput;
import plainlantern.geometry.Path;
import plainlantern.geometry.Point;
import plainlantern.lettering.LetterStyle;
import plainlantern.lettering.Setting;
import plainlantern.sheet.Content.Boxed;
import plainlantern.sheet.Content.Words;
import plainlantern.sheet.Panel;
import plainlantern.sheet.Seat;

/** Words as they lie in their panel. */
public final class Lettering {
    private Lettering() {}

    /** Their lines, broken to fit the panel's box where they are set in it. */
    public static Setting.Block block(Panel panel, Words words) {
        return Setting.block(words.style(), words.text(), words.boxed().map(b -> OptionalDouble.of(Math.max(0, panel.seat().width() - 2 * b.padding()))).orElse(OptionalDouble.empty()));
    }

    /**
     * Words as they are set.
     *
     * @param map from where the lines are told, their middle at the origin, to where they lie
     */
    public record Placed(LetterStyle style, List<Setting.Line> lines, Affine map) {
        /** Whether the typeface has all the letters. */
        public boolean complete() {
            return lines.stream().allMatch(line -> Setting.missing(style.typeface(), line.text()).isEmpty());
        }

        public Path outlines() {
            return Setting.outlines(style, lines).mapped(map);
        }
    }

    /** In the panel's frame. */
    public static Placed placed(Panel panel, Words words) {
        Setting.Block block = block(panel, words);
        if (words.boxed().isEmpty()) return new Placed(words.style(), Setting.lines(words.style(), block, block.width()), Affine.move(words.centre()).after(Affine.turn(words.turn())));
        Boxed boxed = words.boxed().get();
        double room = panel.seat().height() - 2 * boxed.padding() - block.height();
        return new Placed(words.style(), Setting.lines(words.style(), block, panel.seat().width() - 2 * boxed.padding()), Affine.move(0, room * (boxed.lie().above() - 0.5)));
    }

    /** Their outlines in the panel's frame. */
    public static Path outlines(Panel panel, Words words) {
        return placed(panel, words).outlines();
    }

    /** How much larger than its box a block set in it is, mm; zero or less where it fits. */
    public static double overflow(Panel panel, Words words) {
        if (words.boxed().isEmpty()) return 0;
        Setting.Block block = block(panel, words);
        double padding = 2 * words.boxed().get().padding();
        return Math.max(block.height() - panel.seat().height() + padding, block.width() - panel.seat().width() + padding);
    }

    /** The panel just as high as its words in the box need, its upper edge where it was; wider, too, where a single word is. */
    public static Panel fitted(Panel panel) {
        Words words = panel.content().stream().filter(Words.class::isInstance).map(Words.class::cast).filter(w -> w.boxed().isPresent()).findFirst()
                .orElseThrow(() -> new BadInput("panels", "There are no words in its box."));
        double padding = 2 * words.boxed().orElseThrow().padding();
        Setting.Block block = block(panel, words);
        double width = Math.max(panel.seat().width(), block.width() + padding);
        double height = Math.max(Seat.THINNEST, block.height() + padding);
        Seat seat = panel.seat();
        Point centre = seat.toSheet().apply(new Point((width - seat.width()) / 2, (height - seat.height()) / 2));
        return panel.withSeat(seat.sized(width, height).at(centre));
    }
}
