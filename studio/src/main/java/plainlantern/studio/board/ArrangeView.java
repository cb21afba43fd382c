package plainlantern.studio.board;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.Arrays;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import plainlantern.outline.Outline;
import plainlantern.outline.Rectangle;
import plainlantern.sheet.Element;
import plainlantern.sheet.Guides;
import plainlantern.sheet.Holder;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.SheetSize;

/**
 * What the bench shows in Arrange beyond the selection's numbers.
 *
 * @param again     the pattern that the selection came from, if it did
 * @param form      the kind of the selected panels' form, empty where they differ
 * @param formAsked what that form asks for
 * @param rules     whether a rule is among them, whose form stays
 * @param letters   the letters among them, or what new ones begin with
 * @param locked    whether all of the selection is locked, and so on
 */
public record ArrangeView(Optional<String> again, String form, List<Fields.Field> formAsked,
                          boolean rules, boolean locked, boolean hidden, boolean grouped, List<GuideKind> guideKinds,
                          LettersView letters) {
    public SheetSize[] sizes() {
        return SheetSize.values();
    }

    /** A kind of guides with its two switches. */
    public record GuideKind(String key, String label, boolean shown, boolean snaps) {}

    static ArrangeView of(Sheet sheet, Collection<String> selected) {
        List<Element> panels = sheet.elements().stream().filter(p -> selected.contains(p.id())).toList();
        Optional<String> again = panels.stream().flatMap(p -> sheet.layoutOf(p.id()).stream()).findFirst().map(l -> l.pattern().label());
        boolean rules = panels.stream().anyMatch(p -> p.rule().isPresent());
        List<Outline> outlines = panels.stream().flatMap(p -> p.holder().stream()).map(Holder::outline).toList();
        List<String> kinds = outlines.stream().map(ArrangeView::kind).distinct().toList();
        boolean one = !rules && kinds.size() == 1;
        Outline first = one ? outlines.get(0) : Rectangle.SHARP;
        List<Fields.Field> asked = !one || !first.radii().isEmpty() ? List.of()
                : Fields.of(first.getClass(), Optional.of((Record) first), new Numbers(sheet), 0);
        Guides guides = sheet.guides();
        List<GuideKind> guideKinds = Arrays.stream(Guides.Kind.values())
                .map(k -> new GuideKind(k.name(), k.label(), guides.shown().contains(k), guides.snaps().contains(k))).toList();
        return new ArrangeView(again, one ? kinds.get(0) : "", asked, rules, panels.stream().allMatch(Element::locked),
                panels.stream().allMatch(Element::hidden), panels.stream().anyMatch(p -> !p.group().isEmpty()), guideKinds,
                LettersView.of(new Numbers(sheet), panels));
    }

    private static String kind(Outline outline) {
        return outline.getClass().getAnnotation(JsonTypeName.class).value();
    }
}
