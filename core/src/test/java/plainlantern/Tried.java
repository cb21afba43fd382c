package plainlantern;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/**
 * A test of what must hold whatever the input: its method takes a {@link Chance} and is run so many times, with the same seeds on
 * every machine. {@code ./lantern explore MINUTES} runs it with new ones; a seed that it found goes into {@link #also}.
 */
@Test
@Tag("tried")
@Target(ElementType.METHOD)
@Retention(RetentionPolicy.RUNTIME)
@ExtendWith(Trying.class)
public @interface Tried {
    /** How often. */
    int value();

    /** Seeds that failed once. */
    long[] also() default {};
}
