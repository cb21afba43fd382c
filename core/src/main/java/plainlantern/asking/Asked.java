package plainlantern.asking;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/**
 * A record component that a person is asked for: {@link Questions} builds fields from it and refuses what is out of its limits. Whether
 * it is a length, a share or a count is said by the {@link Typed} annotation beside it.
 */
@Retention(RetentionPolicy.RUNTIME)
@Target(ElementType.RECORD_COMPONENT)
public @interface Asked {
    /** What the field is called. */
    String value();

    /**
     * What stands in the field at first: a number, {@code true}, a text; for lengths a share of the shorter side of the area at hand,
     * rounded to a plain number.
     */
    String first() default "0";

    /** The least value that is allowed; lengths in mm. */
    double least() default 0;

    /** The largest value that is allowed; lengths in mm. */
    double most() default 5000;
}
