package plainlantern.studio.board;

import java.awt.image.BufferedImage;
import java.time.Duration;
import java.util.UUID;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import plainlantern.asking.BadInput;
import plainlantern.asking.Unit;
import plainlantern.checking.Report;
import plainlantern.checking.Weight;
import plainlantern.picture.Encoder;
import plainlantern.scene.Scene;
import plainlantern.sheet.Sheet;
import plainlantern.studio.account.Member;
import plainlantern.studio.sheets.CurrentSheets;
import plainlantern.studio.sheets.KeepStore;
import plainlantern.studio.sheets.Opened;
import plainlantern.studio.sheets.Sheets;
import plainlantern.studio.shelf.Paints;
import plainlantern.studio.shelf.Telling;

/** The Check stage: the faults of a sheet, and the delivery's own pixels. */
@Controller
@RequestMapping("/sheets/{id}")
public class CheckController {
    private static final int LARGEST = 1600;

    private final Sheets sheets;
    private final KeepStore keeps;
    private final Paints paints;
    private final Telling telling;
    private final CurrentSheets current;

    CheckController(Sheets sheets, KeepStore keeps, Paints paints, Telling telling, CurrentSheets current) {
        this.current = current;
        this.sheets = sheets;
        this.keeps = keeps;
        this.paints = paints;
        this.telling = telling;
    }

    /** How many there are, for the trail, and what Hand over says of them. */
    record Counts(long version, long faults, long warnings, String says) {}

    @GetMapping("/faults")
    @ResponseBody
    Counts counts(@AuthenticationPrincipal Member member, @PathVariable UUID id) {
        Opened opened = sheets.open(id, member.id());
        Report report = Report.found(opened.sheet(), telling.of(member.id(), opened.sheet()));
        return new Counts(opened.version(), report.count(Weight.FAULT), report.count(Weight.WARNING), report.warning());
    }

    /** All of them, for the bench. */
    @GetMapping("/check")
    String check(@AuthenticationPrincipal Member member, @PathVariable UUID id, Model model) {
        Sheet sheet = sheets.open(id, member.id()).sheet();
        model.addAttribute("check", CheckView.of(Report.of(sheet, telling.of(member.id(), sheet))));
        return "board/faults :: faults";
    }

    /**
     * A part of the sheet as it is delivered at its own ppi, {@code across} by {@code down} pixels around a place in mm, as PNG; {@code
     * kept} for its last kept version.
     */
    @GetMapping("/pixels")
    ResponseEntity<byte[]> pixels(@AuthenticationPrincipal Member member, @PathVariable UUID id, @RequestParam double x,
            @RequestParam double y, @RequestParam int across, @RequestParam int down,
                                  @RequestParam(defaultValue = "false") boolean kept) {
        BadInput.unless(across > 0 && across <= LARGEST && down > 0 && down <= LARGEST, "pixels", "A view has 1 to " + LARGEST
                + " pixels a side.");
        Sheet sheet = sheets.open(id, member.id()).sheet();
        BadInput.unless(sheet.reaches(x, y), "pixels", "That is beside the sheet.");
        double pixel = Unit.MM_PER_INCH / sheet.ppi();
        Sheet seen = kept ? keeps.last(id).orElseThrow(() -> new BadInput("pixels", "No version is saved yet.")) : sheet;
        boolean nests = current.nests(member.id(), seen);
        BufferedImage part = paints.pixels(member.id(), Scene.of(kept ? seen : current.current(member.id(), seen)), sheet.ppi(),
                (int) Math.floor(x / pixel - across / 2.0),
                (int) Math.floor(y / pixel - down / 2.0), across, down);
        return ResponseEntity.ok().contentType(MediaType.IMAGE_PNG)
                .cacheControl(nests ? CacheControl.noStore() : CacheControl.maxAge(Duration.ofMinutes(10)).cachePrivate())
                .body(Encoder.png(part, sheet.ppi()));
    }
}
