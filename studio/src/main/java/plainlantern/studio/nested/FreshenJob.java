package plainlantern.studio.nested;

import java.util.UUID;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import plainlantern.asking.BadInput;
import plainlantern.studio.jobs.ShortJob;
import plainlantern.studio.web.NotFound;

/** Draws anew what a sheet shows of others; asked for as "account sheet". */
@Component
class FreshenJob implements ShortJob {
    static final String NAME = "freshen";
    private static final Logger LOG = LoggerFactory.getLogger(FreshenJob.class);

    private final NestedSheets nested;

    FreshenJob(NestedSheets nested) {
        this.nested = nested;
    }

    @Override
    public String name() {
        return NAME;
    }

    @Override
    public void run(String what) {
        String[] parts = what.split(" ");
        try {
            nested.freshen(UUID.fromString(parts[0]), UUID.fromString(parts[1]));
        } catch (NotFound | BadInput late) {
            // Taken away meanwhile, or no room for more: it stays as it was.
            LOG.info("Not drawn anew: {}", late.getMessage());
        }
    }
}
