package plainlantern.studio.deliver;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import plainlantern.rendering.Delivery;
import plainlantern.scene.Extent;
import plainlantern.sheet.Sheet;
import plainlantern.studio.web.NotFound;

/** Handing many sheets over at once, with settings that have a name. */
@Service
public class HandOver {
    /** Each sheet's file is called as the sheet is. */
    private static final String NAMES = "{sheet}";

    /** Finished files on a list. */
    static final int SHOWN = 20;

    private final SetStore sets;
    private final DeliveryStore deliveries;
    private final DeliveryJobs jobs;

    HandOver(SetStore sets, DeliveryStore deliveries, DeliveryJobs jobs) {
        this.sets = sets;
        this.deliveries = deliveries;
        this.jobs = jobs;
    }

    /** Those that come with the application, then the account's own. */
    public List<SetRow> settings(UUID account) {
        return Stream.concat(SetRow.USUAL.stream(), sets.list(account).stream()).toList();
    }

    /** What was handed over from any of those sheets, last one first. */
    public List<DeliveryRow> of(UUID account, List<UUID> sheets) {
        return deliveries.list(account, sheets, SHOWN);
    }

    /**
     * Orders one file of all the sheets; throws {@link plainlantern.asking.BadInput} where that cannot be made.
     *
     * @param home   the sheet whose list of finished files it is in
     * @param called the file's name, without its extension
     * @param set    which settings
     */
    public void order(UUID account, UUID home, List<Sheet> sheets, String called, String set) {
        Delivery delivery = settings(account).stream().filter(row -> row.id().equals(set)).findFirst().orElseThrow(NotFound::new)
                .settings();
        Delivery named = delivery.extent() == Extent.SHEET ? delivery.of(Extent.SHEET, NAMES) : delivery;
        jobs.add(List.of(new DeliveryOrder(account, home, sheets, List.of(), named, Optional.of(called))));
    }
}
