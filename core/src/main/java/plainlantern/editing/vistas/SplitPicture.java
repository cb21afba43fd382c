package plainlantern.editing.vistas;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import java.util.Optional;
import plainlantern.asking.BadInput;
import plainlantern.asking.Typed;
import plainlantern.asking.Unit;
import plainlantern.editing.Added;
import plainlantern.editing.Foreseen;
import plainlantern.editing.filling.FillPanels;
import plainlantern.editing.placing.LayOut;
import plainlantern.geometry.Box;
import plainlantern.geometry.Polygons;
import plainlantern.pattern.Pattern;
import plainlantern.sheet.Element;
import plainlantern.sheet.Picture;
import plainlantern.sheet.Sheet;

/**
 * Splits one picture into new panels by a pattern and puts it behind them as a vista, in one step. On a pixel sheet the edges of
 * upright panels come to lie on whole pixels; what remains is spread one pixel at a time.
 *
 * @param whole whether the pattern takes the picture's proportions within the margins, so that nothing of it is cut away; else it fills
 *              them
 */
@JsonTypeName("split-picture")
public record SplitPicture(String picture, Pattern pattern, @Typed.Switch boolean whole) implements VistaEdit {
    @Override
    public Sheet apply(Sheet before) {
        Picture chosen = before.picture(picture);
        boolean free = before.panels().stream().allMatch(p -> p.content().isEmpty());
        LayOut lay = new LayOut(pattern, free ? LayOut.Where.REPLACE : LayOut.Where.ADD, List.of(), Optional.empty(),
                Optional.of(box(before)), false);
        Sheet laid = lay.apply(before);
        List<String> panels = laid.layouts().get(laid.layouts().size() - 1).panels();
        return panels.size() > 1 ? new MakeVista(panels, chosen.id()).apply(laid) : new FillPanels(panels, chosen.id()).apply(laid);
    }

    /** Where the pattern is laid: in the middle of what the margins leave. */
    private Box box(Sheet sheet) {
        Box area = sheet.area().orElseThrow(() -> new BadInput("left", "These margins leave nothing of the sheet."));
        if (!whole) return area;
        Picture chosen = sheet.picture(picture);
        double scale = Math.min(area.width() / chosen.width(), area.height() / chosen.height());
        return Box.around(area.centre(), chosen.width() * scale, chosen.height() * scale);
    }

    /** How many panels splitting so makes, what it loses of the picture or leaves of the sheet, and what would be better. */
    public String says(Sheet sheet, Sheet after) {
        int count = after.layouts().get(after.layouts().size() - 1).panels().size();
        return (count == 1 ? "1 panel. " : count + " panels. ") + loss(sheet, hidden(sheet, after));
    }

    /** How much of what is seen of the picture lies behind the gaps. */
    private double hidden(Sheet sheet, Sheet after) {
        List<Element> panels = after.layouts().get(after.layouts().size() - 1).panels().stream().map(after::element).toList();
        Box box = box(sheet);
        return 1 - panels.stream().mapToDouble(p -> Polygons.area(p.pathOnSheet())).sum() / (box.width() * box.height());
    }

    private String loss(Sheet sheet, double hidden) {
        Picture chosen = sheet.picture(picture);
        Box area = sheet.area().orElse(sheet.bounds());
        double share = (double) chosen.width() / chosen.height() / (area.width() / area.height());
        double cut = 1 - Math.min(share, 1 / share);
        double free = share > 1 ? area.height() - area.width() / chosen.width() * chosen.height()
                : area.width() - area.height() / chosen.height() * chosen.width();
        String places = share > 1 ? " above and below together." : " left and right together.";
        String left = sheet.length(free) + " stay free" + places;
        boolean gaps = hidden >= 0.0005;
        String behind = gaps ? " The gaps hide " + Unit.percent(hidden) + " of it." : "";
        if (cut < 0.005) return "The picture fits the margins as it is." + behind;
        String percent = Math.round(cut * 100) + " % of the picture";
        if (whole) return (gaps ? "Nothing is cut off at its edges; " : "Nothing is cut away; ") + left + behind;
        return percent + " is cut away" + (cut > 0.2 ? ": it is " + (share > 1 ? "much wider" : "much higher")
                + " than the margins. The whole picture fits better; " + left
                : ". The whole picture would lose nothing" + (gaps ? " at its edges; " : "; ") + left) + behind;
    }

    @Override
    public List<String> selected(Sheet before, Sheet after, List<String> selected) {
        return Added.to(before, after);
    }

    @Override
    public Foreseen foreseen(Sheet before) {
        Sheet after = on(before);
        return new Foreseen(before, before, Optional.of(says(before, after)), List.of(), Optional.empty());
    }

    @Override
    public String title(Sheet before) {
        return "Split " + before.picture(picture).name();
    }
}
