package plainlantern.sheet;

import com.fasterxml.jackson.annotation.JsonTypeInfo;
import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import plainlantern.asking.BadInput;
import plainlantern.asking.Typed;

/** What lies behind everything on a sheet. */
@JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "kind")
public sealed interface Paper {
    /** What is done with each kind, in one place. */
    interface Kinds<T> {
        T plain(Plain paper);

        T washed(Washed paper);

        T pictured(Pictured paper);

        T none();
    }

    <T> T as(Kinds<T> kinds);

    /** It as a picture, where it is one. */
    default Optional<Pictured> pictured() {
        return Optional.empty();
    }

    /** The same with each of its colours replaced. */
    default Paper recoloured(UnaryOperator<Colour> change) {
        return this;
    }

    /** The same on a sheet that is so many times as large. */
    default Paper scaled(double factor) {
        return this;
    }

    /** One colour all over. */
    @JsonTypeName("plain")
    record Plain(Colour colour) implements Paper {
        @Override
        public <T> T as(Kinds<T> kinds) {
            return kinds.plain(this);
        }

        @Override
        public Plain recoloured(UnaryOperator<Colour> change) {
            return new Plain(change.apply(colour));
        }
    }

    /** Colours that run into each other over the sheet, as in {@link Wash}; all of them opaque. */
    @JsonTypeName("washed")
    record Washed(List<Stop> stops, @Typed.Turn double turn, @Typed.Switch boolean round) implements Paper {
        public Washed {
            stops = new Wash(stops, turn, round, Look.PLAIN).stops();
            BadInput.unless(stops.stream().allMatch(s -> s.opacity() == 1), "opacity",
                    "Paper is opaque. Choose no paper for a clear background.");
        }

        /** The same as a layer. */
        public Wash wash() {
            return new Wash(stops, turn, round, Look.PLAIN);
        }

        @Override
        public <T> T as(Kinds<T> kinds) {
            return kinds.washed(this);
        }

        @Override
        public Washed recoloured(UnaryOperator<Colour> change) {
            return new Washed(wash().recoloured(change).stops(), turn, round);
        }
    }

    /**
     * A picture that covers the sheet and its bleed.
     *
     * @param picture   the picture's id
     * @param blur      mm; the standard deviation is half of it
     * @param treatment what is done to its pixels
     */
    @JsonTypeName("pictured")
    record Pictured(String picture, @Typed.Length double blur, Treatment treatment) implements Paper {
        public Pictured {
            Ids.picture(picture);
            treatment = treatment == null ? Treatment.NONE : treatment;
            BadInput.unless(blur >= 0 && blur <= Shadow.MOST, "blur", "A blur is 0 to 500 mm: 0 is sharp, and there is nothing sharper.");
        }

        /** The same with another picture. */
        public Pictured showing(Picture newPicture) {
            return new Pictured(newPicture.id(), blur, newPicture.treatment().inPlaceOf(treatment));
        }

        @Override
        public Pictured recoloured(UnaryOperator<Colour> change) {
            return treated(treatment.toning(tone -> tone.recoloured(change)));
        }

        public Pictured treated(Treatment newTreatment) {
            return new Pictured(picture, blur, newTreatment);
        }

        @Override
        public <T> T as(Kinds<T> kinds) {
            return kinds.pictured(this);
        }

        @Override
        public Optional<Pictured> pictured() {
            return Optional.of(this);
        }

        @Override
        public Pictured scaled(double factor) {
            return new Pictured(picture, Math.min(Shadow.MOST, blur * factor), treatment.toning(tone -> tone.scaled(factor)));
        }
    }

    /** Nothing: what no panel covers stays transparent. */
    @JsonTypeName("none")
    record None() implements Paper {
        @Override
        public <T> T as(Kinds<T> kinds) {
            return kinds.none();
        }
    }
}
