package plainlantern.sheet;

import com.fasterxml.jackson.annotation.JsonTypeInfo;

/** Something on the sheet that has a depth. */
@JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "kind")
public sealed interface Element permits Panel {
    /** Unique on its sheet and never used twice. */
    String id();

    String name();
}
