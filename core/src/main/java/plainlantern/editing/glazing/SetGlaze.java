package plainlantern.editing.glazing;

import com.fasterxml.jackson.annotation.JsonAnyGetter;
import com.fasterxml.jackson.annotation.JsonAnySetter;
import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import plainlantern.asking.BadInput;
import plainlantern.asking.Questions;
import plainlantern.editing.Changes;
import plainlantern.editing.Titles;
import plainlantern.sheet.Element;
import plainlantern.sheet.Glaze;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.Through;

/**
 * Sets how glazes show what lies beneath them; what is absent stays.
 *
 * @param whole whether they lie over the whole sheet
 * @param set   of {@link Through}, see {@link Changes}
 */
@JsonTypeName("set-glaze")
public record SetGlaze(List<String> panels, Optional<Boolean> whole, @JsonAnySetter @JsonAnyGetter Map<String, Object> set)
        implements GlazingEdit {
    private static final List<Questions.Question> ASKED = Questions.of(Through.class);

    public SetGlaze {
        whole = whole == null ? Optional.empty() : whole;
        set = Changes.only(set, ASKED.stream().map(Questions.Question::name).toList());
    }

    @Override
    public Sheet apply(Sheet before) {
        boolean glazes = before.elements(panels).stream().allMatch(e -> e.glaze().isPresent());
        BadInput.unless(glazes && !panels.isEmpty(), "panels", "Select a glaze first.");
        return before.changing(panels, e -> e.glaze().<Element>map(glaze -> changed(glaze, before)).orElse(e));
    }

    private Glaze changed(Glaze glaze, Sheet sheet) {
        return glaze.covering(whole.orElse(glaze.whole()))
                .seeing(set.isEmpty() ? glaze.through() : Changes.onto(glaze.through(), set, sheet).switched(false));
    }

    @Override
    public String title(Sheet before) {
        String what = set.keySet().stream().findFirst().flatMap(name -> ASKED.stream().filter(q -> q.name().equals(name)).findFirst())
                .map(Questions.Question::label).orElse("Glaze");
        return Titles.of(what, before, panels);
    }
}
