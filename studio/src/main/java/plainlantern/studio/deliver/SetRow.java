package plainlantern.studio.deliver;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import plainlantern.outline.PathData;
import plainlantern.rendering.Delivery.Chroma;
import plainlantern.rendering.Delivery;
import plainlantern.rendering.FileNames;
import plainlantern.rendering.Format;
import plainlantern.scene.Extent;
import plainlantern.sheet.SheetJson;

/**
 * Settings under a name.
 *
 * @param own whether the account made them; the others come with the application
 */
public record SetRow(String id, String name, Delivery settings, boolean own) {
    /**
     * What people mostly hand over: a picture for the screen, a page for the press (300 ppi, bleed and marks: common practice), the slices
     * of a wall.
     */
    static final List<SetRow> USUAL = List.of(
            new SetRow("screen", "Screen", Delivery.of(Format.JPEG, 144).withQuality(85, Chroma.BY_QUALITY, 0), false),
            new SetRow("press", "Press", Delivery.of(Format.PDF, 300).withEdges(true, true), false),
            new SetRow("slices", "Slices", Delivery.of(Format.PNG, 300).withPaper(false).of(Extent.BOXES, FileNames.USUAL), false));

    /** The form's fields by their names, as JSON. */
    public String form() {
        Delivery s = settings;
        Map<String, String> fields = new LinkedHashMap<>();
        fields.put("format", s.format().label());
        fields.put("extent", (s.extent() == Extent.TURNED ? Extent.FORMS : s.extent()).label());
        if (s.extent() == Extent.TURNED) fields.put("turned", "true");
        fields.put("ppi", PathData.number(s.ppi(), 3));
        fields.put("scale", PathData.number(s.scale() * 100, 3) + " %");
        fields.put("quality", Integer.toString(s.quality()));
        fields.put("chroma", s.chroma().label());
        fields.put("atMost", s.atMost() == 0 ? "" : Long.toString(s.atMost() / 1000));
        fields.put("names", s.names());
        if (s.paper()) fields.put("paper", "true");
        if (s.bleed()) fields.put("bleed", "true");
        if (s.marks()) fields.put("marks", "true");
        if (s.live()) fields.put("words", "text");
        if (s.linked()) fields.put("linked", "true");
        return SheetJson.MAPPER.writeValueAsString(fields);
    }

    /** "PDF, 300 ppi, bleed, cut marks". */
    public String told() {
        StringBuilder told = new StringBuilder(settings.format().title() + ", " + Math.round(settings.ppi()) + " ppi");
        if (settings.format() == Format.JPEG || settings.format() == Format.WEBP) told.append(", quality ").append(settings.quality());
        if (settings.scale() != 1) told.append(", ").append(Math.round(settings.scale() * 100)).append(" %");
        if (settings.extent() == Extent.SELECTION) told.append(", selection");
        if (settings.extent().apart()) told.append(", each panel");
        if (settings.bleed()) told.append(", bleed");
        if (settings.marks()) told.append(", cut marks");
        return told.toString();
    }
}
