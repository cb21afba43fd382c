package plainlantern.editing;

import java.util.Collection;
import plainlantern.sheet.Sheet;

/** Names of edits as the history shows them. */
final class Titles {
    private Titles() {}

    /** "Move: Centre" for one panel, "Move: 3 panels" for several. */
    static String of(String verb, Sheet sheet, Collection<String> panels) {
        if (panels.size() != 1) return verb + ": " + panels.size() + " panels";
        return verb + ": " + sheet.panel(panels.iterator().next()).name();
    }
}
