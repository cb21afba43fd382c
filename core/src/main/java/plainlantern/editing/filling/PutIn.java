package plainlantern.editing.filling;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import plainlantern.asking.BadInput;
import plainlantern.fitting.Refit;
import plainlantern.sheet.Content;
import plainlantern.sheet.Element;
import plainlantern.sheet.Fit;
import plainlantern.sheet.Flat;
import plainlantern.sheet.Float;
import plainlantern.sheet.Holder;
import plainlantern.sheet.Panel;
import plainlantern.sheet.Sheet;

/** Puts floats into a panel, in front of what it shows, each where it lies on the sheet; the panel's form trims them. */
@JsonTypeName("put-in")
public record PutIn(List<String> floats, String panel) implements FillingEdit {
    @Override
    public Sheet apply(Sheet before) {
        Optional<Panel> found = before.element(panel).panel();
        List<Float> all = before.elements(floats).stream().flatMap(e -> e.afloat().stream()).toList();
        BadInput.unless(found.isPresent() && !all.isEmpty(), "panels", "Select a float and the panel that it goes into.");
        Panel into = found.get();
        List<Content> layers = new ArrayList<>(into.content());
        for (Float afloat : all) {
            Holder alike = afloat.seat().mirrored() == into.seat().mirrored() ? afloat : Refit.flipped(afloat);
            Holder loose = alike.changingOwn(own -> own.lying(new Flat(Fit.FREE, own.flat().pose(), false)));
            layers.addAll(Refit.inPlace(before, loose, into.withContent(loose.content())).content());
        }
        List<Element> next = new ArrayList<>(before.elements());
        next.removeAll(all);
        next.set(next.indexOf(into), into.withContent(layers));
        return before.with(next);
    }

    @Override
    public String title(Sheet before) {
        return "Into the panel: " + before.element(panel).name();
    }
}
