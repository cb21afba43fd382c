package plainlantern.editing.forms;

import com.fasterxml.jackson.annotation.JsonIgnore;
import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import plainlantern.asking.BadInput;
import plainlantern.asking.Typed;
import plainlantern.editing.Added;
import plainlantern.editing.Outside;
import plainlantern.editing.Titles;
import plainlantern.fitting.Refit;
import plainlantern.fitting.Vistas;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Box;
import plainlantern.lettering.Face;
import plainlantern.outline.Letters;
import plainlantern.outline.Spelling;
import plainlantern.sheet.Element;
import plainlantern.sheet.Holder;
import plainlantern.sheet.PictureLayer;
import plainlantern.sheet.Seat;
import plainlantern.sheet.Sheet;

/**
 * Makes a panel of each letter, in one group, where it stood: on the same baseline, as it was shaped. What the panel showed stays in
 * place, or becomes one picture that runs through all.
 *
 * @param through whether the panel's frontmost picture runs through all letters as a vista
 * @param brought the face, where it is one that a member brought
 */
@JsonTypeName("part-letters")
public record PartLetters(String panel, @Typed.Switch boolean through, @JsonIgnore Optional<Face> brought) implements FormEdit {
    public PartLetters {
        brought = brought == null ? Optional.empty() : brought;
    }

    @Override
    public PartLetters completed(Outside outside, Sheet before) {
        return new PartLetters(panel, through, outside.face(letters(before).spelling().face().own()));
    }

    private Letters letters(Sheet sheet) {
        return sheet.holder(panel).outline().letters().orElseThrow(() -> new BadInput("panel", "Select letters first."));
    }

    @Override
    public Sheet apply(Sheet before) {
        before.free(List.of(panel));
        Holder whole = before.holder(panel);
        Letters letters = letters(before);
        Spelling spelling = letters.spelling();
        List<Letters> parts = Letters.apart(spelling, spelling.face().face(brought));
        BadInput.unless(parts.size() > 1, "panel", "This is one letter already.");
        List<Element> next = new ArrayList<>();
        int lastId = before.lastId();
        String group = whole.group().isEmpty() ? "g" + (lastId + 1) : whole.group();
        List<String> ids = new ArrayList<>();
        for (Element element : before.elements()) {
            if (!element.id().equals(panel)) {
                next.add(element);
                continue;
            }
            for (Letters part : parts) {
                String id = ids.isEmpty() ? panel : "p" + ++lastId;
                ids.add(id);
                next.add(Refit.inPlace(before, whole, placed(whole, letters, part)).copied(id, part.spelling().text()).grouped(group));
            }
        }
        Sheet parted = before.with(next, Math.max(lastId, before.lastId() + 1));
        if (!through || whole.slice().isPresent()) return parted;
        PictureLayer own = whole.picture(Typed.FRONTMOST)
                .orElseThrow(() -> new BadInput("through", "Put a picture into the letters first, or part them without one."));
        return Vistas.seen(parted, ids, Vistas.lying("v" + (parted.lastId() + 1), before, whole, own));
    }

    /** The panel as one of its letters, where that stands. */
    private static Holder placed(Holder whole, Letters letters, Letters part) {
        Seat seat = whole.seat();
        Affine map = letters.fromEm(seat.width(), seat.height());
        Box box = part.inked();
        return whole.withOutline(part).withSeat(seat.sized(box.width() * map.a(), box.height() * map.d())
                .at(seat.toSheet().apply(map.apply(box.centre()))));
    }

    @Override
    public List<String> selected(Sheet before, Sheet after, List<String> selected) {
        List<String> all = new ArrayList<>(List.of(panel));
        all.addAll(Added.to(before, after));
        return all;
    }

    @Override
    public String title(Sheet before) {
        return Titles.of("One panel a letter", before, List.of(panel));
    }
}
