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
 * @param awayAt  when it was put away; null where it was not
 */
public record Card(UUID id, String name, String size, Integer panels, long version, boolean damaged, boolean drawn, OffsetDateTime awayAt) {
    /** Days until a sheet that was put away goes for good. */
    public long daysLeft() {
        return Math.max(0, Sheets.AWAY.minus(Duration.between(awayAt, OffsetDateTime.now())).toDays());
    }

    Card with(Facts facts) {
        return new Card(id, name, facts.size(), facts.panels(), version, damaged, drawn, awayAt);
    }

    Card unreadable() {
        return new Card(id, name, size, panels, version, true, drawn, awayAt);
    }
}
