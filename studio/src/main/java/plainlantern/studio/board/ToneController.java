package plainlantern.studio.board;

import java.util.List;
import java.util.Locale;
import java.util.UUID;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import plainlantern.editing.toning.Aim;
import plainlantern.sheet.Sheet;
import plainlantern.studio.account.Member;
import plainlantern.studio.sheets.Sheets;
import plainlantern.studio.shelf.Pictures;
import plainlantern.treating.Histogram;

/** What the Tone stage asks of the pixels. */
@RestController
@RequestMapping("/sheets/{id}")
public class ToneController {
    /** A share of which less is not worth a word. */
    private static final double LITTLE = 0.0005;
    private static final int HEIGHT = 32;

    private final Sheets sheets;
    private final Pictures pictures;

    ToneController(Sheets sheets, Pictures pictures) {
        this.sheets = sheets;
        this.pictures = pictures;
    }

    /** @param paths of red, green and blue, in a box of 64 by 32 */
    record Seen(List<String> paths, String says) {}

    /** How the values of a picture are spread as it is seen: of the panels' first, or of the one behind all where there is none. */
    @GetMapping("/histogram")
    Seen histogram(@AuthenticationPrincipal Member member, @PathVariable UUID id, @RequestParam(defaultValue = "") List<String> panels,
            @RequestParam(defaultValue = "-1") int layer, @RequestParam(defaultValue = "false") boolean whole) {
        Sheet sheet = sheets.open(id, member.id()).sheet();
        Aim.Meant meant = new Aim(panels, layer, whole, panels.isEmpty()).first(sheet);
        Histogram histogram = pictures.histogram(member.id(), meant.picture(), meant.treatment());
        // A few very full steps, such as a plain background, would flatten all others.
        int[] all = Stream.of(histogram.counts()).flatMapToInt(IntStream::of).sorted().toArray();
        int most = Math.max(1, all[all.length - 1 - all.length / 50]);
        return new Seen(Stream.of(histogram.counts()).map(counts -> path(counts, most)).toList(), says(histogram));
    }

    private static String path(int[] counts, int most) {
        StringBuilder out = new StringBuilder("M0 ").append(HEIGHT);
        for (int i = 0; i < counts.length; i++) {
            out.append(String.format(Locale.ROOT, "V%.1fH%d", HEIGHT * (1 - Math.min(1, (double) counts[i] / most)), i + 1));
        }
        return out.append('V').append(HEIGHT).append('Z').toString();
    }

    private static String says(Histogram histogram) {
        if (histogram.dark() < LITTLE && histogram.light() < LITTLE) return "Nothing is lost in black or white.";
        return String.format(Locale.ROOT, "Cut off: %.1f %% black, %.1f %% white.", histogram.dark() * 100, histogram.light() * 100);
    }
}
