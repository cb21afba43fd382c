package plainlantern.studio.deliver;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.UUID;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.mvc.method.annotation.StreamingResponseBody;
import plainlantern.bundle.BundleWriter;
import plainlantern.rendering.FileNames;
import plainlantern.sheet.Sheet;
import plainlantern.studio.account.Member;
import plainlantern.studio.room.Work;
import plainlantern.studio.sheets.CurrentSheets;
import plainlantern.studio.sheets.Sheets;
import plainlantern.studio.shelf.Pictures;
import plainlantern.studio.tables.ColourTables;
import plainlantern.studio.web.NotFound;

/** Hands sheets over whole, as bundles, and takes bundles back in. */
@RestController
public class BundleController {
    private static final int PART = 1 << 20;

    private final Sheets sheets;
    private final Pictures pictures;
    private final BundleImports imports;
    private final BundleImportStore store;
    private final Downloads downloads;
    private final ColourTables tables;
    private final CurrentSheets current;

    BundleController(Sheets sheets, Pictures pictures, BundleImports imports, BundleImportStore store, Downloads downloads,
            ColourTables tables, CurrentSheets current) {
        this.current = current;
        this.sheets = sheets;
        this.pictures = pictures;
        this.imports = imports;
        this.store = store;
        this.downloads = downloads;
        this.tables = tables;
    }

    @GetMapping("/sheets/{id}/bundle")
    ResponseEntity<StreamingResponseBody> bundle(@AuthenticationPrincipal Member member, @PathVariable UUID id) {
        Sheet sheet = current.current(member.id(), sheets.open(id, member.id()).sheet());
        return ResponseEntity.ok().contentType(MediaType.parseMediaType("application/zip"))
                .header(HttpHeaders.CONTENT_DISPOSITION, attachment(FileNames.safe(sheet.name()) + ".lantern.zip"))
                .body(downloads.of(member.id(), out -> BundleWriter.write(sheet,
                        sha -> new PartedStream(from -> pictures.part(member.id(), sha, from, PART)),
                        table -> tables.file(member.id(), table), out)));
    }

    /** Where to ask how far it is. */
    record Begun(String address) {}

    /** Opens a bundle as a new sheet. Nothing of it stays where any part of it is wrong. */
    @PostMapping("/bundles")
    @ResponseStatus(HttpStatus.ACCEPTED)
    Begun open(@AuthenticationPrincipal Member member, @RequestParam MultipartFile file) throws IOException {
        Path arrived = Work.file("bundle");
        boolean taken = false;
        try {
            file.transferTo(arrived);
            Begun begun = new Begun("/bundles/" + imports.begin(member.id(), arrived));
            taken = true;
            return begun;
        } finally {
            if (!taken) Files.deleteIfExists(arrived);
        }
    }

    /** How far it is: {@code sheet} is the new sheet's address when there is one, {@code failed} why there will be none. */
    record State(double share, String told, String failed, String sheet) {}

    @GetMapping("/bundles/{bundle}")
    State state(@AuthenticationPrincipal Member member, @PathVariable UUID bundle) {
        BundleImportStore.Row row = store.find(member.id(), bundle).orElseThrow(NotFound::new);
        if (row.sheet() != null) return new State(1, "", "", "/sheets/" + row.sheet());
        String failed = row.failed().isEmpty() && row.silent() ? "The server stopped while the bundle was being opened. Open it again."
                : row.failed();
        return new State(row.share(), row.told(), failed, "");
    }

    static String attachment(String file) {
        return ContentDisposition.attachment().filename(file, StandardCharsets.UTF_8).build().toString();
    }
}
