package plainlantern.studio.proofs;

import java.util.List;
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
import plainlantern.studio.account.Member;
import plainlantern.studio.series.SeriesStore;
import plainlantern.studio.sheets.Sheets;

/** What a designer does with links and notes. */
@Controller
class ProofDeskController {
    private final Proofs proofs;
    private final Sheets sheets;
    private final SeriesStore series;

    ProofDeskController(Proofs proofs, Sheets sheets, SeriesStore series) {
        this.proofs = proofs;
        this.sheets = sheets;
        this.series = series;
    }

    /** The links to a sheet, those of its series included, and the notes on it. */
    @GetMapping("/sheets/{id}/proofs")
    String ofSheet(@AuthenticationPrincipal Member member, @PathVariable UUID id, Model model) {
        sheets.version(id, member.id());
        model.addAttribute("links", proofs.links(member.id(), id).stream().filter(Proof::open).toList());
        model.addAttribute("notes", proofs.on(member.id(), id));
        return "proofs/desk :: desk";
    }

    @PostMapping("/sheets/{id}/proofs")
    String linkSheet(@AuthenticationPrincipal Member member, @PathVariable UUID id, @RequestParam(defaultValue = "") String days,
            @RequestParam(defaultValue = "") String word, Model model) {
        sheets.version(id, member.id());
        proofs.link(member.id(), Optional.of(id), Optional.empty(), days, word);
        return ofSheet(member, id, model);
    }

    @PostMapping("/sheets/{id}/proofs/{set}/withdraw")
    String withdraw(@AuthenticationPrincipal Member member, @PathVariable UUID id, @PathVariable UUID set, Model model) {
        sheets.version(id, member.id());
        proofs.withdraw(member.id(), set);
        return ofSheet(member, id, model);
    }

    /** How many notes on it wait. */
    @GetMapping("/sheets/{id}/proofs/waiting")
    @ResponseBody
    int waiting(@AuthenticationPrincipal Member member, @PathVariable UUID id) {
        sheets.version(id, member.id());
        return proofs.waiting(member.id(), List.of(id));
    }

    @PostMapping("/sheets/{id}/notes/{set}")
    String answer(@AuthenticationPrincipal Member member, @PathVariable UUID id, @PathVariable UUID set,
            @RequestParam(defaultValue = "") String answer, @RequestParam(defaultValue = "false") boolean done, Model model) {
        sheets.version(id, member.id());
        proofs.answer(member.id(), id, set, answer, done);
        return ofSheet(member, id, model);
    }

    @PostMapping("/sheets/{id}/notes/{set}/forget")
    String remove(@AuthenticationPrincipal Member member, @PathVariable UUID id, @PathVariable UUID set, Model model) {
        sheets.version(id, member.id());
        proofs.remove(member.id(), id, set);
        return ofSheet(member, id, model);
    }

    @GetMapping("/series/{id}/proofs")
    String ofSeries(@AuthenticationPrincipal Member member, @PathVariable UUID id, Model model) {
        List<UUID> all = series.owned(id, member.id());
        model.addAttribute("links", proofs.links(member.id(), id).stream().filter(Proof::open).toList());
        model.addAttribute("waiting", proofs.waiting(member.id(), all));
        return "proofs/desk :: series";
    }

    @PostMapping("/series/{id}/proofs")
    String linkSeries(@AuthenticationPrincipal Member member, @PathVariable UUID id, @RequestParam(defaultValue = "") String days,
            @RequestParam(defaultValue = "") String word, Model model) {
        series.owned(id, member.id());
        proofs.link(member.id(), Optional.empty(), Optional.of(id), days, word);
        return ofSeries(member, id, model);
    }

    @PostMapping("/series/{id}/proofs/{set}/withdraw")
    String withdrawSeries(@AuthenticationPrincipal Member member, @PathVariable UUID id, @PathVariable UUID set, Model model) {
        series.owned(id, member.id());
        proofs.withdraw(member.id(), set);
        return ofSeries(member, id, model);
    }
}
