package plainlantern.studio.board;

import java.awt.image.BufferedImage;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import plainlantern.asking.BadInput;
import plainlantern.asking.Unit;
import plainlantern.geometry.Box;
import plainlantern.geometry.Point;
import plainlantern.rendering.Contrast;
import plainlantern.scene.Scene;
import plainlantern.sheet.Colour;
import plainlantern.sheet.Sheet;
import plainlantern.studio.account.Member;
import plainlantern.studio.sheets.Sheets;
import plainlantern.studio.shelf.Paints;
import plainlantern.studio.shelf.Pictures;

/** What the Dress stage asks of the pixels: colours, and how well words can be read. */
@RestController
@RequestMapping("/sheets/{id}")
public class DressController {
    private static final int COLOURS = 6;

    private final Sheets sheets;
    private final Pictures pictures;
    private final Paints paints;

    DressController(Sheets sheets, Pictures pictures, Paints paints) {
        this.sheets = sheets;
        this.pictures = pictures;
        this.paints = paints;
    }

    /**
     * How well a caption's words stand out.
     *
     * @param ratio   as people read it, such as "3.2"
     * @param opacity of the plate that would be enough, a share; absent where none is
     * @param colour  of that plate
     */
    record Legible(String ratio, boolean enough, Optional<Double> opacity, String colour) {}

    @GetMapping("/contrast")
    Map<String, Legible> contrast(@AuthenticationPrincipal Member member, @PathVariable UUID id, @RequestParam String panel) {
        Sheet sheet = sheet(member, id);
        return sheet.element(panel).caption().flatMap(caption -> paints.look(member.id(),
                previews -> Contrast.of(sheet, caption, previews))).map(reading -> Map.of("reading",
                new Legible(String.format(Locale.ROOT, "%.1f", Math.floor(reading.ratio() * 10) / 10), reading.ratio() >= Contrast.ENOUGH,
                        reading.plate(), reading.colour().told()))).orElse(Map.of());
    }

    /** The colour of one spot of the sheet, mm, as it is delivered at the sheet's own ppi. */
    @GetMapping("/colour")
    Colour colour(@AuthenticationPrincipal Member member, @PathVariable UUID id, @RequestParam double x, @RequestParam double y) {
        Sheet sheet = sheet(member, id);
        BadInput.unless(sheet.reaches(x, y), "colour", "That is beside the sheet.");
        double pixel = Unit.MM_PER_INCH / sheet.ppi();
        BufferedImage spot = paints.part(member.id(), Scene.of(sheet), Box.around(new Point(x, y), pixel, pixel), sheet.ppi());
        return new Colour(spot.getRGB(0, 0) & 0xFFFFFF);
    }

    /** The leading colours of a picture of the shelf. */
    @GetMapping("/palette")
    List<Colour> palette(@AuthenticationPrincipal Member member, @PathVariable UUID id, @RequestParam String picture) {
        return pictures.palette(member.id(), sheet(member, id).picture(picture).id(), COLOURS);
    }

    private Sheet sheet(Member member, UUID id) {
        return sheets.open(id, member.id()).sheet();
    }
}
