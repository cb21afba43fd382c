package plainlantern.studio.board;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.Arrays;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import plainlantern.outline.Outline;
import plainlantern.outline.Rectangle;
import plainlantern.sheet.Guides;
import plainlantern.sheet.Panel;
import plainlantern.sheet.Role;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.SheetSize;

/**
 * What the bench shows in Arrange beyond the selection's numbers.
 *
 * @param again     the pattern that the selection came from, if it did
 * @param form      the kind of the selected panels' form, empty where they differ
 * @param formAsked what that form asks for
 * @param rules     whether a rule is among them, whose form stays
 * @param locked    whether all of the selection is locked, and so on
 */
public record ArrangeView(Optional<String> again, String form, List<Fields.Field> formAsked,
                          boolean rules, boolean locked, boolean hidden, boolean grouped, List<GuideKind> guideKinds, SheetSize[] sizes) {
    /** A kind of guides with its two switches. */
    public record GuideKind(String key, String label, boolean shown, boolean snaps) {}

    static ArrangeView of(Sheet sheet, Collection<String> selected) {
        List<Panel> panels = sheet.panels().stream().filter(p -> selected.contains(p.id())).toList();
        Optional<String> again = panels.stream().flatMap(p -> sheet.layoutOf(p.id()).stream()).findFirst().map(l -> l.pattern().label());
        List<String> kinds = panels.stream().map(p -> kind(p.outline())).distinct().toList();
        boolean one = kinds.size() == 1 && panels.get(0).role() != Role.RULE;
        Outline first = one ? panels.get(0).outline() : Rectangle.SHARP;
        List<Fields.Field> asked = !one || first instanceof Rectangle ? List.of() : Fields.of(first.getClass(), Optional.of((Record) first), new Numbers(sheet), 0);
        Guides guides = sheet.guides();
        List<GuideKind> guideKinds = Arrays.stream(Guides.Kind.values())
                .map(k -> new GuideKind(k.name(), k.label(), guides.shown().contains(k), guides.snaps().contains(k))).toList();
        return new ArrangeView(again, one ? kinds.get(0) : "", asked, panels.stream().anyMatch(p -> p.role() == Role.RULE), panels.stream().allMatch(Panel::locked),
                panels.stream().allMatch(Panel::hidden), panels.stream().anyMatch(p -> !p.group().isEmpty()), guideKinds, SheetSize.values());
    }

    private static String kind(Outline outline) {
        return outline.getClass().getAnnotation(JsonTypeName.class).value();
    }
}
