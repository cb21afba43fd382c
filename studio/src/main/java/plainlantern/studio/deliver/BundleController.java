package plainlantern.studio.deliver;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.UUID;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.mvc.method.annotation.StreamingResponseBody;
import plainlantern.bundle.Bundle;
import plainlantern.bundle.BundleWriter;
import plainlantern.rendering.FileNames;
import plainlantern.sheet.Picture;
import plainlantern.sheet.Sheet;
import plainlantern.studio.account.Member;
import plainlantern.studio.shelf.Pictures;
import plainlantern.studio.sheets.Sheets;

/** Hands sheets over whole, as bundles, and takes bundles back in. */
@RestController
public class BundleController {
    private final Sheets sheets;
    private final Pictures pictures;

    BundleController(Sheets sheets, Pictures pictures) {
        this.sheets = sheets;
        this.pictures = pictures;
    }

    @GetMapping("/sheets/{id}/bundle")
    ResponseEntity<StreamingResponseBody> bundle(@AuthenticationPrincipal Member member, @PathVariable UUID id) {
        Sheet sheet = sheets.open(id, member.id()).sheet();
        return ResponseEntity.ok().contentType(MediaType.parseMediaType("application/zip"))
                .header(HttpHeaders.CONTENT_DISPOSITION, attachment(FileNames.safe(sheet.name()) + ".lantern.zip"))
                .body(out -> BundleWriter.write(sheet, sha -> pictures.original(member.id(), sha), out));
    }

    /** Opens a bundle as a new sheet and returns its address. Nothing is stored before all of it has been checked. */
    @PostMapping("/bundles")
    Opened open(@AuthenticationPrincipal Member member, @RequestParam MultipartFile file) throws IOException {
        Path temporary = Files.createTempFile("lantern", ".zip");
        try {
            file.transferTo(temporary);
            try (Bundle bundle = Bundle.open(temporary)) {
                for (Picture picture : bundle.sheet().shelf()) bundle.inspected(picture);
                for (Picture picture : bundle.sheet().shelf()) {
                    pictures.add(member.id(), picture.name().replace('.', ' '), bundle.original(picture.id()));
                }
                return new Opened("/sheets/" + sheets.add(member.id(), bundle.sheet(), "Open bundle"));
            }
        } finally {
            Files.deleteIfExists(temporary);
        }
    }

    /** Where the opened sheet is. */
    public record Opened(String address) {}

    static String attachment(String file) {
        return ContentDisposition.attachment().filename(file, StandardCharsets.UTF_8).build().toString();
    }
}
