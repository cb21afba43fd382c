package plainlantern.studio.shelf;

import java.io.IOException;
import java.time.Duration;
import java.util.Optional;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;
import plainlantern.picture.Previews.Level;
import plainlantern.sheet.Picture;
import plainlantern.sheet.Treated;
import plainlantern.studio.account.Member;
import plainlantern.studio.room.Work;
import plainlantern.studio.web.NotFound;

/** Brings pictures in, one file a request, and shows their previews. */
@RestController
public class ShelfController {
    private final Pictures pictures;

    ShelfController(Pictures pictures) {
        this.pictures = pictures;
    }

    @PostMapping("/pictures")
    Picture add(@AuthenticationPrincipal Member member, @RequestParam MultipartFile file) throws IOException {
        String name = Optional.ofNullable(file.getOriginalFilename()).orElse("picture");
        return Work.during("upload", arrived -> {
            file.transferTo(arrived);
            return pictures.add(member.id(), name, arrived);
        });
    }

    @GetMapping("/pictures/{sha}/{level}")
    ResponseEntity<byte[]> preview(@AuthenticationPrincipal Member member, @PathVariable String sha, @PathVariable String level) {
        return lasting(pictures.preview(member.id(), sha, level(level)));
    }

    /** The same treated, see {@link PictureAddress}; while a slider moves, the page asks for fewer pixels under the name of "live". */
    @GetMapping("/pictures/{sha}/{treatment}/{level}")
    ResponseEntity<byte[]> treated(@AuthenticationPrincipal Member member, @PathVariable String sha, @PathVariable String treatment,
            @PathVariable String level) {
        Treated what = PictureAddress.read(sha, treatment).orElseThrow(NotFound::new);
        return lasting(level.equals("live") ? pictures.live(member.id(), what) : pictures.treated(member.id(), what, level(level)));
    }

    private static Level level(String name) {
        return Level.named(name).orElseThrow(NotFound::new);
    }

    private static ResponseEntity<byte[]> lasting(PictureStore.Data data) {
        return ResponseEntity.ok().contentType(MediaType.parseMediaType(data.mediaType()))
                .cacheControl(CacheControl.maxAge(Duration.ofDays(365)).cachePrivate().immutable()).body(data.data());
    }
}
