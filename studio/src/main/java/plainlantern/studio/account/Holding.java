package plainlantern.studio.account;

import java.util.List;
import java.util.Locale;
import plainlantern.studio.quota.Quota;
import plainlantern.studio.quota.Quotas;
import plainlantern.studio.quota.Usage;

/**
 * One kind of thing that an account holds, against what it may hold.
 *
 * @param share 0 to 1
 */
public record Holding(String what, String used, String most, double share) {
    static List<Holding> of(Usage usage, Quota quota) {
        return List.of(bytes("Pictures", usage.pictures(), quota.pictureBytes()),
                number("Sheets, deleted ones included", usage.sheets(), quota.sheets()),
                bytes("Steps and versions of all sheets", usage.history(), quota.historyBytes()),
                        bytes("Finished files", usage.files(), quota.fileBytes()),
                number("Files waiting to be made", usage.waiting(), quota.waiting()));
    }

    private static Holding bytes(String what, long used, long most) {
        return new Holding(what, Quotas.told(used), Quotas.told(most), share(used, most));
    }

    private static Holding number(String what, long used, long most) {
        return new Holding(what, String.format(Locale.ROOT, "%,d", used), String.format(Locale.ROOT, "%,d", most), share(used, most));
    }

    private static double share(long used, long most) {
        return most == 0 ? 1 : Math.min(1, (double) used / most);
    }
}
