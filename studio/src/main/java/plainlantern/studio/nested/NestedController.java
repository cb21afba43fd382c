package plainlantern.studio.nested;

import java.util.Optional;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import plainlantern.asking.BadInput;
import plainlantern.sheet.Picture;
import plainlantern.studio.account.Member;
import plainlantern.studio.sheets.SheetStore;
import plainlantern.studio.sheets.Sheets;

/** Brings sheets as pictures. */
@Controller
public class NestedController {
    private static final int MOST = 200;

    private final NestedSheets nested;
    private final Sheets sheets;
    private final SheetStore rows;

    NestedController(NestedSheets nested, Sheets sheets, SheetStore rows) {
        this.nested = nested;
        this.sheets = sheets;
        this.rows = rows;
    }

    /** The member's other sheets. */
    @GetMapping("/sheets/{id}/nested")
    String others(@AuthenticationPrincipal Member member, @PathVariable UUID id, Model model) {
        sheets.version(id, member.id());
        model.addAttribute("others", rows.latest(member.id(), MOST).stream().filter(row -> !row.id().equals(id)).toList());
        return "nested/list :: list";
    }

    /** Draws another sheet; the page then puts the picture on the shelf. */
    @PostMapping("/sheets/{id}/nested")
    @ResponseBody
    Picture bring(@AuthenticationPrincipal Member member, @PathVariable UUID id, @RequestParam Optional<UUID> sheet) {
        sheets.version(id, member.id());
        return nested.bring(member.id(), id, sheet.orElseThrow(() -> new BadInput("sheet", "Choose a sheet.")));
    }

    /** The picture stays as it is from now on. */
    @PostMapping("/sheets/{id}/nested/{sha}/settle")
    @ResponseBody
    void settle(@AuthenticationPrincipal Member member, @PathVariable UUID id, @PathVariable String sha) {
        sheets.version(id, member.id());
        nested.settle(member.id(), sha);
    }
}
