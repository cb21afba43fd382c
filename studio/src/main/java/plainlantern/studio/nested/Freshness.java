package plainlantern.studio.nested;

import java.util.UUID;
import org.springframework.stereotype.Component;
import plainlantern.studio.jobs.ShortJobs;
import plainlantern.studio.sheets.Opened;

/** Has what sheets show of others drawn anew while somebody looks at them. */
@Component
public class Freshness {
    private final NestedSheets nested;
    private final ShortJobs jobs;

    Freshness(NestedSheets nested, ShortJobs jobs) {
        this.nested = nested;
        this.jobs = jobs;
    }

    /**
     * Somebody looks at a sheet as it stands.
     *
     * @return whether something on it is older than the sheet that it was drawn from, and is drawn anew
     */
    public boolean lookedAt(UUID account, Opened opened) {
        if (!nested.stale(account, opened)) return false;
        if (nested.rested(account, opened)) jobs.add(FreshenJob.NAME, account + " " + opened.id());
        return true;
    }
}
