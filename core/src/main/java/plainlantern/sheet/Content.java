package plainlantern.sheet;

import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import java.util.Optional;
import java.util.function.UnaryOperator;

/** One layer of what a panel shows. */
@JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "kind")
@JsonSubTypes({@JsonSubTypes.Type(PictureLayer.class), @JsonSubTypes.Type(Wash.class), @JsonSubTypes.Type(Words.class)})
public sealed interface Content permits PictureLayer, Wash, Words {
    /** How it meets what lies behind it. */
    Look look();

    /** The same with another look. */
    Content looking(Look newLook);

    /** What hides parts of it. */
    Optional<Veil> veil();

    /** The same with another veil; one without parts is none. */
    Content veiled(Optional<Veil> newVeil);

    /** What is done with each kind of layer, in one place. */
    interface Kinds<T> {
        T picture(PictureLayer layer);

        T wash(Wash layer);

        T words(Words layer);
    }

    <T> T as(Kinds<T> kinds);

    /** It as a picture, where it is one: one of the panel's own, or a slice of a vista. */
    default Optional<PictureLayer> picture() {
        return Optional.empty();
    }

    default Optional<Wash> wash() {
        return Optional.empty();
    }

    default Optional<Words> words() {
        return Optional.empty();
    }

    /** The same with each of its colours replaced. */
    default Content recoloured(UnaryOperator<Colour> change) {
        return this;
    }

    /** The same in a sheet that is so many times as large: its letters and paddings. */
    default Content scaled(double factor) {
        return this;
    }
}
