package plainlantern.rendering;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import plainlantern.scene.Page;

/** What delivered files are called: a pattern in which {sheet}, {panel} and {n}, the page's number of two digits or more, are filled in. */
public final class FileNames {
    public static final String USUAL = "{sheet} {n}";
    private static final int LONGEST = 120;

    private FileNames() {}

    /** One for each page, without an extension; no two are the same in any spelling, and every file system takes them. */
    public static List<String> of(String pattern, List<Page> pages) {
        int digits = Math.max(2, Integer.toString(pages.size()).length());
        // Whole sheets have names of their own.
        boolean named = pages.stream().allMatch(page -> page.name().equals(page.sheet()));
        String usual = named ? "{sheet}" : USUAL;
        String used = pattern.isBlank() || pattern.equals(USUAL) ? usual : pattern;
        List<String> names = new ArrayList<>();
        Set<String> taken = new HashSet<>();
        for (int i = 0; i < pages.size(); i++) {
            Page page = pages.get(i);
            String number = String.format(Locale.ROOT, "%0" + digits + "d", i + 1);
            String name = safe(used.replace("{n}", number).replace("{sheet}", page.sheet()).replace("{panel}", page.name()));
            String free = name;
            for (int n = 2; !taken.add(free.toLowerCase(Locale.ROOT)); n++) free = name + " " + n;
            names.add(free);
        }
        return names;
    }

    /** "dawn-ridge" for "shots/dawn-ridge.jpg", at most so many characters; {@code otherwise} where nothing is left. */
    public static String bare(String fileName, String otherwise, int most) {
        String file = fileName.substring(Math.max(fileName.lastIndexOf('/'), fileName.lastIndexOf('\\')) + 1);
        String bare = file.replaceFirst("\\.[A-Za-z0-9]{1,5}$", "").strip();
        String name = bare.isEmpty() ? otherwise : bare;
        return name.length() > most ? name.substring(0, most) : name;
    }

    /** A name without what some file system refuses. */
    public static String safe(String name) {
        String safe = name.substring(0, Math.min(name.length(), 4 * LONGEST)).replaceAll("[\\\\/:*?\"<>|\\p{Cntrl}]", "-").strip()
                .replaceAll("^[.]+|[. ]+$", "");
        if (safe.isEmpty()) safe = "sheet";
        return safe.length() > LONGEST ? safe.substring(0, LONGEST) : safe;
    }
}
