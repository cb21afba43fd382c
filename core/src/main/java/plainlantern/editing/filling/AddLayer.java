package plainlantern.editing.filling;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import plainlantern.asking.BadInput;
import plainlantern.asking.Choice;
import plainlantern.editing.Titles;
import plainlantern.geometry.Point;
import plainlantern.lettering.LetterStyle;
import plainlantern.lettering.Setting;
import plainlantern.lettering.Typeface;
import plainlantern.sheet.Colour;
import plainlantern.sheet.Content;
import plainlantern.sheet.Holder;
import plainlantern.sheet.Look;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.Stop;
import plainlantern.sheet.Wash;
import plainlantern.sheet.Words;

/**
 * Lays something in front of all that panels show.
 *
 * @param picture the picture's id, for {@link What#PICTURE}
 */
@JsonTypeName("add-layer")
public record AddLayer(List<String> panels, What what, Optional<String> picture) implements FillingEdit {
    /** What is laid on top. */
    public enum What implements Choice { PICTURE, WASH, WORDS }

    @Override
    public Sheet apply(Sheet before) {
        BadInput.unless(what != What.PICTURE || picture.isPresent(), "picture", "Choose the picture first.");
        return before.holding(panels, p -> {
            List<Content> layers = new ArrayList<>(p.content());
            layers.add(first(before, p));
            return p.withContent(layers);
        });
    }

    private Content first(Sheet sheet, Holder panel) {
        return switch (what) {
            case PICTURE -> FillPanels.covering(sheet, panel, sheet.picture(picture.orElseThrow()));
            case WASH -> new Wash(List.of(new Stop(0.4, Colour.of("#18222B"), 0), new Stop(1, Colour.of("#18222B"), 0.75)), 180,
                    false, Look.PLAIN);
            case WORDS -> words(panel);
        };
    }

    /** The panel's name, as large as fits across eight tenths of it, at most a fifth of its shorter side. */
    private static Content words(Holder panel) {
        double widest = LetterStyle.of(Typeface.BRICOLAGE_GROTESQUE, 1, Setting.Side.MIDDLE).setting().block(panel.name(),
                OptionalDouble.empty())
                .width();
        double size = Math.min(Math.min(panel.seat().width(), panel.seat().height()) / 5, 0.8 * panel.seat()
                .width() / Math.max(0.1, widest));
        return Words.of(panel.name(), LetterStyle.of(Typeface.BRICOLAGE_GROTESQUE, Math.max(0.1, size), Setting.Side.MIDDLE), Colour.WHITE)
                .at(new Point(0, panel.seat().height() / 4), 0);
    }

    @Override
    public OptionalInt layer(Sheet after, List<String> selected) {
        return selected.isEmpty() ? OptionalInt.empty() : OptionalInt.of(after.holder(selected.get(0)).content().size() - 1);
    }

    @Override
    public String title(Sheet before) {
        return Titles.of("Lay " + what.label() + " on top", before, panels);
    }
}
