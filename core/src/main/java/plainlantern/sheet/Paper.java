package plainlantern.sheet;

import com.fasterxml.jackson.annotation.JsonTypeInfo;
import com.fasterxml.jackson.annotation.JsonTypeName;

/** What lies behind everything on a sheet. */
@JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "kind")
public sealed interface Paper {
    /** One colour all over. */
    @JsonTypeName("plain")
    record Plain(Colour colour) implements Paper {}

    /** Nothing: what no panel covers stays transparent. */
    @JsonTypeName("none")
    record None() implements Paper {}
}
