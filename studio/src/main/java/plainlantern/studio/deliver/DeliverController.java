package plainlantern.studio.deliver;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.UUID;
import java.util.concurrent.Semaphore;
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
import plainlantern.geometry.Lengths;
import plainlantern.rendering.Delivery;
import plainlantern.rendering.RasterPainter;
import plainlantern.scene.Scene;
import plainlantern.sheet.Picture;
import plainlantern.sheet.Sheet;
import plainlantern.studio.account.Member;
import plainlantern.studio.shelf.Pictures;
import plainlantern.studio.sheets.Sheets;

/** Hands sheets over: as pictures, and whole as bundles; takes bundles back in. */
@RestController
public class DeliverController {
    private final Sheets sheets;
    private final Pictures pictures;
    /** One delivery at a time uses all cores already; more would only use more memory. */
    private final Semaphore turn = new Semaphore(1, true);

    DeliverController(Sheets sheets, Pictures pictures) {
        this.sheets = sheets;
        this.pictures = pictures;
    }

    /** How large a delivery would be, before it is made. */
    public record Size(int width, int height) {}

    @GetMapping("/sheets/{id}/delivery-size")
    Size size(@AuthenticationPrincipal Member member, @PathVariable UUID id, @RequestParam String ppi) {
        Sheet sheet = sheets.open(id, member.id()).sheet();
        int[] size = RasterPainter.size(sheet.width(), sheet.height(), Lengths.number(ppi, "ppi"));
        return new Size(size[0], size[1]);
    }

    @PostMapping("/sheets/{id}/deliveries")
    ResponseEntity<byte[]> deliver(@AuthenticationPrincipal Member member, @PathVariable UUID id, @RequestParam String format,
                                   @RequestParam String ppi, @RequestParam(defaultValue = "false") boolean paper,
                                   @RequestParam(defaultValue = "92") String quality) throws InterruptedException {
        Sheet sheet = sheets.open(id, member.id()).sheet();
        Delivery delivery = new Delivery(Delivery.Format.of(format), Lengths.number(ppi, "ppi"), paper, (int) Lengths.number(quality, "quality"));
        Scene scene = Scene.of(sheet);
        RasterPainter.size(sheet.width(), sheet.height(), delivery.ppi());
        turn.acquire();
        try {
            byte[] file = delivery.file(scene, pictures.originals(member.id()));
            return ResponseEntity.ok().contentType(MediaType.parseMediaType(delivery.format().mediaType()))
                    .header(HttpHeaders.CONTENT_DISPOSITION, attachment(sheet, delivery.format().extension())).body(file);
        } finally {
            turn.release();
        }
    }

    @GetMapping("/sheets/{id}/bundle")
    ResponseEntity<StreamingResponseBody> bundle(@AuthenticationPrincipal Member member, @PathVariable UUID id) {
        Sheet sheet = sheets.open(id, member.id()).sheet();
        return ResponseEntity.ok().contentType(MediaType.parseMediaType("application/zip"))
                .header(HttpHeaders.CONTENT_DISPOSITION, attachment(sheet, "lantern.zip"))
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

    private static String attachment(Sheet sheet, String extension) {
        String name = sheet.name().replaceAll("[\\\\/:*?\"<>|\\p{Cntrl}]", "-");
        return ContentDisposition.attachment().filename(name + "." + extension, StandardCharsets.UTF_8).build().toString();
    }
}
