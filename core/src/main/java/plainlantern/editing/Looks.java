package plainlantern.editing;

import java.util.Map;
import plainlantern.sheet.Look;
import plainlantern.sheet.Sheet;

/** Names of what sets a look. */
public final class Looks {
    private Looks() {}

    /** "Opacity", "Blend: Multiply", "Layer off". */
    public static String title(Look was, Map<String, Object> set, Sheet sheet) {
        Look now = Changes.onto(was, set, sheet);
        if (set.containsKey("off")) return now.off() ? "Layer off" : "Layer on";
        return set.containsKey("blend") ? "Blend: " + now.blend().title() : "Opacity";
    }
}
