package plainlantern.studio.shelf;

import java.time.Duration;
import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.boot.context.properties.bind.DefaultValue;

/**
 * How foreign files are read: {@code lantern.imports.time}, or LANTERN_IMPORTS_TIME.
 *
 * @param atOnce helper processes; one account takes all but one of them
 * @param time   of a processor that a file may take; five times that in all
 * @param heap   of each helper, as java's option -Xmx takes it
 * @param idle   until a helper that has nothing to do ends
 */
@ConfigurationProperties("lantern.imports")
record Imports(@DefaultValue("3") int atOnce, @DefaultValue("60s") Duration time, @DefaultValue("1200m") String heap,
        @DefaultValue("60s") Duration idle) {}
