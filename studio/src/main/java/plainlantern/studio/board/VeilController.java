package plainlantern.studio.board;

import java.util.UUID;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import plainlantern.picture.Encoder;
import plainlantern.picture.Previews.Level;
import plainlantern.scene.Scene;
import plainlantern.scene.Scene.PaintedPicture;
import plainlantern.studio.account.Member;
import plainlantern.studio.sheets.Sheets;
import plainlantern.studio.shelf.Paints;
import plainlantern.studio.shelf.PictureAddress;
import plainlantern.studio.web.NotFound;

/** What veils leave, as the board has it: masks over pictures. */
@RestController
@RequestMapping("/sheets/{id}")
public class VeilController {
    private static final int SCREEN = 72;

    private final Sheets sheets;
    private final Paints paints;

    VeilController(Sheets sheets, Paints paints) {
        this.sheets = sheets;
        this.paints = paints;
    }

    /**
     * @param sha   see {@link PictureAddress#name}; where the veil is another one by now, it is painted as it is now and kept by nobody
     * @param level so many pixels along the longer side
     */
    @GetMapping("/veils/{sha}/{level}")
    ResponseEntity<byte[]> veil(@AuthenticationPrincipal Member member, @PathVariable UUID id, @PathVariable String sha,
            @PathVariable String level) {
        Scene scene = Scene.of(sheets.open(id, member.id()).sheet());
        int side = level.matches("\\d{2,4}") ? Integer.parseInt(level) : 0;
        if (side == 0 || side > Level.LARGE.side()) throw new NotFound();
        String place = sha.replaceFirst("-[0-9a-f]+$", "-");
        for (Scene.Item item : scene.items()) for (PaintedPicture layer : item.pictures()) {
            if (layer.treated().veil().isEmpty() || !place.equals(item.element() + "-" + layer.at() + "-")) continue;
            boolean same = PictureAddress.name(item.element(), layer).equals(sha);
            return OfNow.answer(same).contentType(MediaType.IMAGE_PNG)
                    .body(Encoder.png(paints.veil(member.id(), scene, layer, side), SCREEN));
        }
        throw new NotFound();
    }
}
