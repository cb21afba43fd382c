package plainlantern.studio.sheets;

import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.Set;
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
import org.springframework.web.bind.annotation.RequestParam;
import plainlantern.asking.BadInput;
import plainlantern.series.Filling;
import plainlantern.sheet.Fields;
import plainlantern.series.Place;
import plainlantern.series.Shipped;
import plainlantern.sheet.Sheet;
import plainlantern.studio.account.Member;
import plainlantern.studio.web.NotFound;

/** Keeping layouts as templates, and beginning sheets with them. */
@Controller
public class TemplateController {
    private final Sheets sheets;
    private final Templates templates;

    TemplateController(Sheets sheets, Templates templates) {
        this.sheets = sheets;
        this.templates = templates;
    }

    /** Which of a sheet's pictures stay. */
    @GetMapping("/sheets/{id}/template")
    String ask(@AuthenticationPrincipal Member member, @PathVariable UUID id, Model model) {
        Sheet sheet = sheets.open(id, member.id()).sheet();
        return asked(member, id, sheet, sheet.name(), Filling.staying(sheet), model);
    }

    private String asked(Member member, UUID id, Sheet sheet, String name, Set<String> stays, Model model) {
        model.addAttribute("member", member);
        model.addAttribute("id", id);
        model.addAttribute("sheet", sheet);
        model.addAttribute("name", name);
        model.addAttribute("stays", stays);
        model.addAttribute("places", Place.every(sheet).size());
        model.addAttribute("fields", List.copyOf(Fields.in(sheet)));
        model.addAttribute("card", sheets.card(id, member.id()));
        return "sheets/template";
    }

    @PostMapping("/sheets/{id}/template")
    String keep(@AuthenticationPrincipal Member member, @PathVariable UUID id, @RequestParam String name,
            @RequestParam(defaultValue = "") Set<String> stays, Model model) {
        try {
            templates.keep(member.id(), id, name, stays);
            return "redirect:/sheets";
        } catch (BadInput problem) {
            model.addAttribute("problem", problem.getMessage());
            return asked(member, id, sheets.open(id, member.id()).sheet(), name, stays, model);
        }
    }

    /** A new sheet that begins with a template. */
    @PostMapping("/templates")
    String begin(@AuthenticationPrincipal Member member, @RequestParam Optional<String> template) {
        return "redirect:/sheets/" + templates.begin(member.id(), template.orElseThrow(NotFound::new));
    }

    /** One that comes with the application, painted small. */
    @GetMapping("/templates/{kind}/picture")
    ResponseEntity<byte[]> picture(@PathVariable String kind) {
        byte[] jpeg = templates.picture(Shipped.find(kind).orElseThrow(NotFound::new));
        return ResponseEntity.ok().contentType(MediaType.IMAGE_JPEG).cacheControl(CacheControl.maxAge(Duration.ofDays(1)).cachePrivate())
                .body(jpeg);
    }
}
