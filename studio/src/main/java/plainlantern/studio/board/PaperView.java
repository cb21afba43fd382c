package plainlantern.studio.board;

import java.util.List;
import plainlantern.sheet.Colour;
import plainlantern.sheet.Content.Wash;
import plainlantern.sheet.Paper;
import plainlantern.sheet.Picture;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.Stop;
import plainlantern.sheet.Swatch;

/**
 * What Dress shows of the paper and the palette.
 *
 * @param kind    "plain", "washed", "pictured" or "none"
 * @param picture its id, empty where the paper is none
 */
public record PaperView(String kind, String colour, LayersView.WashFields wash, String picture, String blur, List<Picture> pictures, List<Swatch> swatches) {
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
        Colour colour = paper instanceof Paper.Plain plain ? plain.colour() : Colour.WHITE;
        Wash wash = paper instanceof Paper.Washed w ? new Wash(w.stops(), w.turn(), w.round(), null) : new Wash(List.of(new Stop(0, Colour.of("#E7EEF2"), 1), new Stop(1, Colour.of("#B9C9D2"), 1)), 180, false, null);
        String kind = paper instanceof Paper.Plain ? "plain" : paper instanceof Paper.Washed ? "washed" : paper instanceof Paper.Pictured ? "pictured" : "none";
        return new PaperView(kind, colour.told(), LayersView.wash(n, wash), paper instanceof Paper.Pictured p ? p.picture() : "", n.length(paper instanceof Paper.Pictured p ? p.blur() : 0),
                sheet.shelf(), sheet.styles().swatches());
    }
}
