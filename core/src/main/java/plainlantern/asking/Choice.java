package plainlantern.asking;

import com.fasterxml.jackson.annotation.JsonValue;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;

/** One of a few: documents and pages call it by its name in lower case, with hyphens. */
public interface Choice {
    String name();

    /** The one of {@code all} that is called so. */
    static <T extends Choice> Optional<T> called(String label, T[] all) {
        return Stream.of(all).filter(one -> one.label().equals(label)).findFirst();
    }

    @JsonValue
    default String label() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }
}
