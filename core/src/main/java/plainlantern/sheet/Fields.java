package plainlantern.sheet;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Names in braces, as {@code {title}}, that a table's columns stand in for. */
public final class Fields {
    private static final Pattern FIELD = Pattern.compile("\\{([^{}\\n]{1,60})\\}");

    private Fields() {}

    /** How a name is compared: capitals and the space around it make no difference. */
    public static String key(String name) {
        return name.strip().toLowerCase(Locale.ROOT);
    }

    /** The fields of a text, by their keys, in turn. */
    public static Set<String> in(String text) {
        Set<String> found = new LinkedHashSet<>();
        FIELD.matcher(text).results().forEach(match -> found.add(key(match.group(1))));
        return found;
    }

    /** The fields of all words that a sheet shows. */
    public static Set<String> in(Sheet sheet) {
        Set<String> found = new LinkedHashSet<>();
        for (Holder holder : sheet.holders()) {
            for (Content layer : holder.content()) layer.words().ifPresent(words -> found.addAll(in(words.text())));
        }
        return found;
    }

    /** The text with what the fields stand for; one that {@code values} does not know stays as it is. */
    public static String filled(String text, Map<String, String> values) {
        return FIELD.matcher(text).replaceAll(match -> Matcher.quoteReplacement(
                values.getOrDefault(key(match.group(1)), match.group())));
    }

    /** As above, by several. */
    public static String filled(String text, List<Map<String, String>> values) {
        String out = text;
        for (Map<String, String> some : values) out = filled(out, some);
        return out;
    }
}
