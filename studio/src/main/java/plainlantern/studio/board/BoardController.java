package plainlantern.studio.board;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.UUID;
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
import plainlantern.asking.Typed;
import plainlantern.editing.Edit;
import plainlantern.editing.filling.ShelvePictures;
import plainlantern.rendering.BoardPainter;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.SheetJson;
import plainlantern.sheet.SheetSize;
import plainlantern.studio.account.Member;
import plainlantern.studio.nested.Freshness;
import plainlantern.studio.nested.NestedSheets;
import plainlantern.studio.series.SeriesStore;
import plainlantern.studio.sheets.Change;
import plainlantern.studio.sheets.Opened;
import plainlantern.studio.sheets.Sheets;
import plainlantern.studio.shelf.Pictures;
import tools.jackson.databind.JsonNode;

/** The workbench of one sheet: the page, and every change made on it. */
@Controller
@RequestMapping("/sheets/{id}")
public class BoardController {
    /** Header: whether sheets that are shown on this one have changed and are being drawn anew. */
    private static final String REDRAWN = "Lantern-Redrawn";
    private static final String UNSEEN = "Another window changed this sheet. You see it as it is now; Undo takes back its last step.";
    private static final String UNSEEN_ON = "Another window changed this sheet. You see it as it is now.";

    private final Sheets sheets;
    private final Pictures pictures;
    private final Reading reading;
    private final Answers answers;
    private final NestedSheets nested;
    private final Freshness freshness;
    private final SeriesStore series;

    BoardController(Sheets sheets, Pictures pictures, Reading reading, Answers answers, NestedSheets nested,
            Freshness freshness, SeriesStore series) {
        this.sheets = sheets;
        this.pictures = pictures;
        this.reading = reading;
        this.answers = answers;
        this.nested = nested;
        this.freshness = freshness;
        this.series = series;
    }

    /**
     * An edit on its way in, with what the page shows; {@code edit} is read when the sheet it meets is known, {@code name} is the same each
     * time it is sent.
     *
     * @param agreed whether the person was asked and said yes
     */
    record Request(JsonNode edit, Optional<UUID> name, String stage, List<String> selected, long version, @Typed.Switch boolean whole,
            @Typed.Layer int layer, @Typed.Switch boolean agreed) {
        Looking looking() {
            return new Looking(Stage.of(stage), whole, layer);
        }
    }

    /** Pictures to put on the shelf: names by id. */
    record Shelving(LinkedHashMap<String, String> pictures, Optional<UUID> name, String stage, List<String> selected, long version,
            @Typed.Switch boolean whole) {}

    @GetMapping
    String page(@AuthenticationPrincipal Member member, @PathVariable UUID id, @RequestParam(defaultValue = "") String stage, Model model) {
        Opened opened = sheets.open(id, member.id());
        model.addAttribute("redrawn", freshness.lookedAt(member.id(), opened));
        Sheet sheet = opened.sheet();
        model.addAttribute("opened", opened);
        model.addAttribute("sheet", sheet);
        model.addAttribute("member", member);
        model.addAttribute("around", series.around(id).orElse(null));
        model.addAttribute("size", SheetSize.describe(sheet));
        model.addAttribute("kept", Answers.kept(opened));
        List<BoardPainter> drawn = Answers.drawn(sheet, sheet.elements());
        model.addAttribute("panels", Answers.boards(id, drawn));
        model.addAttribute("arriving", Answers.arriving(id, drawn));
        model.addAttribute("lineup", LineUpView.of(sheet, drawn, Answers.card(id)));
        model.addAttribute("vistas", SheetJson.MAPPER.writeValueAsString(Answers.vistas(sheet)));
        model.addAttribute("swatches", SheetJson.MAPPER.writeValueAsString(Answers.swatches(sheet)));
        model.addAttribute("paper", BoardPainter.paper(sheet, Answers.board(id)));
        model.addAttribute("guides", SheetJson.MAPPER.writeValueAsString(Answers.guides(sheet)));
        model.addAttribute("gallery", answers.gallery());
        model.addAttribute("stages", Stage.values());
        model.addAttribute("view", BenchView.of(id, sheet, Looking.at(stage), List.of()));
        return "board/workbench";
    }

    /** What the line-up of very many elements begins without. */
    @GetMapping(path = "/cards", produces = MediaType.TEXT_HTML_VALUE)
    @ResponseBody
    String cards(@AuthenticationPrincipal Member member, @PathVariable UUID id) {
        return answers.rest(sheets.open(id, member.id()));
    }

    @PostMapping(path = "/bench", produces = MediaType.TEXT_HTML_VALUE)
    @ResponseBody
    String bench(@AuthenticationPrincipal Member member, @PathVariable UUID id, @RequestParam String stage,
                 @RequestParam(defaultValue = "") List<String> selected, @RequestParam(defaultValue = "false") boolean whole,
                 @RequestParam(defaultValue = "-1") int layer) {
        return answers.bench(BenchView.of(id, sheets.open(id, member.id()).sheet(), new Looking(Stage.of(stage), whole, layer), selected));
    }

    /** Everything anew where the sheet is no longer at {@code version}, else 204. */
    @PostMapping("/changes")
    @ResponseBody
    ResponseEntity<Answer> changes(@AuthenticationPrincipal Member member, @PathVariable UUID id, @RequestParam long version,
                                   @RequestParam String stage, @RequestParam(defaultValue = "") List<String> selected,
                                   @RequestParam(defaultValue = "false") boolean whole, @RequestParam(defaultValue = "-1") int layer) {
        Opened opened = sheets.open(id, member.id());
        if (opened.version() == version) {
            boolean redrawn = freshness.lookedAt(member.id(), opened);
            return ResponseEntity.noContent().header(REDRAWN, String.valueOf(redrawn)).build();
        }
        return ResponseEntity.ok(answers.whole(opened, new Looking(Stage.of(stage), whole, layer), selected));
    }

    @PostMapping("/edits")
    @ResponseBody
    Answer edit(@AuthenticationPrincipal Member member, @PathVariable UUID id, @RequestBody Request request) {
        Edit[] read = new Edit[1];
        Optional<Change> made = sheets.apply(id, member.id(), request.name(), sheet -> read[0] = read(member, request, sheet));
        if (made.isEmpty()) return now(member, id, request);
        Change change = made.get();
        Sheet after = change.after().sheet();
        List<String> selected = read[0].selected(change.before(), after, request.selected());
        OptionalInt layer = read[0].layer(after, selected);
        Looking looking = layer.isPresent() ? request.looking().choosing(layer.getAsInt()) : request.looking();
        return answers.to(change, change.versionBefore() != request.version(), looking, selected)
                .saying(read[0].remark(change.before(), after).map(Answer.Said::of)).choosing(layer);
    }

    /** All of the sheet as it is. */
    private Answer now(Member member, UUID id, Request request) {
        return answers.whole(sheets.open(id, member.id()), request.looking(), request.selected());
    }

    /** What an edit would give, without making it: live while a gesture or a typed number goes on. */
    @PostMapping("/preview")
    @ResponseBody
    ForeseenView preview(@AuthenticationPrincipal Member member, @PathVariable UUID id, @RequestBody Request request) {
        Sheet before = sheets.open(id, member.id()).sheet();
        return ForeseenView.of(read(member, request, before).foreseen(before),
                Answers.foreseen(id, before, String.valueOf(request.edit())));
    }

    /** One picture of the shelf, larger. */
    @GetMapping("/shelf/{sha}")
    String closer(@AuthenticationPrincipal Member member, @PathVariable UUID id, @PathVariable String sha, Model model) {
        model.addAttribute("gallery", answers.gallery());
        model.addAttribute("closer", PictureCloser.of(sheets.open(id, member.id()).sheet(), sha, pictures.corners(member.id(), sha)));
        model.addAttribute("from", nested.from(member.id(), sha));
        return "board/closer :: closer";
    }

    @PostMapping("/shelf")
    @ResponseBody
    Answer shelve(@AuthenticationPrincipal Member member, @PathVariable UUID id, @RequestBody Shelving request) {
        ShelvePictures edit = new ShelvePictures(pictures.owned(member.id(), request.pictures()));
        // Put on the shelf again they are there once.
        Change change = sheets.apply(id, member.id(), sheet -> edit);
        return answers.to(change, change.versionBefore() != request.version(), new Looking(Stage.of(request.stage()), request.whole(), -1),
                request.selected());
    }

    @PostMapping("/undo")
    @ResponseBody
    Answer undo(@AuthenticationPrincipal Member member, @PathVariable UUID id, @RequestBody Request request) {
        return stepped(member, id, request, -1);
    }

    @PostMapping("/redo")
    @ResponseBody
    Answer redo(@AuthenticationPrincipal Member member, @PathVariable UUID id, @RequestBody Request request) {
        return stepped(member, id, request, 1);
    }

    /** To a step of the history, as it was when it was made. */
    @PostMapping("/history/{step}")
    @ResponseBody
    Answer go(@AuthenticationPrincipal Member member, @PathVariable UUID id, @PathVariable int step, @RequestBody Request request) {
        return stepped(member, id, request, step - sheets.head(id, member.id()));
    }

    private Answer stepped(Member member, UUID id, Request request, int by) {
        Optional<Change> change = sheets.step(id, member.id(), by, request.version(), request.name());
        if (change.isPresent()) return answers.to(change.get(), false, request.looking(), request.selected());
        Answer now = now(member, id, request);
        return !sheets.made(id, request.name())
                ? now.saying(Optional.of(new Answer.Said(by < 0 ? UNSEEN : UNSEEN_ON, Optional.empty(), Optional.empty()))) : now;
    }

    private Edit read(Member member, Request request, Sheet sheet) {
        Edit edit = reading.edit(member.id(), String.valueOf(request.edit()), sheet);
        return request.agreed() ? edit.agreedTo() : edit;
    }
}
