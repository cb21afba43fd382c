package plainlantern.studio.sheets;

import java.time.Duration;
import java.time.OffsetDateTime;
import java.util.UUID;

/**
 * A sheet's card.
 *
 * @param size    in words; null where it is not known yet
 * @param damaged whether its document could not be read
 * @param drawn   whether its thumbnail is that of this version
 * @param faults  what Check found, where it looked; null where it did not
 * @param awayAt  when it was put away; null where it was not
 */
public record Card(UUID id, String name, String size, Integer panels, long version, boolean damaged, boolean drawn, Integer faults,
        Integer warnings, OffsetDateTime awayAt) {
    /** Days until a sheet that was put away goes for good. */
    public long daysLeft() {
        return Math.max(0, Sheets.AWAY.minus(Duration.between(awayAt, OffsetDateTime.now())).toDays());
    }

    /** What Check found on it, in words; empty where it did not look yet. */
    public String found() {
        if (faults == null || !drawn) return "";
        String heavy = faults == 0 ? "" : faults + (faults == 1 ? " fault" : " faults");
        String light = warnings == 0 ? "" : warnings + (warnings == 1 ? " warning" : " warnings");
        if (faults + warnings == 0) return "No faults";
        return heavy + (heavy.isEmpty() || light.isEmpty() ? "" : ", ") + light;
    }

    /** How heavy that is, in a word; empty where nobody looked yet. */
    public String weight() {
        return faults == null || !drawn ? "" : faults > 0 ? "fault" : warnings > 0 ? "warning" : "good";
    }

    Card with(Facts facts) {
        return new Card(id, name, facts.size(), facts.panels(), version, damaged, drawn, faults, warnings, awayAt);
    }

    Card unreadable() {
        return new Card(id, name, size, panels, version, true, drawn, faults, warnings, awayAt);
    }
}
