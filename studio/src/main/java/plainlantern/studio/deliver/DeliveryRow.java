package plainlantern.studio.deliver;

import java.util.UUID;
import plainlantern.studio.quota.Quotas;

/**
 * What the list of deliveries shows.
 *
 * @param file      what the finished file is called
 * @param title     what it is, in a few words
 * @param progress  0 to 1
 * @param said      why it failed, or what is done before it is painted
 * @param mediaType of the file
 * @param bytes     the file's size, 0 until there is one
 */
public record DeliveryRow(UUID id, String file, String title, DeliveryState state, double progress, String said,
        String mediaType, long bytes) {
    /** What is to be read of it beside its name: how far it is, how large it became, or why it did not. */
    public String told() {
        return switch (state) {
            case WAITING -> "waiting";
            case PAINTING -> said == null || said.isEmpty() ? Math.round(progress * 100) + " %" : said;
            case DONE -> Quotas.told(bytes);
            case FAILED -> said;
            case STOPPED -> "stopped";
        };
    }
}
