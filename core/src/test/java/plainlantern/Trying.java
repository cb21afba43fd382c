package plainlantern;

import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.Method;
import java.security.SecureRandom;
import java.util.Arrays;
import java.util.Optional;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.junit.jupiter.api.extension.InvocationInterceptor;
import org.junit.jupiter.api.extension.ParameterContext;
import org.junit.jupiter.api.extension.ParameterResolver;
import org.junit.jupiter.api.extension.ReflectiveInvocationContext;

/** Runs a {@link Tried} test again and again; what fails is made small before it is told. */
class Trying implements InvocationInterceptor, ParameterResolver {
    /** Seconds a test, where new seeds are wanted. */
    private static final Optional<Long> EXPLORE = Optional.ofNullable(Long.getLong("lantern.explore"));
    private static final int SMALLER = 1500;

    @Override
    public boolean supportsParameter(ParameterContext parameter, ExtensionContext context) {
        return parameter.getParameter().getType() == Chance.class;
    }

    @Override
    public Object resolveParameter(ParameterContext parameter, ExtensionContext context) {
        return Chance.of(0);
    }

    @Override
    public void interceptTestMethod(Invocation<Void> invocation, ReflectiveInvocationContext<Method> call,
            ExtensionContext context) throws Throwable {
        invocation.skip();
        Method method = call.getExecutable();
        method.setAccessible(true);
        Object target = call.getTarget().orElseThrow();
        Tried tried = method.getAnnotation(Tried.class);
        if (EXPLORE.isPresent()) {
            SecureRandom fresh = new SecureRandom();
            long end = System.nanoTime() + EXPLORE.get() * 1_000_000_000L;
            while (System.nanoTime() < end) once(method, target, fresh.nextLong());
            return;
        }
        for (long seed : tried.also()) once(method, target, seed);
        for (int i = 0; i < tried.value(); i++) once(method, target, method.getName().hashCode() * 1_000_003L + i);
    }

    private static void once(Method method, Object target, long seed) throws Throwable {
        Chance chance = Chance.of(seed);
        Optional<Throwable> failed = failure(method, target, chance);
        if (failed.isEmpty()) return;
        Chance least = smallest(method, target, chance);
        Throwable why = failure(method, target, least.again()).orElse(failed.get());
        throw new AssertionError(method.getName() + " fails with seed " + seed + "L. The smallest case found: " + least
                + System.lineSeparator() + why.getMessage(), why);
    }

    private static Optional<Throwable> failure(Method method, Object target, Chance chance) throws IllegalAccessException {
        try {
            method.invoke(target, chance);
            return Optional.empty();
        } catch (InvocationTargetException thrown) {
            return Optional.of(thrown.getCause());
        }
    }

    /** Fewer and smaller choices as long as the test still fails. */
    private static Chance smallest(Method method, Object target, Chance failing) throws IllegalAccessException {
        Chance least = failing;
        int left = SMALLER;
        boolean smaller = true;
        while (smaller && left > 0) {
            smaller = false;
            for (int at = 0; at < least.taken().length && left > 0; at++) {
                int[] now = least.taken();
                for (int[] next : new int[][] {without(now, at, 8), without(now, at, 1), set(now, at, 0), set(now, at, now[at] / 2),
                        set(now, at, now[at] - 1)}) {
                    if (Arrays.equals(next, now) || left-- <= 0) continue;
                    Chance chance = Chance.replaying(next);
                    if (failure(method, target, chance).isEmpty() || !chance.smallerThan(least)) continue;
                    least = chance;
                    smaller = true;
                    break;
                }
            }
        }
        return least;
    }

    private static int[] without(int[] taken, int at, int count) {
        int end = Math.min(taken.length, at + count);
        int[] next = new int[taken.length - (end - at)];
        System.arraycopy(taken, 0, next, 0, at);
        System.arraycopy(taken, end, next, at, taken.length - end);
        return next;
    }

    private static int[] set(int[] taken, int at, int value) {
        int[] next = taken.clone();
        next[at] = Math.max(0, value);
        return next;
    }
}
