package plainlantern.studio.proofs;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.SecureRandom;
import java.util.Base64;
import java.util.HexFormat;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;
import plainlantern.asking.BadInput;
import plainlantern.picture.Sha256;
import plainlantern.studio.jobs.ShortJobs;
import plainlantern.studio.series.SeriesStore;
import plainlantern.studio.sheets.Opened;
import plainlantern.studio.sheets.Sheets;
import plainlantern.studio.web.NotFound;

/** Links and the notes that come by them. */
@Service
class Proofs {
    private static final int TOKEN_BYTES = 24;
    private static final int MOST_LINKS = 20;
    /** Sheets of a series that are painted before anybody asks. */
    private static final int PAINTED = 12;
    private static final int MOST_NOTES = 500;
    private static final int MOST_DAYS = 365;
    private static final int LONGEST_NAME = 60;
    private static final int LONGEST_NOTE = 2000;
    private static final int LONGEST_WORD = 60;
    /** Pixels along the longer side that a visitor's screen may ask for. */
    static final List<Integer> SIDES = List.of(480, 960, 1600, 2560);

    private final ProofStore store;
    private final NoteStore notes;
    private final Sheets sheets;
    private final SeriesStore series;
    private final Painting painting;
    private final ShortJobs jobs;
    private final PasswordEncoder words;
    private final SecureRandom random = new SecureRandom();

    Proofs(ProofStore store, NoteStore notes, Sheets sheets, SeriesStore series, Painting painting, ShortJobs jobs,
            PasswordEncoder words) {
        this.store = store;
        this.notes = notes;
        this.sheets = sheets;
        this.series = series;
        this.painting = painting;
        this.jobs = jobs;
        this.words = words;
    }

    /** An open link; throws {@link NotFound} for one that never was, has ended or was withdrawn. */
    Proof open(String token) {
        return store.find(token).filter(Proof::open).orElseThrow(NotFound::new);
    }

    /** What somebody carries who entered the link's word; nobody can make it up who does not know the word's hash. */
    String pass(Proof proof) {
        MessageDigest digest = Sha256.digest();
        digest.update((proof.token() + " " + proof.word()).getBytes(StandardCharsets.UTF_8));
        return HexFormat.of().formatHex(digest.digest());
    }

    boolean entered(Proof proof, String pass) {
        return proof.word() == null || pass != null && MessageDigest.isEqual(pass.getBytes(StandardCharsets.UTF_8),
                pass(proof).getBytes(StandardCharsets.UTF_8));
    }

    boolean right(Proof proof, String word) {
        return proof.word() == null || word.length() <= LONGEST_WORD && words.matches(word.strip(), proof.word());
    }

    /** The sheets that a link shows, without those that were put away. */
    List<UUID> sheets(Proof proof) {
        List<UUID> all = proof.sheet() != null ? List.of(proof.sheet()) : series.sheets(proof.series());
        return sheets.cards(proof.account(), all).stream().map(card -> card.id()).toList();
    }

    Opened sheet(Proof proof, UUID sheet) {
        return sheets.open(sheet, proof.account());
    }

    byte[] painted(Proof proof, Opened opened, int side) {
        return painting.painted(proof.account(), opened, side);
    }

    List<Note> notes(Proof proof) {
        return notes.of(proof.id());
    }

    void note(Proof proof, UUID sheet, double x, double y, String author, String says) {
        BadInput.unless(x >= 0 && x <= 1 && y >= 0 && y <= 1, "says", "Put the note on the sheet.");
        String name = author == null ? "" : author.strip();
        String text = says == null ? "" : says.strip();
        BadInput.unless(!name.isEmpty() && name.length() <= LONGEST_NAME, "author", "Say who you are, in at most " + LONGEST_NAME
                + " letters.");
        BadInput.unless(!text.isEmpty(), "says", "Write what you want to say.");
        BadInput.unless(text.length() <= LONGEST_NOTE, "says", "A note has at most " + LONGEST_NOTE + " letters.");
        BadInput.unless(notes.count(proof.id()) < MOST_NOTES, "says", "There are " + MOST_NOTES + " notes already.");
        notes.add(proof.id(), sheet, x, y, name, text);
    }

    /**
     * Makes a link.
     *
     * @param days after which it ends; empty for never
     * @param word that visitors enter; empty for none
     */
    void link(UUID account, Optional<UUID> sheet, Optional<UUID> ofSeries, String days, String word) {
        BadInput.unless(store.of(account, sheet.or(() -> ofSeries).orElseThrow()).stream().filter(Proof::open).count() < MOST_LINKS, "days",
                "There are " + MOST_LINKS + " links already. Withdraw one first.");
        BadInput.unless(word.strip().length() <= LONGEST_WORD, "word", "A word has at most " + LONGEST_WORD + " letters.");
        byte[] bytes = new byte[TOKEN_BYTES];
        random.nextBytes(bytes);
        Optional<String> asked = Optional.of(word.strip()).filter(w -> !w.isEmpty()).map(words::encode);
        store.add(account, sheet, ofSeries, Base64.getUrlEncoder().withoutPadding().encodeToString(bytes), asked, days(days));
        List<UUID> first = sheet.map(List::of).orElseGet(() -> series.sheets(ofSeries.orElseThrow()));
        for (UUID one : first.subList(0, Math.min(PAINTED, first.size()))) jobs.add(Painting.NAME, Painting.what(account, one));
    }

    private static Integer days(String text) {
        if (text.isBlank()) return null;
        try {
            int days = Integer.parseInt(text.strip());
            BadInput.unless(days >= 1 && days <= MOST_DAYS, "days", "A link lasts 1 to " + MOST_DAYS + " days, or for ever.");
            return days;
        } catch (NumberFormatException e) {
            throw new BadInput("days", "“" + text.strip() + "” is not a number of days.");
        }
    }

    /** The links to a sheet or a series. */
    List<Proof> links(UUID account, UUID what) {
        return store.of(account, what);
    }

    List<Note> on(UUID account, UUID sheet) {
        return notes.on(account, sheet);
    }

    int waiting(UUID account, List<UUID> of) {
        return notes.waiting(account, of);
    }

    void withdraw(UUID account, UUID link) {
        if (!store.withdraw(account, link)) throw new NotFound();
    }

    void answer(UUID account, UUID sheet, UUID note, String answer, boolean done) {
        BadInput.unless(answer.length() <= LONGEST_NOTE, "answer", "An answer has at most " + LONGEST_NOTE + " letters.");
        if (!notes.change(account, sheet, note, answer.strip(), done)) throw new NotFound();
    }

    void remove(UUID account, UUID sheet, UUID note) {
        if (!notes.remove(account, sheet, note)) throw new NotFound();
    }
}
