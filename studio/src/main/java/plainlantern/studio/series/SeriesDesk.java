package plainlantern.studio.series;

import java.util.UUID;
import org.springframework.stereotype.Service;
import plainlantern.series.Plan;
import plainlantern.sheet.SheetJson;
import plainlantern.studio.jobs.ShortJobs;
import plainlantern.studio.sheets.Opened;

/** Begins series. */
@Service
public class SeriesDesk {
    private final SeriesStore store;
    private final ShortJobs jobs;

    SeriesDesk(SeriesStore store, ShortJobs jobs) {
        this.store = store;
        this.jobs = jobs;
    }

    /**
     * Has the planned sheets made in the background; returns the id of their series.
     *
     * @param template a sheet of the account, as it is now
     */
    public UUID begin(UUID account, Opened template, String name, Plan plan) {
        UUID id = UUID.randomUUID();
        store.add(id, account, template.id(), name, SheetJson.write(template.sheet()), template.version(), plan.sheets(),
                String.join("\n", plan.remarks()));
        jobs.add(SeriesMaker.NAME, id.toString());
        return id;
    }
}
