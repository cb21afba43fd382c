package plainlantern.studio.shelf;

import java.awt.image.BufferedImage;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.Supplier;

/** The previews that were treated last, decoded: while a slider moves, the same one is asked for again and again. Nobody changes them. */
final class RecentPreviews {
    private static final int MOST = 8;

    private final Map<String, BufferedImage> kept = new LinkedHashMap<>(MOST, 0.75f, true) {
        @Override
        protected boolean removeEldestEntry(Map.Entry<String, BufferedImage> eldest) {
            return size() > MOST;
        }
    };

    BufferedImage of(String sha, String kind, Supplier<BufferedImage> decode) {
        String key = sha + kind;
        synchronized (kept) {
            BufferedImage there = kept.get(key);
            if (there != null) return there;
        }
        BufferedImage decoded = decode.get();
        synchronized (kept) {
            kept.put(key, decoded);
        }
        return decoded;
    }
}
