package plainlantern.studio.board;

import java.util.List;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import plainlantern.fitting.Veils;
import plainlantern.geometry.Point;
import plainlantern.geometry.Projective;
import plainlantern.outline.PathData;
import plainlantern.picture.Encoder;
import plainlantern.picture.Previews.Level;
import plainlantern.scene.Scene;
import plainlantern.sheet.Holder;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.Veil;
import plainlantern.sheet.VeilPart;
import plainlantern.studio.account.Member;
import plainlantern.studio.sheets.Sheets;
import plainlantern.studio.shelf.Paints;
import plainlantern.studio.shelf.PictureAddress;
import plainlantern.studio.web.NotFound;

/** What veils leave, as the board has it: masks over layers. */
@RestController
@RequestMapping("/sheets/{id}")
public class VeilController {
    private static final int SCREEN = 72;

    private final Sheets sheets;
    private final Paints paints;
    private final Reading reading;

    VeilController(Sheets sheets, Paints paints, Reading reading) {
        this.sheets = sheets;
        this.paints = paints;
        this.reading = reading;
    }

    /**
     * Where a part of a veil lies on the sheet.
     *
     * @param handles see {@link VeilPart#handles}
     * @param course  of a brush, as a path; empty else
     * @param round   whether it is a gradient about a middle
     */
    public record Lying(List<Point> handles, String course, boolean round) {}

    @PostMapping("/veil-part")
    Lying part(@AuthenticationPrincipal Member member, @PathVariable UUID id, @RequestParam String panel,
            @RequestParam(defaultValue = "-1") int layer, @RequestParam(defaultValue = "0") int at) {
        Sheet sheet = sheets.open(id, member.id()).sheet();
        Holder holder = sheet.holder(panel);
        Veil veil = Veils.of(holder, layer).filter(v -> at >= 0 && at < v.parts().size()).orElseThrow(NotFound::new);
        VeilPart part = veil.parts().get(at);
        Projective toSheet = Veils.toSheet(sheet, holder, layer, veil.rests());
        String course = part instanceof VeilPart.Stroke stroke ? "M" + stroke.dots().stream().map(dot -> toSheet.apply(dot.at()))
                .map(p -> PathData.number(p.x(), 2) + " " + PathData.number(p.y(), 2)).collect(Collectors.joining("L")) : "";
        return new Lying(part.handles().stream().map(toSheet::apply).toList(), course,
                part instanceof VeilPart.Gradient gradient && gradient.round());
    }

    /**
     * @param sha   see {@link PictureAddress#name}; where the veil is another one by now, it is painted as it is now and kept by nobody
     * @param level so many pixels along the longer side
     */
    @GetMapping("/veils/{sha}/{level}")
    ResponseEntity<byte[]> veil(@AuthenticationPrincipal Member member, @PathVariable UUID id, @PathVariable String sha,
            @PathVariable String level) {
        return mask(member, sheets.open(id, member.id()).sheet(), sha, level);
    }

    /** The same as an edit would make it, while it is not made: a part of a veil is dragged. */
    @GetMapping("/veils/{sha}/{edit}/{level}")
    ResponseEntity<byte[]> foreseen(@AuthenticationPrincipal Member member, @PathVariable UUID id, @PathVariable String sha,
            @PathVariable String edit, @PathVariable String level) {
        Sheet before = sheets.open(id, member.id()).sheet();
        String json = PictureAddress.edit(edit).orElseThrow(NotFound::new);
        return mask(member, reading.edit(member.id(), json, before).foreseen(before).after(), sha, level);
    }

    private ResponseEntity<byte[]> mask(Member member, Sheet sheet, String sha, String level) {
        Scene scene = Scene.of(sheet);
        int side = level.matches("\\d{2,4}") ? Integer.parseInt(level) : 0;
        if (side == 0 || side > Level.LARGE.side()) throw new NotFound();
        String place = sha.replaceFirst("-[0-9a-f]+$", "-");
        for (Scene.Item item : scene.items()) for (Scene.Layer layer : item.layers()) {
            if (layer.mask().isEmpty() || !place.equals(item.element() + "-" + layer.at() + "-")) continue;
            boolean same = PictureAddress.name(item.element(), layer).equals(sha);
            return OfNow.answer(same).contentType(MediaType.IMAGE_PNG)
                    .body(Encoder.png(paints.veil(member.id(), scene, layer, side), SCREEN));
        }
        throw new NotFound();
    }
}
