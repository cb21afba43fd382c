package plainlantern.studio.tables;

import java.io.IOException;
import java.util.List;
import java.util.Optional;
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
import plainlantern.studio.account.Member;
import plainlantern.treating.CubeFile;

/** A member's tables of colours: brought, listed, taken off the list. */
@RestController
public class TableController {
    private final ColourTables tables;

    TableController(ColourTables tables) {
        this.tables = tables;
    }

    @GetMapping("/tables")
    List<TableRow> all(@AuthenticationPrincipal Member member) {
        return tables.all(member.id());
    }

    @PostMapping("/tables")
    TableRow add(@AuthenticationPrincipal Member member, @RequestParam MultipartFile file) throws IOException {
        BadInput.unless(file.getSize() <= CubeFile.MOST_BYTES, "table", "A colour table's file has at most 16 MB.");
        return tables.add(member.id(), Optional.ofNullable(file.getOriginalFilename()).orElse("table.cube"), file.getBytes());
    }

    /** Sheets that use it go on with it. */
    @DeleteMapping("/tables/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(@AuthenticationPrincipal Member member, @PathVariable String id) {
        tables.remove(member.id(), id);
    }
}
