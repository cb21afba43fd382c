package plainlantern.studio.board;

import java.awt.image.BufferedImage;
import java.util.UUID;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import plainlantern.picture.Previews;
import plainlantern.picture.Previews.Level;
import plainlantern.scene.Scene;
import plainlantern.sheet.Treated;
import plainlantern.studio.account.Member;
import plainlantern.studio.sheets.Sheets;
import plainlantern.studio.shelf.Paints;
import plainlantern.studio.shelf.PictureAddress;
import plainlantern.studio.shelf.PictureStore;
import plainlantern.studio.web.NotFound;

/** What glazes show, as the board has it: painted from what lies beneath them. */
@RestController
@RequestMapping("/sheets/{id}")
public class GlazeController {
    /** Pixels while something moves. */
    private static final int LIVE = 480;

    private final Sheets sheets;
    private final Paints paints;

    GlazeController(Sheets sheets, Paints paints) {
        this.sheets = sheets;
        this.paints = paints;
    }

    /**
     * @param sha       the glaze's id and what lies beneath it in the page that asks; where that is something else by now, it is painted as
     *                  it is now and kept by nobody
     * @param treatment see {@link PictureAddress}
     * @param level     so many pixels along the longer side, or "live" while something moves
     */
    @GetMapping("/glazes/{sha}/{treatment}/{level}")
    ResponseEntity<byte[]> glaze(@AuthenticationPrincipal Member member, @PathVariable UUID id, @PathVariable String sha,
            @PathVariable String treatment, @PathVariable String level) {
        Scene scene = Scene.of(sheets.open(id, member.id()).sheet());
        Treated told = PictureAddress.read(sha, treatment).filter(t -> t.through().isPresent() && sha.contains("-"))
                .orElseThrow(NotFound::new);
        int side = level.equals("live") ? LIVE : level.matches("\\d{2,4}") ? Integer.parseInt(level) : 0;
        if (side == 0 || side > Level.LARGE.side()) throw new NotFound();
        BufferedImage seen = paints.glaze(member.id(), scene, told, side).orElseThrow(NotFound::new);
        boolean same = scene.items().stream().flatMap(item -> item.pictures().stream()).anyMatch(p -> p.treated().picture().equals(sha));
        PictureStore.Data data = PictureStore.Data.of(Previews.encoded(seen));
        return OfNow.answer(same).contentType(MediaType.parseMediaType(data.mediaType())).body(data.data());
    }
}
