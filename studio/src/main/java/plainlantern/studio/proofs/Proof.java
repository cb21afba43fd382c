package plainlantern.studio.proofs;

import java.time.OffsetDateTime;
import java.util.UUID;

/**
 * A link.
 *
 * @param sheet   what it shows; null where that is a series
 * @param series  null where it shows one sheet
 * @param word    the hash of a word that visitors enter; null where none is asked
 * @param expires null where it does not
 */
public record Proof(UUID id, UUID account, UUID sheet, UUID series, String token, String word, OffsetDateTime expires,
        OffsetDateTime withdrawn) {
    /** Whether it leads anywhere now. */
    public boolean open() {
        return withdrawn == null && (expires == null || expires.isAfter(OffsetDateTime.now()));
    }

    public String address() {
        return "/proof/" + token;
    }
}
