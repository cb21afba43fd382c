package plainlantern.editing.dressing;

import java.util.List;
import java.util.function.UnaryOperator;
import plainlantern.sheet.Colour;
import plainlantern.sheet.Element;
import plainlantern.sheet.NamedFinish;
import plainlantern.sheet.NamedTone;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.Styles;

/** Every colour of a sheet replaced by what a function makes of it. */
public final class Recolour {
    private Recolour() {}

    public static Sheet of(Sheet sheet, UnaryOperator<Colour> change) {
        Styles styles = sheet.styles();
        List<NamedFinish> finishes = styles.finishes().stream().map(f -> new NamedFinish(f.id(), f.name(), f.finish().recoloured(change)))
                .toList();
        List<NamedTone> tones = styles.tones().stream().map(t -> new NamedTone(t.id(), t.name(), t.tone().recoloured(change))).toList();
        return sheet.everywhere(e -> of(e, change)).withPaper(sheet.paper().recoloured(change))
                .withStyles(styles.withFinishes(finishes).withTones(tones))
                .changingVistas(v -> v.treated(v.treatment().toning(tone -> tone.recoloured(change))));
    }

    /** An element with its layers and its finish. */
    public static Element of(Element element, UnaryOperator<Colour> change) {
        return element.holding(h -> h.withContent(h.content().stream().map(c -> c.recoloured(change)).toList()))
                .finished(element.finish().recoloured(change));
    }
}
