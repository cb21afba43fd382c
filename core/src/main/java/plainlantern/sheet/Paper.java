package plainlantern.sheet;

import com.fasterxml.jackson.annotation.JsonTypeInfo;
import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import plainlantern.geometry.BadInput;
import plainlantern.geometry.Typed;

/** What lies behind everything on a sheet. */
@JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "kind")
public sealed interface Paper {
    /** One colour all over. */
    @JsonTypeName("plain")
    record Plain(Colour colour) implements Paper {}

    /** Colours that run into each other over the sheet, as in {@link Content.Wash}; all of them opaque. */
    @JsonTypeName("washed")
    record Washed(List<Stop> stops, @Typed.Turn double turn, @Typed.Switch boolean round) implements Paper {
        public Washed {
            stops = new Content.Wash(stops, turn, round, Look.PLAIN).stops();
            BadInput.unless(stops.stream().allMatch(s -> s.opacity() == 1), "opacity", "Paper is opaque. Choose no paper for a clear background.");
        }
    }

    /**
     * A picture that covers the sheet and its bleed.
     *
     * @param picture the picture's id
     * @param blur    mm; the standard deviation is half of it
     */
    @JsonTypeName("pictured")
    record Pictured(String picture, @Typed.Length double blur) implements Paper {
        public Pictured {
            BadInput.unless(blur >= 0 && blur <= Shadow.MOST, "blur", "A blur is 0 to 500 mm: 0 is sharp, and there is nothing sharper.");
        }
    }

    /** Nothing: what no panel covers stays transparent. */
    @JsonTypeName("none")
    record None() implements Paper {}
}
