package plainlantern.editing;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.ArrayList;
import java.util.List;
import plainlantern.fitting.Refit;
import plainlantern.geometry.BadInput;
import plainlantern.sheet.Content;
import plainlantern.sheet.Element;
import plainlantern.sheet.Fit;
import plainlantern.sheet.Panel;
import plainlantern.sheet.Role;
import plainlantern.sheet.Sheet;

/** Puts floats into a panel, in front of what it shows, each where it lies on the sheet; the panel's form trims them. */
@JsonTypeName("put-in")
public record PutIn(List<String> floats, String panel) implements Edit {
    @Override
    public Sheet apply(Sheet before) {
        Panel into = before.panel(panel);
        List<Panel> all = before.panels(floats).stream().filter(p -> p.role() == Role.FLOAT).toList();
        BadInput.unless(into.role() == Role.PANEL && !all.isEmpty(), "panels", "Select a float and the panel that it goes into.");
        List<Content> layers = new ArrayList<>(into.content());
        for (Panel afloat : all) {
            Panel alike = afloat.seat().mirrored() == into.seat().mirrored() ? afloat : Refit.flipped(afloat);
            Panel loose = alike.changingPictures(own -> own.settled(Fit.FREE, own.placement(), false));
            layers.addAll(Refit.inPlace(before, loose, into.withContent(loose.content())).content());
        }
        List<Element> next = new ArrayList<>(before.elements());
        next.removeAll(all);
        next.set(next.indexOf(into), into.withContent(layers));
        return before.with(next);
    }

    @Override
    public String title(Sheet before) {
        return "Into the panel: " + before.panel(panel).name();
    }
}
