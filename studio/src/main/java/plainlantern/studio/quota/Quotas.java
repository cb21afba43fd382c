package plainlantern.studio.quota;

import java.util.Locale;
import java.util.UUID;
import org.springframework.stereotype.Service;
import plainlantern.asking.BadInput;

/** Refuses what an account has no room for, before any work. Each call asks the database, so all nodes count alike. */
@Service
public class Quotas {
    private static final String MAKE_ROOM = " Delete sheets you no longer need, then delete them for good under Deleted sheets.";

    private final Quota quota;
    private final UsageStore store;

    Quotas(Quota quota, UsageStore store) {
        this.quota = quota;
        this.store = store;
    }

    public Quota quota() {
        return quota;
    }

    public Usage usage(UUID account) {
        return store.of(account);
    }

    /** Room for pictures of so many bytes more. */
    public void pictures(UUID account, long more) {
        long used = usage(account).pictures();
        BadInput.unless(used + more <= quota.pictureBytes(), "pictures", "Your pictures take " + told(used) + " of "
                + told(quota.pictureBytes())
                + "; " + told(more) + " more do not fit." + MAKE_ROOM);
    }

    /** Room for one typeface more, where there are so many. */
    public void typefaces(int there) {
        BadInput.unless(there < quota.typefaces(), "file", "You have brought " + there
                + " typefaces, the most an account holds. Delete one that you no longer need.");
    }

    /** Room for one colour table more, where there are so many, those that are no longer listed included. */
    public void tables(int there) {
        BadInput.unless(there < quota.tables(), "table", "You have brought " + there + " colour tables, the most an account holds.");
    }

    /** Room for one sheet more, its first step of so many bytes. */
    public void sheet(UUID account, long bytes) {
        sheets(account, 1, bytes);
    }

    /** Room for so many sheets more, their first steps of so many bytes together. */
    public void sheets(UUID account, int more, long bytes) {
        Usage used = usage(account);
        BadInput.unless(used.sheets() + more <= quota.sheets(), "sheets", "You have " + used.sheets() + " sheets, " + (more == 1
                ? "the most an account holds." : "and an account holds " + quota.sheets() + ": " + more + " more do not fit.") + MAKE_ROOM);
        history(used.history(), bytes);
    }

    /** Room for steps or versions of so many bytes more. */
    public void history(UUID account, long more) {
        history(store.history(account), more);
    }

    private void history(long used, long more) {
        BadInput.unless(used + more <= quota.historyBytes(), "history", "The steps and versions of your sheets take " + told(used)
                + ", the most an account holds." + MAKE_ROOM);
    }

    /** Room for so many files more that wait to be made. */
    public void waiting(UUID account, int more) {
        Usage used = usage(account);
        BadInput.unless(used.waiting() + more <= quota.waiting(), "", "There are " + used.waiting()
                + " files waiting already. Let them end first.");
        files(used, 1);
    }

    /** Room for finished files of so many bytes more. */
    public void files(UUID account, long more) {
        files(usage(account), more);
    }

    private void files(Usage used, long more) {
        BadInput.unless(used.files() + more <= quota.fileBytes(), "", "Your finished files take " + told(used.files()) + " of "
                + told(quota.fileBytes())
                + ". Remove some of them from the lists in Hand over, or wait: each goes after seven days.");
    }

    /** "3.4 MB". */
    public static String told(long bytes) {
        if (bytes < 100_000) return (bytes == 0 ? 0 : Math.max(1, Math.round(bytes / 1000.0))) + " kB";
        if (bytes < 1_000_000_000) return String.format(Locale.ROOT, bytes < 100_000_000 ? "%.1f MB" : "%.0f MB", bytes / 1e6);
        return String.format(Locale.ROOT, "%.1f GB", bytes / 1e9);
    }
}
