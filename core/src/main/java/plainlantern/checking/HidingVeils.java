package plainlantern.checking;

import java.util.List;
import java.util.OptionalInt;
import java.util.stream.Stream;
import plainlantern.editing.veiling.Unveil;
import plainlantern.fitting.Veils;
import plainlantern.sheet.Element;

/** Veils that leave nothing of what a form shows, and such as hide where a panel lies that is gone. */
final class HidingVeils implements Check {
    @Override
    public String title() {
        return "Veils that hide too much or nothing";
    }

    @Override
    public List<Fault> find(Checked checked) {
        return checked.elements().stream().filter(element -> !Veils.all(element).isEmpty()).flatMap(element ->
                Stream.concat(hiding(checked, element), gone(checked, element))).toList();
    }

    private static Stream<Fault> hiding(Checked checked, Element element) {
        return checked.told().hidden().stream().filter(hidden -> hidden.element().equals(element.id()))
                .map(hidden -> checked.fault(Weight.WARNING, element, element.name() + ": its veil hides all of " + what(element, hidden)
                        + ".", new Unveil(List.of(element.id()), hidden.layer(), OptionalInt.empty())));
    }

    private static String what(Element element, Told.Hidden hidden) {
        return element.holder().filter(holder -> holder.glaze().isEmpty()).map(holder -> holder.content().get(hidden.layer()))
                .map(layer -> layer.wash().isPresent() ? "the wash" : layer.words().isPresent() ? "the words" : "the picture").orElse("it");
    }

    private static Stream<Fault> gone(Checked checked, Element element) {
        boolean any = Veils.all(element).stream().flatMap(veil -> veil.forms().stream()).anyMatch(id -> checked.sheet().find(id).isEmpty());
        return any ? Stream.of(checked.fault(Weight.NOTE, element, element.name()
                + ": its veil hides where a panel lies that is no longer on the sheet.")) : Stream.empty();
    }
}
