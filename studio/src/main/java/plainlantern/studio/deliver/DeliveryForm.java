package plainlantern.studio.deliver;

import java.util.List;
import java.util.UUID;
import plainlantern.asking.BadInput;
import plainlantern.asking.Choice;
import plainlantern.asking.Lengths;
import plainlantern.rendering.Delivery.Chroma;
import plainlantern.rendering.Delivery.Edges;
import plainlantern.rendering.Delivery.Packing;
import plainlantern.rendering.Delivery.Parts;
import plainlantern.rendering.Delivery;
import plainlantern.rendering.FileNames;
import plainlantern.rendering.Format;
import plainlantern.scene.Extent;

/**
 * What a form says of a delivery, as it was typed; what it does not say is as usual.
 *
 * @param turned   whether panels cut to their shape keep their turn
 * @param scale    per cent
 * @param atMost   kB; empty for any size
 * @param words    "text" or "outlines"
 * @param selected ids, with commas between them
 * @param more     the ids of further sheets
 * @param sets     the ids of kept settings, which then count instead of all others
 */
record DeliveryForm(String format, String extent, String turned, String ppi, String scale, String paper, String bleed, String marks,
        String quality, String chroma,
                           String atMost, String words, String linked, String names, String selected, List<UUID> more, List<String> sets) {
    Delivery delivery() {
        Delivery usual = Delivery.of(Format.of(said(format) ? format : "png"), Lengths.number(ppi, "ppi"));
        // A field that the format has no use for is not looked at.
        boolean jpeg = usual.format() == Format.JPEG;
        boolean lossy = jpeg || usual.format() == Format.WEBP || !usual.format().pixels();
        Edges edges = new Edges(said(paper), said(bleed), said(marks) && usual.format() == Format.PDF);
        Packing packing = new Packing(lossy && said(quality) ? whole(quality) : usual.quality(),
                jpeg && said(chroma) ? chosen("chroma", chroma, Chroma.values()) : usual.chroma(), jpeg && said(atMost)
                        ? kilobytes(atMost) : 0);
        Parts parts = new Parts(said(words) ? words.equals("text") : usual.live(), said(linked) && usual.format() == Format.SVG);
        return new Delivery(usual.format(), extent(usual), usual.ppi(), said(scale) ? Lengths.number(scale, "scale") / 100
                : 1, edges, packing, parts,
                said(names) ? names : FileNames.USUAL);
    }

    private Extent extent(Delivery usual) {
        Extent meant = said(extent) ? chosen("extent", extent, Extent.values()) : usual.extent();
        return meant == Extent.FORMS && said(turned) ? Extent.TURNED : meant;
    }

    List<String> chosen() {
        return said(selected) ? List.of(selected.split(",")) : List.of();
    }

    private static int whole(String quality) {
        double number = Lengths.number(quality, "quality");
        BadInput.unless(number >= 1 && number <= 100, "quality", "Quality goes from 1 to 100.");
        return (int) Math.round(number);
    }

    private static long kilobytes(String text) {
        double number = Lengths.number(text.replaceFirst("(?i)\\s{0,9}kb\\s{0,9}$", ""), "atMost");
        BadInput.unless(number >= 1 && number <= 1e7, "atMost", "A file's bound goes from 1 to 10,000,000 kB.");
        return Math.round(number * 1000);
    }

    private static boolean said(String value) {
        return value != null && !value.isBlank() && !value.equals("false");
    }

    private static <T extends Choice> T chosen(String field, String told, T[] all) {
        return Choice.called(told, all).orElseThrow(() -> new BadInput(field, "“" + told + "” is not one of the choices."));
    }
}
