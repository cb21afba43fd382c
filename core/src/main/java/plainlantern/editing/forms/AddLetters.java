package plainlantern.editing.forms;

import com.fasterxml.jackson.annotation.JsonIgnore;
import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import java.util.Optional;
import plainlantern.asking.BadInput;
import plainlantern.editing.Added;
import plainlantern.editing.Outside;
import plainlantern.fitting.Refit;
import plainlantern.geometry.Box;
import plainlantern.lettering.Face;
import plainlantern.outline.Letters;
import plainlantern.outline.Spelling;
import plainlantern.sheet.Holder;
import plainlantern.sheet.Panel;
import plainlantern.sheet.Seat;
import plainlantern.sheet.Sheet;

/**
 * Adds an empty panel in the form of letters in front of all others, in the middle of the sheet, as large as its margins leave room for;
 * or makes a panel that is there letters, as large as its box, with what it shows.
 *
 * @param panel   the panel that becomes letters; empty for a new one
 * @param brought the face, where it is one that a member brought
 */
@JsonTypeName("add-letters")
public record AddLetters(Spelling spelling, String panel, @JsonIgnore Optional<Face> brought) implements FormEdit {
    private static final int LONGEST_NAME = 40;

    public AddLetters {
        BadInput.unless(spelling != null, "text", "Type the letters first.");
        panel = panel == null ? "" : panel;
        brought = brought == null ? Optional.empty() : brought;
    }

    @Override
    public AddLetters completed(Outside outside, Sheet before) {
        return new AddLetters(spelling, panel, outside.face(spelling.face().own()));
    }

    @Override
    public Sheet apply(Sheet before) {
        Letters letters = Letters.of(spelling, spelling.face().face(brought));
        if (!panel.isEmpty()) return before.holding(List.of(before.free(List.of(panel)).get(0).id()), holder -> formed(before, holder,
                letters));
        Box room = before.area().orElse(before.bounds());
        double width = Math.min(room.width(), room.height() * letters.aspect());
        Seat seat = Seat.upright(room.centre(), width, width / letters.aspect());
        return before.adding(Panel.empty("p" + (before.lastId() + 1), name(spelling), letters, seat));
    }

    private static Holder formed(Sheet sheet, Holder panel, Letters letters) {
        Seat seat = panel.seat();
        double width = Math.min(seat.width(), seat.height() * letters.aspect());
        return Refit.resized(sheet, panel, panel.withOutline(letters).withSeat(seat.sized(width, width / letters.aspect())));
    }

    /** What the letters say, in one line and not too long. */
    static String name(Spelling spelling) {
        String line = spelling.text().strip().replaceAll("\\s+", " ");
        return line.codePointCount(0, line.length()) <= LONGEST_NAME ? line
                : line.substring(0, line.offsetByCodePoints(0, LONGEST_NAME - 1)).strip() + "\u2026";
    }

    @Override
    public List<String> selected(Sheet before, Sheet after, List<String> selected) {
        return panel.isEmpty() ? Added.to(before, after) : selected;
    }

    @Override
    public String title(Sheet before) {
        return "Add letters: " + name(spelling);
    }
}
