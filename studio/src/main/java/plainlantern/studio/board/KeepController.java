package plainlantern.studio.board;

import java.time.Duration;
import java.util.List;
import java.util.UUID;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import plainlantern.asking.BadInput;
import plainlantern.editing.sheet.ReturnTo;
import plainlantern.picture.Encoder;
import plainlantern.scene.Scene;
import plainlantern.sheet.Sheet;
import plainlantern.studio.account.Member;
import plainlantern.studio.sheets.Change;
import plainlantern.studio.sheets.CurrentSheets;
import plainlantern.studio.sheets.KeepRow;
import plainlantern.studio.sheets.KeepStore;
import plainlantern.studio.sheets.Sheets;
import plainlantern.studio.shelf.Paints;
import plainlantern.studio.web.NotFound;

/** Versions of a sheet that are saved under a name: made, looked at beside the sheet as it is, returned to. */
@Controller
@RequestMapping("/sheets/{id}")
public class KeepController {
    private static final int MOST = 60;
    private static final int LARGEST = 1400;

    private final Sheets sheets;
    private final KeepStore keeps;
    private final Paints paints;
    private final Answers answers;
    private final CurrentSheets current;

    KeepController(Sheets sheets, KeepStore keeps, Paints paints, Answers answers, CurrentSheets current) {
        this.current = current;
        this.sheets = sheets;
        this.keeps = keeps;
        this.paints = paints;
        this.answers = answers;
    }

    /** A kept version as the list shows it. */
    public record Kept(UUID id, String name, String when) {
        static Kept of(KeepRow row) {
            return new Kept(row.id(), row.name(), row.madeAt().toInstant().toString());
        }
    }

    /** What the page looks at when it goes back. */
    record Looked(String stage, List<String> selected) {}

    @GetMapping("/keeps")
    String list(@AuthenticationPrincipal Member member, @PathVariable UUID id, Model model) {
        model.addAttribute("version", sheets.version(id, member.id()));
        model.addAttribute("sheet", id);
        model.addAttribute("keeps", keeps.list(id).stream().map(Kept::of).toList());
        return "board/keeps :: keeps";
    }

    @PostMapping("/keeps")
    String keep(@AuthenticationPrincipal Member member, @PathVariable UUID id, @RequestParam String name, Model model) {
        sheets.version(id, member.id());
        String said = name.strip();
        BadInput.unless(!said.isEmpty() && said.length() <= 80, "name", "A version needs a name of at most 80 letters.");
        BadInput.unless(keeps.list(id).size() < MOST, "name", "A sheet keeps at most " + MOST + " versions. Delete one first.");
        sheets.keep(id, member.id(), said);
        return list(member, id, model);
    }

    @PostMapping("/keeps/{keep}/forget")
    String forget(@AuthenticationPrincipal Member member, @PathVariable UUID id, @PathVariable UUID keep, Model model) {
        sheets.forget(id, member.id(), keep);
        return list(member, id, model);
    }

    @PostMapping("/keeps/{keep}/return")
    @ResponseBody
    Answer back(@AuthenticationPrincipal Member member, @PathVariable UUID id, @PathVariable UUID keep, @RequestBody Looked looked) {
        sheets.version(id, member.id());
        ReturnTo edit = new ReturnTo(keeps.find(id, keep).orElseThrow(NotFound::new).name(), keeps.document(id, keep)
                .orElseThrow(NotFound::new));
        Change change = sheets.apply(id, member.id(), sheet -> edit);
        return answers.whole(change.after(), new Looking(Stage.of(looked.stage()), false, -1), looked.selected());
    }

    /** A kept version painted, its longer side so many pixels. */
    @GetMapping("/keeps/{keep}/painted")
    ResponseEntity<byte[]> painted(@AuthenticationPrincipal Member member, @PathVariable UUID id, @PathVariable UUID keep,
            @RequestParam(defaultValue = "320") int side) {
        sheets.version(id, member.id());
        return painted(keeps.document(id, keep).orElseThrow(NotFound::new), member, side);
    }

    /** The sheet as it is, likewise. */
    @GetMapping("/painted")
    ResponseEntity<byte[]> painted(@AuthenticationPrincipal Member member, @PathVariable UUID id,
            @RequestParam(defaultValue = "320") int side) {
        Sheet sheet = sheets.open(id, member.id()).sheet();
        if (!current.nests(member.id(), sheet)) return painted(sheet, member, side);
        ResponseEntity<byte[]> now = painted(current.current(member.id(), sheet), member, side);
        return ResponseEntity.ok().contentType(MediaType.IMAGE_PNG).cacheControl(CacheControl.noStore()).body(now.getBody());
    }

    private ResponseEntity<byte[]> painted(Sheet sheet, Member member, int side) {
        byte[] png = Encoder.png(paints.small(member.id(), Scene.of(sheet), Math.max(1, Math.min(LARGEST, side))), 96);
        return ResponseEntity.ok().contentType(MediaType.IMAGE_PNG).cacheControl(CacheControl.maxAge(Duration.ofDays(1)).cachePrivate())
                .body(png);
    }
}
