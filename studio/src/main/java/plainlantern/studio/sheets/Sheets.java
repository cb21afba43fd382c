package plainlantern.studio.sheets;

import java.time.Duration;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.locks.Lock;
import java.util.concurrent.locks.ReentrantLock;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.function.Supplier;
import java.util.stream.IntStream;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;
import plainlantern.asking.BadInput;
import plainlantern.editing.Edit;
import plainlantern.editing.reading.Again;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.SheetJson;
import plainlantern.sheet.SheetText;
import plainlantern.studio.quota.Quotas;
import plainlantern.studio.web.NotFound;

/**
 * The one way to make, read and change sheets. Every call names the account that asks. Documents are read, edited and written outside of
 * transactions; a transaction only asks whether the sheet is still the one that was edited, and stores.
 */
@Service
public class Sheets {
    /** So many steps can be undone. */
    public static final int KEPT = 500;
    /** How long a sheet that was put away can be brought back. */
    public static final Duration AWAY = Duration.ofDays(30);
    /** So often an edit is computed anew because another node was faster; then it is computed while the sheet is locked. */
    private static final int TRIES = 3;
    private static final Logger LOG = LoggerFactory.getLogger(Sheets.class);

    private final SheetStore sheets;
    private final RevisionStore revisions;
    private final KeepStore keeps;
    private final ShelvedStore shelved;
    private final Heads heads;
    private final MadeEditStore made;
    private final Quotas quotas;
    private final TransactionTemplate transaction;
    /** Edits of one sheet on this node come one after the other, before any of them takes a connection. */
    private final Lock[] turns = IntStream.range(0, 64).mapToObj(i -> new ReentrantLock(true)).toArray(Lock[]::new);

    Sheets(SheetStore sheets, RevisionStore revisions, KeepStore keeps, ShelvedStore shelved, Heads heads,
            MadeEditStore made, Quotas quotas,
            TransactionTemplate transaction) {
        this.sheets = sheets;
        this.revisions = revisions;
        this.keeps = keeps;
        this.shelved = shelved;
        this.heads = heads;
        this.made = made;
        this.quotas = quotas;
        this.transaction = transaction;
    }

    /** Stores a new sheet and returns its id; throws {@link BadInput} where the account has no room for it. */
    public UUID add(UUID account, Sheet sheet, String title) {
        return addAll(account, List.of(sheet), title, SheetKind.SHEET, added -> true).get(0);
    }

    /**
     * Stores new sheets, all or none of them, and returns their ids; throws {@link BadInput} where the account has no room for them.
     *
     * @param with is done in the same transaction, given the ids; where it says false, none is stored
     */
    public List<UUID> addAll(UUID account, List<Sheet> all, String title, SheetKind kind, Predicate<List<UUID>> with) {
        List<Document> documents = all.parallelStream().map(Document::of).toList();
        quotas.sheets(account, all.size(), documents.stream().mapToLong(Document::bytes).sum());
        Map<UUID, Document> fresh = new LinkedHashMap<>();
        for (Document document : documents) fresh.put(UUID.randomUUID(), document);
        List<UUID> ids = List.copyOf(fresh.keySet());
        transaction.executeWithoutResult(status -> {
            sheets.add(account, kind, fresh.entrySet().stream().map(one -> new SheetStore.Fresh(one.getKey(),
                    Facts.of(one.getValue().sheet()), one.getValue().bytes())).toList());
            revisions.first(title, fresh);
            shelved.add(account, fresh);
            if (!with.test(ids)) status.setRollbackOnly();
        });
        return ids;
    }

    /** The account's templates. */
    public List<Card> templates(UUID account, int most) {
        return sheets.templates(account, most).stream().map(card -> known(card, account)).toList();
    }

    /** The cards of those sheets that are there, in that order. */
    public List<Card> cards(UUID account, List<UUID> ids) {
        Map<UUID, Card> byId = new HashMap<>();
        for (Card card : sheets.cards(account, ids)) if (card.awayAt() == null) byId.put(card.id(), card);
        return ids.stream().map(byId::get).filter(Objects::nonNull).toList();
    }

    /** Puts sheets of a series away, each of which stands by itself from then on. */
    public void release(UUID account, List<UUID> ids) {
        sheets.release(account, ids);
    }

    /** Throws {@link NotFound} where the account has no such sheet, {@link Damaged} where it cannot be read. */
    public Opened open(UUID id, UUID account) {
        return opened(at(id, account));
    }

    /** A sheet at one moment. */
    private record At(Standing standing, Heads.Head head) {
        Sheet sheet() {
            return head.sheet();
        }

        long version() {
            return standing.row().version();
        }
    }

    private At at(UUID id, UUID account) {
        Standing standing = sheets.standing(id, account).orElseThrow(NotFound::new);
        Optional<Heads.Head> kept = heads.find(id, standing.row().version());
        if (kept.isPresent()) return new At(standing, kept.get());
        SheetStore.Whole whole = sheets.whole(id, account).orElseThrow(NotFound::new);
        SheetRow row = whole.standing().row();
        Heads.Head read = new Heads.Head(read(row, whole.document()), SheetText.Elements.NONE);
        heads.keep(id, row.version(), read);
        return new At(whole.standing(), read);
    }

    private Sheet read(SheetRow row, String document) {
        try {
            return SheetJson.read(document);
        } catch (RuntimeException e) {
            LOG.warn("Sheet {} cannot be read at step {}", row.id(), row.head(), e);
            sheets.damaged(row.id(), row.version());
            throw new Damaged(row.id(), e);
        }
    }

    private static Opened opened(At at) {
        SheetRow row = at.standing().row();
        return new Opened(row.id(), row.version(), at.sheet(), at.standing().undo(), at.standing().redo(), row.changedAt());
    }

    /** The sheet's version alone, for a window that asks whether another one changed it. */
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
     * @param name    the name that the page gave the edit, the same each time it sends it
     * @param reading may be asked more than once
     */
    public Optional<Change> apply(UUID id, UUID account, Optional<UUID> name, Function<Sheet, Edit> reading) {
        return inTurn(id, () -> {
            for (int tries = 0; tries < TRIES; tries++) {
                At at = at(id, account);
                if (made(id, name)) return Optional.empty();
                Optional<Change> change = stored(at, edited(at.head(), reading), account, name);
                if (change.isPresent()) return change;
                if (made(id, name)) return Optional.empty();
            }
            return transaction.execute(status -> {
                sheets.lock(id, account).orElseThrow(NotFound::new);
                At at = at(id, account);
                return made(id, name) ? Optional.empty() : stored(at, edited(at.head(), reading), account, name);
            });
        });
    }

    private <T> T inTurn(UUID id, Supplier<T> work) {
        Lock turn = turns[Math.floorMod(id.hashCode(), turns.length)];
        turn.lock();
        try {
            return work.get();
        } finally {
            turn.unlock();
        }
    }

    /** An edit that was computed and waits to be stored; without a document where it changes nothing. */
    private record Edited(Sheet before, String title, Optional<Document> after, Optional<String> edit) {}

    private static Edited edited(Heads.Head head, Function<Sheet, Edit> reading) {
        Sheet before = head.sheet();
        Edit edit = reading.apply(before);
        Sheet after = edit.on(before);
        return after.equals(before) ? new Edited(before, "", Optional.empty(), Optional.empty())
                : new Edited(before, edit.title(before), Optional.of(Document.of(after, head.texts())),
                Again.kept(edit));
    }

    /** Empty where the sheet was changed meanwhile, or the edit was made. */
    private Optional<Change> stored(At at, Edited edited, UUID account, Optional<UUID> name) {
        SheetRow row = at.standing().row();
        if (edited.after().isEmpty()) {
            if (name.isPresent()) made.add(row.id(), name.get());
            return Optional.of(new Change(edited.before(), row.version(), opened(at)));
        }
        Document document = edited.after().get();
        return transaction.execute(status -> {
            SheetRow now = sheets.lock(row.id(), account).orElseThrow(NotFound::new);
            if (now.version() != row.version() || name.isPresent() && !made.add(row.id(), name.get())) return Optional.empty();
            quotas.history(account, document.bytes());
            int head = row.head() + 1;
            long grown = revisions.put(row.id(), head, edited.title(), document, edited.edit(), KEPT);
            long most = quotas.quota().sheetHistoryBytes();
            if (now.bytes() + grown > most) grown -= revisions.lighten(row.id(), head, most);
            if (!document.sheet().shelf().equals(edited.before().shelf())) shelved.add(row.id(), account, document.pictures());
            return Optional.of(pointed(at, head, new Heads.Head(document.sheet(), document.text().elements()), grown));
        });
    }

    public Change undo(UUID id, UUID account) {
        return step(id, account, -1, version(id, account), Optional.empty()).orElseThrow();
    }

    public Change redo(UUID id, UUID account) {
        return step(id, account, 1, version(id, account), Optional.empty()).orElseThrow();
    }

    /** The steps of a sheet that are kept, the latest first; those after {@link #head} were taken back. */
    public List<RevisionStore.Step> steps(UUID id, UUID account) {
        version(id, account);
        return revisions.steps(id);
    }

    /** The number of the step that is shown. */
    public int head(UUID id, UUID account) {
        return sheets.find(id, account).orElseThrow(NotFound::new).head();
    }

    /** Those of the steps that can be done again, from first to last. */
    public List<Again.Step> again(UUID id, UUID account, Collection<Integer> numbers) {
        version(id, account);
        return revisions.again(id, numbers);
    }

    /**
     * Goes so many steps back, such as −1, or on, from the version that the page shows; what is to be taken back must have been seen.
     * Empty where the sheet is at another version, or this step was made before.
     *
     * @param name as in {@link #apply(UUID, UUID, Optional, Function)}
     */
    public Optional<Change> step(UUID id, UUID account, int by, long version, Optional<UUID> name) {
        return inTurn(id, () -> {
            At at = at(id, account);
            if (at.version() != version || made(id, name)) return Optional.empty();
            int head = at.standing().row().head() + by;
            Optional<String> there = revisions.document(id, head);
            BadInput.unless(there.isPresent(), "", by < 0 ? "There is nothing to undo." : "There is nothing to redo.");
            Sheet after = Document.read(there.get())
                    .orElseThrow(() -> new BadInput("", "That step can’t be read, so the sheet stays as it is."));
            return transaction.execute(status -> {
                SheetRow now = sheets.lock(id, account).orElseThrow(NotFound::new);
                if (now.version() != version || name.isPresent() && !made.add(id, name.get())) return Optional.empty();
                return Optional.of(pointed(at, head, new Heads.Head(after, SheetText.Elements.NONE), 0));
            });
        });
    }

    /** Within a transaction: shows another revision, whose history grew by so many bytes. */
    private Change pointed(At before, int head, Heads.Head after, long grown) {
        UUID id = before.standing().row().id();
        sheets.point(id, head, Facts.of(after.sheet()), grown);
        Standing standing = sheets.standing(id, before.standing().row().accountId()).orElseThrow(NotFound::new);
        heads.keepWhenDone(id, standing.row().version(), after);
        return new Change(before.sheet(), before.version(), opened(new At(standing, after)));
    }

    /** Goes back to the last step that can be read; throws {@link BadInput} where none can. */
    public void recover(UUID id, UUID account) {
        transaction.executeWithoutResult(status -> {
            SheetRow row = sheets.lock(id, account).orElseThrow(NotFound::new);
            for (int number : revisions.before(id, row.head() + 1)) {
                Optional<Sheet> sheet = revisions.document(id, number).flatMap(Document::read);
                if (sheet.isEmpty()) continue;
                long gone = revisions.removeFrom(id, number + 1);
                sheets.point(id, number, Facts.of(sheet.get()), -gone);
                return;
            }
            throw new BadInput("", "No step of this sheet can be read. It can only be deleted.");
        });
    }

    /** Saves the sheet as it is under a name. */
    public void keep(UUID id, UUID account, String name) {
        Document document = Document.of(open(id, account).sheet());
        quotas.history(account, document.bytes());
        transaction.executeWithoutResult(status -> {
            keeps.add(id, name, document);
            sheets.weigh(id, document.bytes());
            shelved.add(id, account, document.pictures());
        });
    }

    /** Deletes a version that was saved. */
    public void forget(UUID id, UUID account, UUID keep) {
        version(id, account);
        transaction.executeWithoutResult(status -> sheets.weigh(id, -keeps.remove(id, keep)));
    }

    /** Whether an edit of that name was made. */
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

    /** Ends a sheet that was put away. */
    public void remove(UUID id, UUID account) {
        if (!sheets.remove(id, account)) throw new NotFound();
    }

    /** One page of cards, each with what it says of its sheet. */
    public List<Card> cards(UUID account, Listing listing) {
        return sheets.cards(account, listing).stream().map(card -> known(card, account)).toList();
    }

    public int count(UUID account, Listing listing) {
        return sheets.count(account, listing);
    }

    /** The card of a sheet, put away or not. */
    public Card card(UUID id, UUID account) {
        return known(sheets.card(id, account).orElseThrow(NotFound::new), account);
    }

    /** A sheet of before cards said anything is looked at once. */
    private Card known(Card card, UUID account) {
        if (card.size() != null || card.damaged() || card.awayAt() != null) return card;
        try {
            Facts facts = Facts.of(open(card.id(), account).sheet());
            sheets.note(card.id(), card.version(), facts);
            return card.with(facts);
        } catch (Damaged damaged) {
            return card.unreadable();
        }
    }
}
