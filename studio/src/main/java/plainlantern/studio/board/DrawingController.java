package plainlantern.studio.board;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;
import plainlantern.asking.BadInput;
import plainlantern.asking.Typed;
import plainlantern.editing.placing.BringDrawing;
import plainlantern.incoming.Brought;
import plainlantern.incoming.Drawing;
import plainlantern.incoming.SvgReader;
import plainlantern.sheet.Picture;
import plainlantern.studio.account.Member;
import plainlantern.studio.sheets.Change;
import plainlantern.studio.sheets.Sheets;
import plainlantern.studio.shelf.Pictures;

/** Brings drawings made elsewhere onto a sheet. */
@RestController
public class DrawingController {
    private final Sheets sheets;
    private final Pictures pictures;
    private final Answers answers;

    DrawingController(Sheets sheets, Pictures pictures, Answers answers) {
        this.sheets = sheets;
        this.pictures = pictures;
        this.answers = answers;
    }

    /** @param fit whether it is made as large as the margins leave room for; the rest as in {@link BoardController.Request} */
    record Bringing(String svg, @Typed.Switch boolean fit, Optional<UUID> name, String stage, List<String> selected, long version,
            @Typed.Switch boolean whole) {
        Looking looking() {
            return new Looking(Stage.of(stage), whole, -1);
        }
    }

    @PostMapping("/sheets/{id}/drawing")
    Answer bring(@AuthenticationPrincipal Member member, @PathVariable UUID id, @RequestBody Bringing request) {
        sheets.open(id, member.id());
        Drawing drawing = SvgReader.read(request.svg() == null ? "" : request.svg());
        Map<String, Picture> brought = new HashMap<>();
        drawing.images().forEach((name, file) -> {
            try {
                brought.put(name, pictures.add(member.id(), name, file));
            } catch (BadInput unreadable) {
                // What is said of the drawing counts it.
            }
        });
        BringDrawing[] made = new BringDrawing[1];
        Optional<Change> change = sheets.apply(id, member.id(), request.name(),
                sheet -> made[0] = Brought.onto(sheet, drawing, brought, request.fit()));
        if (change.isEmpty()) return answers.whole(sheets.open(id, member.id()), request.looking(), request.selected());
        List<String> selected = made[0].selected(change.get().before(), change.get().after().sheet(), request.selected());
        return answers.to(change.get(), change.get().versionBefore() != request.version(), request.looking(), selected)
                .saying(made[0].remark(change.get().before(), change.get().after().sheet()).map(Answer.Said::of));
    }
}
