package plainlantern.editing;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import plainlantern.geometry.BadInput;
import plainlantern.geometry.Choice;
import plainlantern.geometry.Point;
import plainlantern.lettering.LetterStyle;
import plainlantern.lettering.Setting;
import plainlantern.lettering.Typeface;
import plainlantern.sheet.Colour;
import plainlantern.sheet.Content;
import plainlantern.sheet.Look;
import plainlantern.sheet.Panel;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.Stop;

/**
 * Lays something in front of all that panels show.
 *
 * @param picture the picture's id, for {@link What#PICTURE}
 */
@JsonTypeName("add-layer")
public record AddLayer(List<String> panels, What what, Optional<String> picture) implements Edit {
    /** What is laid on top. */
    public enum What implements Choice { PICTURE, WASH, WORDS }

    @Override
    public Sheet apply(Sheet before) {
        BadInput.unless(what != What.PICTURE || picture.isPresent(), "picture", "Choose the picture first.");
        return before.changing(panels, p -> {
            List<Content> layers = new ArrayList<>(p.content());
            layers.add(first(before, p));
            return p.withContent(layers);
        });
    }

    private Content first(Sheet sheet, Panel panel) {
        return switch (what) {
            case PICTURE -> FillPanels.covering(sheet, panel, sheet.picture(picture.orElseThrow()));
            case WASH -> new Content.Wash(List.of(new Stop(0.4, Colour.of("#18222B"), 0), new Stop(1, Colour.of("#18222B"), 0.75)), 180, false, Look.PLAIN);
            case WORDS -> words(panel);
        };
    }

    /** The panel's name, as large as fits across eight tenths of it, at most a fifth of its shorter side. */
    private static Content words(Panel panel) {
        double widest = panel.name().lines().mapToDouble(line -> Setting.width(Typeface.BRICOLAGE_GROTESQUE, line)).max().orElse(1);
        double size = Math.min(Math.min(panel.seat().width(), panel.seat().height()) / 5, 0.8 * panel.seat().width() / Math.max(0.1, widest));
        return Content.Words.of(panel.name(), LetterStyle.of(Typeface.BRICOLAGE_GROTESQUE, Math.max(0.1, size), Setting.Side.MIDDLE), Colour.WHITE)
                .at(new Point(0, panel.seat().height() / 4), 0);
    }

    @Override
    public String title(Sheet before) {
        return Titles.of("Lay " + what.label() + " on top", before, panels);
    }
}
