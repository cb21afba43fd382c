package plainlantern.studio.sheets;

import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import plainlantern.editing.Edit;
import plainlantern.geometry.BadInput;
import plainlantern.sheet.Sheet;
import plainlantern.studio.web.NotFound;

/** The one way to make, read and change sheets. Every call names the account that asks. */
@Service
@Transactional
public class Sheets {
    /** So many steps can be undone. */
    public static final int KEPT = 500;

    private final SheetStore sheets;
    private final RevisionStore revisions;
    private final Heads heads;

    private final MadeEditStore made;

    Sheets(SheetStore sheets, RevisionStore revisions, Heads heads, MadeEditStore made) {
        this.sheets = sheets;
        this.revisions = revisions;
        this.heads = heads;
        this.made = made;
    }

    /** Stores a new sheet and returns its id. */
    public UUID add(UUID account, Sheet sheet, String title) {
        UUID id = UUID.randomUUID();
        sheets.add(id, account, sheet.name());
        revisions.put(id, 0, title, sheet, KEPT);
        return id;
    }

    @Transactional(readOnly = true)
    public Opened open(UUID id, UUID account) {
        SheetRow row = sheets.find(id, account).orElseThrow(NotFound::new);
        return opened(row, document(row));
    }

    private Sheet document(SheetRow row) {
        return heads.find(row.id(), row.version()).orElseGet(() -> {
            Sheet read = revisions.document(row.id(), row.head());
            heads.keep(row.id(), row.version(), read);
            return read;
        });
    }

    /** The sheet's version alone, for a window that asks whether another one changed it. */
    @Transactional(readOnly = true)
    public long version(UUID id, UUID account) {
        return sheets.find(id, account).orElseThrow(NotFound::new).version();
    }

    /**
     * Applies an edit to the sheet as it stands now, whoever changed it last.
     *
     * @param reading makes the edit, given the sheet that it will be applied to
     */
    public Change apply(UUID id, UUID account, Function<Sheet, Edit> reading) {
        return apply(id, account, Optional.empty(), reading).orElseThrow();
    }

    /**
     * As above, but an edit that was made before is not made again; empty then.
     *
     * @param name the name that the page gave the edit, the same each time it sends it
     */
    public Optional<Change> apply(UUID id, UUID account, Optional<UUID> name, Function<Sheet, Edit> reading) {
        SheetRow row = sheets.lock(id, account).orElseThrow(NotFound::new);
        if (name.isPresent() && !made.add(id, name.get())) return Optional.empty();
        return Optional.of(applied(row, reading));
    }

    private Change applied(SheetRow row, Function<Sheet, Edit> reading) {
        Sheet before = document(row);
        Edit edit = reading.apply(before);
        Sheet after = edit.on(before);
        if (after.equals(before)) return new Change(before, row.version(), opened(row, before));
        int head = row.head() + 1;
        revisions.put(row.id(), head, edit.title(before), after, KEPT);
        return pointed(row, before, head, after);
    }

    public Change undo(UUID id, UUID account) {
        return stepped(sheets.lock(id, account).orElseThrow(NotFound::new), -1);
    }

    public Change redo(UUID id, UUID account) {
        return stepped(sheets.lock(id, account).orElseThrow(NotFound::new), 1);
    }

    /**
     * Goes a step back, −1, or on, 1, from the version that the page shows; what is to be taken back must have been seen. Empty where the
     * sheet is at
     * another version, or this step was made before.
     *
     * @param name as in {@link #apply(UUID, UUID, Optional, Function)}
     */
    public Optional<Change> step(UUID id, UUID account, int by, long version, Optional<UUID> name) {
        SheetRow row = sheets.lock(id, account).orElseThrow(NotFound::new);
        if (row.version() != version || name.isPresent() && !made.add(id, name.get())) return Optional.empty();
        return Optional.of(stepped(row, by));
    }

    private Change stepped(SheetRow row, int by) {
        int head = row.head() + by;
        BadInput.unless(revisions.titlesAround(row.id(), row.head()).containsKey(head), "", by < 0 ? "There is nothing to undo."
                : "There is nothing to redo.");
        return pointed(row, document(row), head, revisions.document(row.id(), head));
    }

    private Change pointed(SheetRow row, Sheet before, int head, Sheet after) {
        SheetRow now = sheets.point(row.id(), head, after.name());
        heads.keepWhenDone(now.id(), now.version(), after);
        return new Change(before, row.version(), opened(now, after));
    }

    private Opened opened(SheetRow row, Sheet document) {
        Map<Integer, String> titles = revisions.titlesAround(row.id(), row.head());
        // The oldest revision that is kept has nothing before it to go back to.
        Optional<String> undo = titles.containsKey(row.head() - 1) ? Optional.of(titles.get(row.head())) : Optional.empty();
        return new Opened(row.id(), row.version(), document, undo, Optional.ofNullable(titles.get(row.head() + 1)), row.changedAt());
    }

    /** Whether an edit of that name was made. */
    @Transactional(readOnly = true)
    public boolean made(UUID id, Optional<UUID> name) {
        return name.isPresent() && made.contains(id, name.get());
    }

    /** Puts a sheet away; {@link #bringBack} undoes it. */
    public void putAway(UUID id, UUID account) {
        if (!sheets.putAway(id, account, true)) throw new NotFound();
    }

    public void bringBack(UUID id, UUID account) {
        if (!sheets.putAway(id, account, false)) throw new NotFound();
    }
}
