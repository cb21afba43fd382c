package plainlantern.studio.board;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
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
import plainlantern.arranging.Ground;
import plainlantern.editing.AddCaption;
import plainlantern.editing.AddLayer;
import plainlantern.editing.AddPanel;
import plainlantern.editing.AddRule;
import plainlantern.editing.ClearBackground;
import plainlantern.editing.Cut;
import plainlantern.editing.Deal;
import plainlantern.editing.Duplicate;
import plainlantern.editing.Edit;
import plainlantern.editing.EditReader;
import plainlantern.editing.FramePicture;
import plainlantern.editing.LayOut;
import plainlantern.editing.MoveOut;
import plainlantern.editing.Paste;
import plainlantern.editing.ReturnTo;
import plainlantern.editing.RulesAlong;
import plainlantern.editing.ShelvePictures;
import plainlantern.editing.SplitPicture;
import plainlantern.fitting.Dealing.Dealt;
import plainlantern.geometry.BadInput;
import plainlantern.geometry.Typed;
import plainlantern.outline.PathData;
import plainlantern.pattern.EvenGrid;
import plainlantern.pattern.Piece;
import plainlantern.rendering.BoardPainter;
import plainlantern.sheet.Element;
import plainlantern.sheet.Picture;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.SheetJson;
import plainlantern.sheet.SheetSize;
import plainlantern.studio.account.Member;
import plainlantern.studio.sheets.Change;
import plainlantern.studio.sheets.Opened;
import plainlantern.studio.sheets.Sheets;
import plainlantern.studio.shelf.Pictures;
import tools.jackson.databind.JsonNode;

/** The workbench of one sheet: the page, and every change made on it. */
@Controller
@RequestMapping("/sheets/{id}")
public class BoardController {
    private static final String UNSEEN = "Another window changed this sheet. You see it as it is now; Undo takes back its last step.";
    private static final String UNSEEN_ON = "Another window changed this sheet. You see it as it is now.";

    private final Sheets sheets;
    private final Pictures pictures;
    private final Answers answers;

    BoardController(Sheets sheets, Pictures pictures, Answers answers) {
        this.sheets = sheets;
        this.pictures = pictures;
        this.answers = answers;
    }

    /**
     * An edit on its way in, with what the page shows; {@code edit} is read when the sheet it meets is known, {@code name} is the same each
     * time it is sent.
     */
    record Request(JsonNode edit, Optional<UUID> name, String stage, List<String> selected, long version, @Typed.Switch boolean whole,
            @Typed.Layer int layer) {
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
        Sheet sheet = opened.sheet();
        model.addAttribute("opened", opened);
        model.addAttribute("sheet", sheet);
        model.addAttribute("member", member);
        model.addAttribute("size", SheetSize.describe(sheet));
        model.addAttribute("kept", Answers.kept(opened));
        model.addAttribute("panels", sheet.panels().stream().map(p -> BoardPainter.panel(sheet, p, Answers.BOARD)).toList());
        model.addAttribute("lineup", LineUpView.of(sheet, sheet.panels(), Answers.CARD));
        model.addAttribute("vistas", SheetJson.MAPPER.writeValueAsString(Answers.vistas(sheet)));
        model.addAttribute("swatches", SheetJson.MAPPER.writeValueAsString(Answers.swatches(sheet)));
        model.addAttribute("paper", BoardPainter.paper(sheet, Answers.BOARD));
        model.addAttribute("guides", SheetJson.MAPPER.writeValueAsString(Answers.guides(sheet)));
        model.addAttribute("gallery", answers.gallery());
        model.addAttribute("stages", Stage.values());
        model.addAttribute("view", BenchView.of(id, sheet, Looking.at(stage), List.of()));
        return "board/workbench";
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
        if (sheets.version(id, member.id()) == version) return ResponseEntity.noContent().build();
        return ResponseEntity.ok(answers.whole(sheets.open(id, member.id()), new Looking(Stage.of(stage), whole, layer), selected));
    }

    @PostMapping("/edits")
    @ResponseBody
    Answer edit(@AuthenticationPrincipal Member member, @PathVariable UUID id, @RequestBody Request request) {
        Edit[] read = new Edit[1];
        Optional<Change> made = sheets.apply(id, member.id(), request.name(), sheet -> read[0] = read(member, request, sheet));
        if (made.isEmpty()) return now(member, id, request);
        Change change = made.get();
        Collection<String> selected = selected(read[0], request.selected(), change);
        OptionalInt layer = layer(read[0], change, selected);
        Looking looking = layer.isPresent() ? request.looking().choosing(layer.getAsInt()) : request.looking();
        return answers.to(change, change.versionBefore() != request.version(), looking, selected)
                .saying(read[0].remark(change.before(), change.after().sheet()).map(Answer.Said::of)).choosing(layer);
    }

    /** All of the sheet as it is. */
    private Answer now(Member member, UUID id, Request request) {
        return answers.whole(sheets.open(id, member.id()), request.looking(), request.selected());
    }

    /** A new layer is the chosen one. */
    private static OptionalInt layer(Edit edit, Change change, Collection<String> selected) {
        if (!(edit instanceof AddLayer) || selected.isEmpty()) return OptionalInt.empty();
        return OptionalInt.of(change.after().sheet().panel(selected.iterator().next()).content().size() - 1);
    }

    /** New panels become the selection; halves of a cut join it, so that the next cut divides them too. */
    private static Collection<String> selected(Edit edit, List<String> before, Change change) {
        if (edit instanceof Duplicate || edit instanceof AddPanel || edit instanceof FramePicture || edit instanceof SplitPicture || edit instanceof MoveOut || edit instanceof AddCaption || edit instanceof AddRule || edit instanceof RulesAlong) return added(change);
        if (!(edit instanceof Cut) || before.isEmpty()) return before;
        List<String> both = new ArrayList<>(before);
        both.addAll(added(change));
        return both;
    }

    /** What an edit would give, without making it: live while a gesture or a typed number goes on. */
    @PostMapping("/preview")
    @ResponseBody
    Map<String, Object> preview(@AuthenticationPrincipal Member member, @PathVariable UUID id, @RequestBody Request request) {
        Sheet before = sheets.open(id, member.id()).sheet();
        Edit edit = read(member, request, before);
        if (edit instanceof LayOut layOut) return laid(layOut, before);
        List<Dealt> dealt = edit instanceof Deal deal ? deal.dealt(before) : List.of();
        Sheet after = edit instanceof Deal ? Deal.filled(before, dealt) : edit.on(before);
        if (edit instanceof SplitPicture split) return Map.of("says", split.says(before, after));
        List<Answer.Part> parts = Answers.changed(before, after).stream().map(p -> new Answer.Part(p.id(), BoardPainter.panel(after, p, Answers.BOARD), "")).toList();
        Map<String, Object> seen = new HashMap<>(Map.of("changed", parts, "vistas", Answers.vistas(after)));
        if (edit instanceof Deal) seen.put("deal", DealView.of(before, dealt));
        return seen;
    }

    /** The pieces of a pattern as they would lie, what is said of them, what would be lost; for grids also the lines between cells. */
    private static Map<String, Object> laid(LayOut layOut, Sheet before) {
        Ground ground = layOut.ground(before);
        List<Piece> pieces = ground.pieces(layOut.pattern(), before);
        Map<String, Object> laid = new HashMap<>();
        laid.put("cells", pieces.stream().map(piece -> PathData.of(ground.onSheet(piece))).toList());
        laid.put("says", layOut.pattern().says(ground.box(), pieces));
        laid.put("lost", layOut.lost(before, pieces.size()).orElse(""));
        if (layOut.pattern() instanceof EvenGrid grid && ground.turn() == 0) {
            laid.put("across", grid.across(ground.box()));
            laid.put("down", grid.down(ground.box()));
        }
        return laid;
    }

    /** One picture of the shelf, larger. */
    @GetMapping("/shelf/{sha}")
    String closer(@AuthenticationPrincipal Member member, @PathVariable UUID id, @PathVariable String sha, Model model) {
        model.addAttribute("gallery", answers.gallery());
        model.addAttribute("closer", PictureCloser.of(sheets.open(id, member.id()).sheet(), sha, pictures.corners(member.id(), sha)));
        return "board/closer :: closer";
    }

    /** Copied panels that belong on this sheet now. */
    @PostMapping("/paste")
    @ResponseBody
    Answer paste(@AuthenticationPrincipal Member member, @PathVariable UUID id, @RequestBody Request request) {
        Optional<Change> made = sheets.apply(id, member.id(), request.name(), sheet -> {
            Edit edit = EditReader.read(String.valueOf(request.edit()), sheet);
            BadInput.unless(edit instanceof Paste, "edit", "There is nothing to paste.");
            Paste paste = (Paste) edit;
            Map<String, String> names = new LinkedHashMap<>();
            Map<String, Picture> told = new HashMap<>();
            for (Picture picture : paste.pictures()) {
                names.put(picture.id(), picture.name());
                told.put(picture.id(), picture);
            }
            List<Picture> owned = pictures.owned(member.id(), names).stream().map(p -> told.get(p.id()).clear().isEmpty() ? p : p.cleared(told.get(p.id()).clear(), told.get(p.id()).foot())).toList();
            return new Paste(paste.panels(), owned, paste.dx(), paste.dy());
        });
        if (made.isEmpty()) return now(member, id, request);
        Change change = made.get();
        return answers.to(change, change.versionBefore() != request.version(), request.looking(), added(change));
    }

    @PostMapping("/shelf")
    @ResponseBody
    Answer shelve(@AuthenticationPrincipal Member member, @PathVariable UUID id, @RequestBody Shelving request) {
        ShelvePictures edit = new ShelvePictures(pictures.owned(member.id(), request.pictures()));
        // Put on the shelf again they are there once.
        Change change = sheets.apply(id, member.id(), sheet -> edit);
        return answers.to(change, change.versionBefore() != request.version(), new Looking(Stage.of(request.stage()), request.whole(), -1), request.selected());
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

    private Answer stepped(Member member, UUID id, Request request, int by) {
        Optional<Change> change = sheets.step(id, member.id(), by, request.version(), request.name());
        if (change.isPresent()) return answers.to(change.get(), false, request.looking(), request.selected());
        Answer now = now(member, id, request);
        return !sheets.made(id, request.name())
                ? now.saying(Optional.of(new Answer.Said(by < 0 ? UNSEEN : UNSEEN_ON, Optional.empty(), Optional.empty()))) : now;
    }

    /** Pictures come onto a shelf through {@link #shelve} alone, which knows whose they are. */
    private Edit read(Member member, Request request, Sheet sheet) {
        Edit edit = EditReader.read(String.valueOf(request.edit()), sheet);
        BadInput.unless(!(edit instanceof ShelvePictures || edit instanceof Paste || edit instanceof ReturnTo), "edit",
                "That can’t be done here. Bring pictures in the Fill stage, paste with Ctrl V in Arrange, "
                        + "and go back to a version in Versions, at the top right.");
        return edit instanceof ClearBackground clear ? clear.standing(pictures.foot(member.id(), sheet.picture(clear.picture()).id(), clear.cleared())) : edit;
    }

    private static List<String> added(Change change) {
        List<String> ids = new ArrayList<>(change.after().sheet().elements().stream().map(Element::id).toList());
        ids.removeAll(new HashSet<>(change.before().elements().stream().map(Element::id).toList()));
        return ids;
    }
}
