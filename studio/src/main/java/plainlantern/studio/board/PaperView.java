package plainlantern.studio.board;

import java.util.List;
import java.util.Optional;
import plainlantern.sheet.Colour;
import plainlantern.sheet.Look;
import plainlantern.sheet.Paper;
import plainlantern.sheet.Picture;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.Stop;
import plainlantern.sheet.Swatch;
import plainlantern.sheet.Wash;

/**
 * What Dress shows of the paper and the palette.
 *
 * @param kind    "plain", "washed", "pictured" or "none"
 * @param picture its id, empty where the paper is none
 */
public record PaperView(String kind, String colour, LayersView.WashFields wash, String picture, String blur, List<Picture> pictures,
        List<Swatch> swatches) {
    /** The colours that are offered where the paper has none yet. */
    private static final Wash FIRST = new Wash(List.of(new Stop(0, Colour.of("#E7EEF2"), 1), new Stop(1, Colour.of("#B9C9D2"), 1)), 180,
            false,
            Look.PLAIN);

    /** A kind of paper by its key and its label. */
    public record Kind(String key, String label) {}

    public List<Kind> kinds() {
        return List.of(new Kind("plain", "Colour"), new Kind("washed", "Colours"), new Kind("pictured", "Picture"),
                new Kind("none", "None"));
    }

    /** The kind in a few words. */
    public String told() {
        return switch (kind) {
            case "plain" -> "one colour";
            case "washed" -> "colours";
            case "pictured" -> "a picture";
            default -> "none";
        };
    }

    static PaperView of(Sheet sheet) {
        Numbers n = new Numbers(sheet);
        Paper paper = sheet.paper();
        return paper.as(new Paper.Kinds<>() {
            @Override
            public PaperView plain(Paper.Plain plain) {
                return of(sheet, n, "plain", plain.colour(), FIRST, Optional.empty());
            }

            @Override
            public PaperView washed(Paper.Washed washed) {
                return of(sheet, n, "washed", Colour.WHITE, washed.wash(), Optional.empty());
            }

            @Override
            public PaperView pictured(Paper.Pictured pictured) {
                return of(sheet, n, "pictured", Colour.WHITE, FIRST, Optional.of(pictured));
            }

            @Override
            public PaperView none() {
                return of(sheet, n, "none", Colour.WHITE, FIRST, Optional.empty());
            }
        });
    }

    private static PaperView of(Sheet sheet, Numbers n, String kind, Colour colour, Wash wash, Optional<Paper.Pictured> picture) {
        return new PaperView(kind, colour.told(), LayersView.wash(n, wash), picture.map(Paper.Pictured::picture).orElse(""),
                n.length(picture.map(Paper.Pictured::blur).orElse(0.0)), sheet.shelf(), sheet.styles().swatches());
    }
}
