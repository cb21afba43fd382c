package plainlantern.editing.dressing;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;
import plainlantern.sheet.Element;
import plainlantern.sheet.Finish;
import plainlantern.sheet.NamedFinish;
import plainlantern.sheet.Sheet;

/** Changes finishes of panels, and with them those of all panels that follow the same named finish. */
public final class Finishes {
    private Finishes() {}

    public static Sheet changing(Sheet before, List<String> panels, UnaryOperator<Finish> change) {
        Map<String, Finish> named = new HashMap<>();
        for (Element panel : before.elements(panels)) panel.finish().named().ifPresent(id -> named.put(id, change.apply(panel.finish())));
        Sheet changed = before.changing(panels, p -> p.finished(change.apply(p.finish())));
        return named.isEmpty() ? changed : followed(changed, named);
    }

    /** The sheet with those finishes under their names, and on all that follow them. */
    public static Sheet followed(Sheet sheet, Map<String, Finish> named) {
        List<NamedFinish> finishes = sheet.styles().finishes().stream()
                .map(f -> named.containsKey(f.id()) ? new NamedFinish(f.id(), f.name(), named.get(f.id())) : f).toList();
        List<String> users = sheet.elements().stream().filter(p -> p.finish().named().filter(named::containsKey).isPresent())
                .map(Element::id).toList();
        Sheet kept = sheet.withStyles(sheet.styles().withFinishes(finishes));
        return users.isEmpty() ? kept : kept.changing(users,
                p -> p.finished(named.get(p.finish().named().orElseThrow()).following(p.finish().named())));
    }

    /** The sheet on which no panel follows that finish any more; what they look like stays. */
    public static Sheet freed(Sheet sheet, String id) {
        List<String> users = sheet.elements().stream().filter(p -> p.finish().named().equals(Optional.of(id))).map(Element::id).toList();
        return users.isEmpty() ? sheet : sheet.changing(users, p -> p.finished(p.finish().following(Optional.empty())));
    }
}
