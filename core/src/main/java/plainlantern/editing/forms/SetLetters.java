package plainlantern.editing.forms;

import com.fasterxml.jackson.annotation.JsonAnyGetter;
import com.fasterxml.jackson.annotation.JsonAnySetter;
import com.fasterxml.jackson.annotation.JsonIgnore;
import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import plainlantern.asking.BadInput;
import plainlantern.asking.Typed;
import plainlantern.editing.Changes;
import plainlantern.editing.Outside;
import plainlantern.editing.Titles;
import plainlantern.fitting.Refit;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Point;
import plainlantern.lettering.Face;
import plainlantern.lettering.FaceName;
import plainlantern.outline.Letters;
import plainlantern.outline.Spelling;
import plainlantern.sheet.Fit;
import plainlantern.sheet.Holder;
import plainlantern.sheet.Seat;
import plainlantern.sheet.Sheet;

/**
 * Changes letters that are forms. The seat follows: the letters keep their height, and the place where their first line begins; what
 * the panel shows stays.
 *
 * @param set     of {@link Spelling}, {@link FaceName} and {@link Measure}, see {@link Changes}
 * @param brought the faces that a member brought, by their ids
 */
@JsonTypeName("set-letters")
public record SetLetters(List<String> panels, @JsonIgnore Map<String, Face> brought, @JsonAnySetter @JsonAnyGetter Map<String, Object> set)
        implements FormEdit {
    /**
     * How large letters are.
     *
     * @param size    mm, an em from top to bottom
     * @param stretch how much wider they are than the typeface has them
     */
    public record Measure(@Typed.Length double size, @Typed.Share double stretch) {
        public Measure {
            BadInput.unless(size > 0 && size <= 100 * Seat.LARGEST, "size", "Type a size above zero, such as 80 mm.");
            BadInput.unless(stretch > 0 && stretch <= 1e6, "stretch", "Type a share above zero, such as 100 %.");
        }

        /** That of letters in a panel. */
        public static Measure of(Letters letters, Seat seat) {
            Affine map = letters.fromEm(seat.width(), seat.height());
            return new Measure(map.d(), letters.stretch(seat.width(), seat.height()));
        }
    }

    public SetLetters {
        brought = brought == null ? Map.of() : Map.copyOf(brought);
        set = Changes.only(set, List.of("text", "family", "weight", "own", "side", "leading", "tracking", "size", "stretch"));
    }

    @Override
    public SetLetters completed(Outside outside, Sheet before) {
        Map<String, Face> faces = new HashMap<>();
        for (String id : panels) before.find(id).flatMap(e -> e.holder()).flatMap(h -> h.outline().letters()).ifPresent(letters -> {
            String own = changed(letters.spelling(), before).face().own();
            outside.face(own).ifPresent(face -> faces.put(own, face));
        });
        return new SetLetters(panels, faces, set);
    }

    @Override
    public Sheet apply(Sheet before) {
        List<Holder> meant = before.free(panels).stream().flatMap(e -> e.holder().stream())
                .filter(h -> h.outline().letters().isPresent()).toList();
        BadInput.unless(!meant.isEmpty(), "panels", "Select letters first.");
        return before.holding(meant.stream().map(Holder::id).toList(), h -> changed(before, h, h.outline().letters().orElseThrow()));
    }

    private Holder changed(Sheet sheet, Holder panel, Letters was) {
        Spelling spelling = changed(was.spelling(), sheet);
        Letters now = spelling.equals(was.spelling()) ? was
                : Letters.of(spelling, spelling.face().face(Optional.ofNullable(brought.get(spelling.face().own()))));
        Seat seat = panel.seat();
        Measure measure = Changes.onto(Measure.of(was, seat), set, sheet);
        double down = measure.size();
        double across = down * measure.stretch();
        Seat sized = seat.sized(now.inked().width() * across, now.inked().height() * down);
        // Where the first line begins, in both frames.
        Point start = was.fromEm(seat.width(), seat.height()).apply(Point.ORIGIN);
        Point then = now.fromEm(sized.width(), sized.height()).apply(Point.ORIGIN);
        boolean aside = spelling.side() != was.spelling().side();
        Point by = aside ? new Point(0, start.y() - then.y()) : start.minus(then);
        Holder after = panel.withOutline(now).withSeat(sized.at(seat.toSheet().apply(by)));
        boolean placed = panel.pictures().stream().anyMatch(layer -> layer.own().isPresent() && layer.flat().fit() == Fit.FREE);
        return placed ? Refit.inPlace(sheet, panel, after) : Refit.resized(sheet, panel, after);
    }

    private Spelling changed(Spelling was, Sheet sheet) {
        FaceName face = Changes.onto(was.face(), set, sheet);
        boolean usual = set.containsKey("family") && !set.containsKey("weight");
        if (set.containsKey("family") && !set.containsKey("own")) face = new FaceName(face.family(), face.weight(), "");
        if (usual) face = new FaceName(face.family(), 0, face.own());
        return Changes.onto(was, set, sheet).in(face);
    }

    @Override
    public String title(Sheet before) {
        return Titles.of("Letters", before, panels);
    }
}
