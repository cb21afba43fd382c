package plainlantern.sheet;

import com.fasterxml.jackson.annotation.JsonTypeInfo;

/** Something on the sheet that has a depth. */
@JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "kind")
public sealed interface Element permits Panel {
    /** Unique on its sheet and never used twice. */
    String id();

    String name();

    /** Whether its place and its being there are safe from gestures and edits. */
    boolean locked();

    /** Whether it is left out of the board and of every delivery. */
    boolean hidden();

    /** The name of the group it belongs to, empty where to none. */
    String group();
}
