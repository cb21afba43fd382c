package plainlantern.editing.placing;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import plainlantern.arranging.SeamRules;
import plainlantern.arranging.Seams.Seam;
import plainlantern.arranging.Seams;
import plainlantern.asking.BadInput;
import plainlantern.asking.Typed;
import plainlantern.editing.Added;
import plainlantern.sheet.Element;
import plainlantern.sheet.Rim;
import plainlantern.sheet.Rule;
import plainlantern.sheet.Sheet;

/**
 * Draws a rule along the middle of every gap between panels, each as one line however many panels lie along it. The rules follow their
 * gaps.
 *
 * @param panels   only gaps between these; none means all
 * @param covering whether each is exactly as wide as its gap
 * @param width    of the others, mm; absent for one point
 */
@JsonTypeName("rules-along")
public record RulesAlong(List<String> panels, @Typed.Switch boolean covering, @Typed.OptionalLength OptionalDouble width)
        implements PlacingEdit {
    public RulesAlong {
        panels = panels == null ? List.of() : List.copyOf(panels);
        BadInput.unless(width.isEmpty() || width.getAsDouble() > 0, "width", "A rule needs a width.");
    }

    @Override
    public Sheet apply(Sheet before) {
        Set<String> chosen = new HashSet<>(panels.size() > 1 ? panels : before.elements().stream().map(Element::id).toList());
        List<Element> next = new ArrayList<>(before.elements());
        int lastId = before.lastId();
        for (Seam seam : Seams.of(before)) {
            Optional<List<Rule.Bank>> banks = SeamRules.banks(seam, chosen);
            if (banks.isEmpty() || SeamRules.ruled(before, seam) || covering && seam.gap() <= 0) continue;
            Rim line = Rim.RULE.wide(covering ? seam.gap() : width.orElse(Rim.RULE.width()));
            lastId++;
            Rule rule = Rule.between("p" + lastId, "Rule " + lastId, seam.from(), seam.to(), line);
            next.add(rule.following(banks.get(), covering));
        }
        BadInput.unless(lastId > before.lastId(), "rule", "There is no gap between these panels that has no rule yet.");
        return before.with(next, lastId);
    }

    @Override
    public List<String> selected(Sheet before, Sheet after, List<String> selected) {
        return Added.to(before, after);
    }

    @Override
    public String title(Sheet before) {
        return covering ? "Rules over the gaps" : "Rules along the gaps";
    }
}
