package plainlantern.editing;

import java.util.List;
import java.util.Optional;
import plainlantern.fitting.Dealing.Dealt;
import plainlantern.sheet.Sheet;

/**
 * What would come of an edit.
 *
 * @param after the sheet that it would give
 * @param says  what is to be said of it in words
 * @param dealt which picture would go where, where pictures are dealt
 * @param laid  the pieces that would be laid, where a pattern is
 */
public record Foreseen(Sheet before, Sheet after, Optional<String> says, List<Dealt> dealt, Optional<Laid> laid) {
    /** Nothing but the sheet. */
    public static Foreseen of(Sheet before, Sheet after) {
        return new Foreseen(before, after, Optional.empty(), List.of(), Optional.empty());
    }
}
