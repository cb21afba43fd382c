package plainlantern.studio.sheets;

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
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import plainlantern.asking.BadInput;
import plainlantern.editing.sheet.RenameSheet;
import plainlantern.series.Shipped;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.SheetSize;
import plainlantern.studio.account.Member;
import plainlantern.studio.jobs.ShortJobs;
import plainlantern.studio.web.NotFound;

/** "My sheets": the cards, and what can be done to a sheet as a whole. */
@Controller
public class SheetsController {
    private static final int MOST_TEMPLATES = 60;

    private final Sheets sheets;
    private final Thumbnails thumbnails;
    private final ShortJobs jobs;
    private final List<Aside> asides;

    SheetsController(Sheets sheets, Thumbnails thumbnails, ShortJobs jobs, List<Aside> asides) {
        this.sheets = sheets;
        this.thumbnails = thumbnails;
        this.jobs = jobs;
        this.asides = asides;
    }

    @GetMapping("/sheets")
    String list(@AuthenticationPrincipal Member member, Model model, @RequestParam(defaultValue = "") String find,
            @RequestParam(defaultValue = "") String order,
                @RequestParam(defaultValue = "1") int page, @RequestParam(required = false) String deleted,
                        @RequestParam(required = false) String welcome) {
        Listing wanted = Listing.of(find, order, page, deleted != null);
        int count = sheets.count(member.id(), wanted);
        int pages = Math.max(1, (count + Listing.PAGE - 1) / Listing.PAGE);
        Listing listing = wanted.page() <= pages ? wanted : new Listing(wanted.find(), wanted.order(), pages, wanted.away());
        List<Card> cards = sheets.cards(member.id(), listing);
        Thumbnails.draw(cards, jobs);
        model.addAttribute("cards", cards);
        model.addAttribute("listing", listing);
        model.addAttribute("orders", Listing.Order.values());
        model.addAttribute("count", count);
        model.addAttribute("pages", pages);
        model.addAttribute("welcome", welcome != null);
        model.addAttribute("member", member);
        model.addAttribute("sizes", SheetSize.values());
        model.addAttribute("shipped", Shipped.all());
        List<Card> templates = sheets.templates(member.id(), MOST_TEMPLATES);
        Thumbnails.draw(templates, jobs);
        model.addAttribute("templates", templates);
        for (Aside aside : asides) aside.show(member, model);
        return "sheets/list";
    }

    @PostMapping("/sheets")
    String make(@AuthenticationPrincipal Member member, @ModelAttribute NewSheet wanted, Model model) {
        try {
            return "redirect:/sheets/" + sheets.add(member.id(), wanted.sheet(), "New sheet");
        } catch (BadInput problem) {
            model.addAttribute("wanted", wanted);
            model.addAttribute("problem", problem);
            return list(member, model, "", "", 1, null, null);
        }
    }

    @PostMapping("/sheets/{id}/rename")
    String rename(@AuthenticationPrincipal Member member, @PathVariable UUID id, @RequestParam String name, Model model) {
        return tried(member, id, model, () -> sheets.apply(id, member.id(), sheet -> new RenameSheet(name)));
    }

    @PostMapping("/sheets/{id}/duplicate")
    String duplicate(@AuthenticationPrincipal Member member, @PathVariable UUID id, Model model) {
        Sheet original = sheets.open(id, member.id()).sheet();
        String name = original.name().length() > 110 ? original.name().substring(0, 110) : original.name();
        try {
            sheets.add(member.id(), original.named(name + " copy"), "Duplicate sheet");
            return "redirect:/sheets";
        } catch (BadInput problem) {
            model.addAttribute("refused", problem.getMessage());
            return list(member, model, "", "", 1, null, null);
        }
    }

    @PostMapping("/sheets/{id}/put-away")
    String putAway(@AuthenticationPrincipal Member member, @PathVariable UUID id, Model model) {
        sheets.putAway(id, member.id());
        model.addAttribute("card", sheets.card(id, member.id()));
        return "sheets/card :: gone";
    }

    @PostMapping("/sheets/{id}/bring-back")
    String bringBack(@AuthenticationPrincipal Member member, @PathVariable UUID id, Model model) {
        sheets.bringBack(id, member.id());
        return fragment(member, id, model);
    }

    /** Of a sheet that was put away. */
    @PostMapping("/sheets/{id}/remove")
    @ResponseBody
    String remove(@AuthenticationPrincipal Member member, @PathVariable UUID id) {
        sheets.remove(id, member.id());
        return "";
    }

    /** Back to the last step that can be read. */
    @PostMapping("/sheets/{id}/recover")
    String recover(@AuthenticationPrincipal Member member, @PathVariable UUID id, Model model) {
        return tried(member, id, model, () -> sheets.recover(id, member.id()));
    }

    private String tried(Member member, UUID id, Model model, Runnable change) {
        try {
            change.run();
        } catch (BadInput problem) {
            model.addAttribute("problem", problem.getMessage());
        }
        return fragment(member, id, model);
    }

    private String fragment(Member member, UUID id, Model model) {
        Card card = sheets.card(id, member.id());
        Thumbnails.draw(List.of(card), jobs);
        model.addAttribute("card", card);
        return "sheets/card :: card";
    }

    /** The sheet painted small; the address carries the version, so a browser may keep it for ever. */
    @GetMapping("/sheets/{id}/thumbnail")
    ResponseEntity<byte[]> thumbnail(@AuthenticationPrincipal Member member, @PathVariable UUID id,
            @RequestParam(defaultValue = "0") long v) {
        byte[] image = thumbnails.find(id, member.id(), v).orElseThrow(NotFound::new);
        return ResponseEntity.ok().contentType(image[0] == (byte) 0xFF ? MediaType.IMAGE_JPEG : MediaType.IMAGE_PNG)
                .cacheControl(CacheControl.maxAge(Duration.ofDays(365)).cachePrivate().immutable()).body(image);
    }

    /** A thumbnail that there is now. */
    record Drawn(UUID id, long version, boolean damaged, String found, String weight) {}

    /** Those of the sheets that have been drawn, for a page that waits for them. */
    @PostMapping("/thumbnails")
    @ResponseBody
    List<Drawn> drawn(@AuthenticationPrincipal Member member, @RequestParam List<UUID> of) {
        BadInput.unless(of.size() <= 2 * Listing.PAGE, "of", "That are too many at once.");
        return thumbnails.drawn(member.id(), of).stream().map(card -> new Drawn(card.id(), card.version(), card.damaged(), card.found(),
                card.weight())).toList();
    }
}
