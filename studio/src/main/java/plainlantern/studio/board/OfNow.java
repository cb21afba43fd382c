package plainlantern.studio.board;

import java.time.Duration;
import org.springframework.http.CacheControl;
import org.springframework.http.ResponseEntity;

/** Answers with what is painted from a sheet as it is now, under an address that tells how it was. */
final class OfNow {
    private static final CacheControl FOR_GOOD = CacheControl.maxAge(Duration.ofDays(365)).cachePrivate().immutable();

    private OfNow() {}

    /** @param same whether the sheet is as the address tells: then it is kept for good, else by nobody */
    static ResponseEntity.BodyBuilder answer(boolean same) {
        return ResponseEntity.ok().cacheControl(same ? FOR_GOOD : CacheControl.noStore());
    }
}
