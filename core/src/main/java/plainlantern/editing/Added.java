package plainlantern.editing;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import plainlantern.sheet.Element;
import plainlantern.sheet.Sheet;

/** What an edit has brought. */
public final class Added {
    private Added() {}

    /** The ids of elements that are new, from back to front. */
    public static List<String> to(Sheet before, Sheet after) {
        Set<String> were = new HashSet<>();
        for (Element element : before.elements()) were.add(element.id());
        return after.elements().stream().map(Element::id).filter(id -> !were.contains(id)).toList();
    }

    /** Those after what was selected already. */
    public static List<String> besides(List<String> selected, Sheet before, Sheet after) {
        List<String> both = new ArrayList<>(selected);
        both.addAll(to(before, after));
        return both;
    }
}
