package plainlantern.sheet;

import com.fasterxml.jackson.annotation.JsonCreator;
import java.util.Collection;
import java.util.List;
import plainlantern.geometry.BadInput;
import plainlantern.geometry.Choice;

/** What an element with a form and a seat is on its sheet. All of them are placed, dressed and stacked in the same ways. */
public enum Role implements Choice {
    /** A placeholder that is filled. */
    PANEL,
    /** A picture on the sheet without a panel, whose form is the picture's own box; another form trims it, and it is a panel. */
    FLOAT,
    /** Words on the sheet, on a plate or not. */
    CAPTION,
    /** A plain line, from one side of its seat to the other; its rim is what is seen. */
    RULE;

    /** By its label; sheets of earlier versions tell only whether it is a float. */
    @JsonCreator
    static Role of(Object told) {
        if (told instanceof Boolean floating) return floating ? FLOAT : PANEL;
        return Choice.called(String.valueOf(told), values()).orElseThrow(() -> new BadInput("panels", "“" + told + "” is nothing that lies on a sheet."));
    }

    /** "4 rules", "1 panel"; "3 elements" where they are of several kinds. */
    public static String counted(Collection<Panel> elements) {
        List<Role> roles = elements.stream().map(Panel::role).distinct().toList();
        String what = roles.size() == 1 ? roles.get(0).label() : roles.isEmpty() ? "panel" : "element";
        return elements.size() + " " + what + (elements.size() == 1 ? "" : "s");
    }

    /** Whether pictures are put into it from the shelf. */
    public boolean takesPictures() {
        return this == PANEL || this == FLOAT;
    }
}
