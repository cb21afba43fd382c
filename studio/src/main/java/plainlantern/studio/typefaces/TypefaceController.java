package plainlantern.studio.typefaces;

import java.io.IOException;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;
import plainlantern.asking.BadInput;
import plainlantern.lettering.FontFile;
import plainlantern.studio.account.Member;

/** A member's own typefaces: brought, listed, deleted. */
@RestController
public class TypefaceController {
    private final Typefaces typefaces;

    TypefaceController(Typefaces typefaces) {
        this.typefaces = typefaces;
    }

    @GetMapping("/typefaces")
    List<TypefaceRow> all(@AuthenticationPrincipal Member member) {
        return typefaces.all(member.id());
    }

    @PostMapping("/typefaces")
    TypefaceRow add(@AuthenticationPrincipal Member member, @RequestParam MultipartFile file) throws IOException {
        BadInput.unless(file.getSize() <= FontFile.MOST_BYTES, "file", "A typeface's file has at most 20 MB.");
        return typefaces.add(member.id(), file.getBytes());
    }

    /** Letters that were set in it stay as they are. */
    @DeleteMapping("/typefaces/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(@AuthenticationPrincipal Member member, @PathVariable String id) {
        typefaces.remove(member.id(), id);
    }
}
