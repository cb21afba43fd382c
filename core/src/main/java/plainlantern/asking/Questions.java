package plainlantern.asking;

import java.lang.reflect.RecordComponent;
import java.util.ArrayList;
import java.util.List;

/** The {@link Asked} components of a record type, in order. */
public final class Questions {
    private static final ClassValue<List<Question>> ASKED = new ClassValue<>() {
        @Override
        protected List<Question> computeValue(Class<?> type) {
            return read(type);
        }
    };

    private Questions() {}

    /** What kind of answer is wanted. */
    public enum Kind { LENGTH, WHOLE, NUMBER, SHARE, TURN, SWITCH, WEIGHTS }

    /** One field: {@code name} is the component's, the rest as in {@link Asked}. */
    public record Question(String name, String label, Kind kind, String first, double least, double most) {}

    public static List<Question> of(Class<?> type) {
        return ASKED.get(type);
    }

    private static List<Question> read(Class<?> type) {
        List<Question> questions = new ArrayList<>();
        for (RecordComponent component : type.getRecordComponents()) {
            Asked asked = component.getAnnotation(Asked.class);
            if (asked != null) questions.add(new Question(component.getName(), asked.value(), kind(component), asked.first(),
                    asked.least(), asked.most()));
        }
        return questions;
    }

    private static Kind kind(RecordComponent component) {
        if (component.isAnnotationPresent(Typed.Length.class)) return Kind.LENGTH;
        if (component.isAnnotationPresent(Typed.Whole.class)) return Kind.WHOLE;
        if (component.isAnnotationPresent(Typed.Share.class) || component.isAnnotationPresent(Typed.ShareOrZero.class)) return Kind.SHARE;
        if (component.isAnnotationPresent(Typed.Turn.class)) return Kind.TURN;
        if (component.isAnnotationPresent(Typed.Switch.class)) return Kind.SWITCH;
        if (component.isAnnotationPresent(Typed.Weights.class)) return Kind.WEIGHTS;
        return Kind.NUMBER;
    }

    /** The value of one of a record's components. */
    public static Object value(Record record, String name) {
        try {
            for (RecordComponent component : record.getClass().getRecordComponents()) {
                if (component.getName().equals(name)) return component.getAccessor().invoke(record);
            }
            throw new IllegalArgumentException(record.getClass() + " has no " + name);
        } catch (ReflectiveOperationException e) {
            throw new IllegalStateException(e);
        }
    }

    /**
     * For a record's compact constructor: throws {@link BadInput} at the first component whose number is out of its limits.
     *
     * @param values all components, in order
     */
    public static void check(Class<?> type, Object... values) {
        RecordComponent[] components = type.getRecordComponents();
        for (Question question : ASKED.get(type)) {
            for (int i = 0; i < components.length; i++) {
                if (!components[i].getName().equals(question.name()) || !(values[i] instanceof Number number)) continue;
                double value = number.doubleValue();
                if (!(value >= question.least() && value <= question.most())) throw new BadInput(question.name(), limits(question, value));
            }
        }
    }

    private static String limits(Question question, double value) {
        if (question.kind() == Kind.LENGTH && value < 0 && question.least() == 0) return question.label() + " cannot be negative.";
        String least = plain(question.least());
        String most = plain(question.most());
        return switch (question.kind()) {
            case SHARE -> "Type a share from " + plain(question.least() * 100) + " to " + plain(question.most() * 100) + " %.";
            case LENGTH -> "Type a length from " + least + " to " + most + " mm.";
            case TURN -> "Type a turn from " + least + " to " + most + "°.";
            default -> "Type a number from " + least + " to " + most + ".";
        };
    }

    private static String plain(double value) {
        return value == Math.rint(value) ? String.valueOf((long) value) : String.valueOf(value);
    }
}
