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
import plainlantern.editing.RenameSheet;
import plainlantern.geometry.BadInput;
import plainlantern.picture.Encoder;
import plainlantern.rendering.RasterPainter;
import plainlantern.scene.Scene;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.SheetSize;
import plainlantern.studio.account.Member;
import plainlantern.studio.shelf.Pictures;

/** "My sheets": the cards, and what can be done to a sheet as a whole. */
@Controller
public class SheetsController {
    /** A thumbnail's longer side in pixels: the card's, twice, for dense screens. */
    private static final double THUMBNAIL = 560;

    private final SheetStore store;
    private final Sheets sheets;
    private final Pictures pictures;

    SheetsController(SheetStore store, Sheets sheets, Pictures pictures) {
        this.store = store;
        this.sheets = sheets;
        this.pictures = pictures;
    }

    /** A sheet's card. */
    public record Card(UUID id, String name, String size, int panels, long version) {}

    @GetMapping("/sheets")
    String list(@AuthenticationPrincipal Member member, Model model) {
        List<Card> cards = store.list(member.id()).stream().map(row -> card(sheets.open(row.id(), member.id()))).toList();
        model.addAttribute("cards", cards);
        model.addAttribute("member", member);
        model.addAttribute("sizes", SheetSize.values());
        return "sheets/list";
    }

    @PostMapping("/sheets")
    String make(@AuthenticationPrincipal Member member, @ModelAttribute NewSheet wanted, Model model) {
        try {
            return "redirect:/sheets/" + sheets.add(member.id(), wanted.sheet(), "New sheet");
        } catch (BadInput problem) {
            model.addAttribute("wanted", wanted);
            model.addAttribute("problem", problem);
            return list(member, model);
        }
    }

    @PostMapping("/sheets/{id}/rename")
    String rename(@AuthenticationPrincipal Member member, @PathVariable UUID id, @RequestParam String name, Model model) {
        try {
            sheets.apply(id, member.id(), sheet -> new RenameSheet(name));
        } catch (BadInput problem) {
            model.addAttribute("problem", problem.getMessage());
        }
        return fragment(member, id, model);
    }

    @PostMapping("/sheets/{id}/duplicate")
    String duplicate(@AuthenticationPrincipal Member member, @PathVariable UUID id) {
        Sheet original = sheets.open(id, member.id()).sheet();
        String name = original.name().length() > 110 ? original.name().substring(0, 110) : original.name();
        sheets.add(member.id(), original.named(name + " copy"), "Duplicate sheet");
        return "redirect:/sheets";
    }

    @PostMapping("/sheets/{id}/put-away")
    String putAway(@AuthenticationPrincipal Member member, @PathVariable UUID id, Model model) {
        model.addAttribute("card", card(sheets.open(id, member.id())));
        sheets.putAway(id, member.id());
        return "sheets/card :: gone";
    }

    @PostMapping("/sheets/{id}/bring-back")
    String bringBack(@AuthenticationPrincipal Member member, @PathVariable UUID id, Model model) {
        sheets.bringBack(id, member.id());
        return fragment(member, id, model);
    }

    private String fragment(Member member, UUID id, Model model) {
        model.addAttribute("card", card(sheets.open(id, member.id())));
        return "sheets/card :: card";
    }

    /** The sheet painted small; the address carries the version, so a browser may keep it for ever. */
    @GetMapping("/sheets/{id}/thumbnail")
    ResponseEntity<byte[]> thumbnail(@AuthenticationPrincipal Member member, @PathVariable UUID id) {
        Sheet sheet = sheets.open(id, member.id()).sheet();
        byte[] png = Encoder.png(RasterPainter.small(Scene.of(sheet), THUMBNAIL, pictures.previews(member.id())), 96);
        return ResponseEntity.ok().contentType(MediaType.IMAGE_PNG)
                .cacheControl(CacheControl.maxAge(Duration.ofDays(365)).cachePrivate().immutable()).body(png);
    }

    private static Card card(Opened opened) {
        return new Card(opened.id(), opened.sheet().name(), SheetSize.describe(opened.sheet()), (int) opened.sheet().panels().stream().filter(p -> p.role().takesPictures()).count(), opened.version());
    }
}
