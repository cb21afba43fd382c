package plainlantern.editing;

import java.util.Collection;
import java.util.Set;
import plainlantern.sheet.Element;
import plainlantern.sheet.Sheet;

/** Names of edits as the history shows them. */
public final class Titles {
    private Titles() {}

    /** A name for a panel split off another: "Sky 2" for "Sky", or the next number that is free. */
    public static String next(Set<String> taken, String name) {
        String base = name.replaceFirst(" \\d+$", "");
        int number = 2;
        while (taken.contains(base + " " + number)) number++;
        return base + " " + number;
    }

    /** "Move vista: Centre" where a whole vista is meant, else "Move picture: Centre". */
    public static String ofPicture(String verb, boolean whole, Sheet sheet, Collection<String> panels) {
        boolean vista = whole && sheet.holders(panels).stream().anyMatch(p -> p.slice().isPresent());
        return of(verb + (vista ? " vista" : " picture"), sheet, panels);
    }

    /** "Move: Centre" for one panel, "Move: 3 panels" for several. */
    public static String of(String verb, Sheet sheet, Collection<String> panels) {
        if (panels.size() != 1) return verb + ": " + Element.counted(sheet.elements().stream()
                .filter(p -> panels.contains(p.id())).toList());
        return verb + ": " + sheet.element(panels.iterator().next()).name();
    }
}
