package plainlantern.series;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import plainlantern.asking.BadInput;
import plainlantern.asking.Choice;
import plainlantern.fitting.Dealing;
import plainlantern.sheet.Fields;
import plainlantern.sheet.Holder;
import plainlantern.sheet.Picture;
import plainlantern.sheet.Sheet;

/**
 * Which sheets a series has, before any is made.
 *
 * @param remarks what its maker should know, such as pictures that are left over
 */
public record Plan(List<Filling> sheets, List<String> remarks) {
    public static final int MOST_SHEETS = 500;
    public static final int MOST_PICTURES = 5000;
    /** What the sheets are called if nothing is said. */
    public static final String USUAL = "{template} {n}";
    /** Problems of a table that are told at once. */
    private static final int TOLD = 6;

    /** Which picture goes where on a sheet. */
    public enum Order implements Choice {
        /** Those of a sheet to its places so that least is cut away. */
        BEST("Best fit on each sheet"),
        /** One after the other. */
        IN_TURN("In their order");

        private final String title;

        Order(String title) {
            this.title = title;
        }

        public String title() {
            return title;
        }
    }

    /**
     * One sheet for every so many pictures as the template has places or, with a table, one for each of its lines. A column that is
     * called as a place, or {@code picture} with a number, names that place's picture on each line; the other places take the pictures
     * that no line names, in their order.
     *
     * @param pictures in their order
     * @param naming   names of the sheets: {@code {template}}, {@code {n}} and the columns of the table
     * @throws BadInput where there is nothing to make, or at {@code data} with the lines that are wrong
     */
    public static Plan of(Sheet template, List<Picture> pictures, Optional<Table> table, Order order, String naming) {
        List<Place> places = Place.of(template);
        BadInput.unless(!places.isEmpty(), "template", "The template has no place for a picture.");
        BadInput.unless(!pictures.isEmpty(), "pictures", "A series needs pictures.");
        BadInput.unless(pictures.size() <= MOST_PICTURES, "pictures", "At most " + MOST_PICTURES + " pictures can be used at once.");
        return new Maker(template, places, pictures, table, order, naming.isBlank() ? USUAL : naming.strip()).plan();
    }

    /** Works one plan out. */
    private static final class Maker {
        private final Sheet template;
        private final List<Place> places;
        private final List<Picture> pictures;
        private final Optional<Table> table;
        private final Order order;
        private final String naming;
        private final List<String> problems = new ArrayList<>();
        private final List<String> remarks = new ArrayList<>();

        Maker(Sheet template, List<Place> places, List<Picture> pictures, Optional<Table> table, Order order, String naming) {
            this.template = template;
            this.places = places;
            this.pictures = pictures;
            this.table = table;
            this.order = order;
            this.naming = naming;
        }

        Plan plan() {
            Map<Place, String> columns = columns();
            asked(columns);
            List<Map<Place, Picture>> named = named(columns);
            if (!problems.isEmpty()) throw new BadInput("data", told());
            for (String field : wanted()) BadInput.unless(table.isPresent() && table.get().has(field), "naming", table.isPresent()
                    ? "No column of the table is called “" + field + "”."
                    : "Without a table the names can only have {template} and {n}.");
            Set<Picture> taken = named.stream().flatMap(row -> row.values().stream()).collect(Collectors.toSet());
            List<Picture> free = pictures.stream().filter(picture -> !taken.contains(picture)).toList();
            List<Place> open = places.stream().filter(place -> !columns.containsKey(place)).toList();
            int count = table.map(t -> t.rows().size()).orElse((free.size() + places.size() - 1) / places.size());
            BadInput.unless(count <= MOST_SHEETS, table.isPresent() ? "data" : "pictures", "That would be " + count
                    + " sheets. A series has at most " + MOST_SHEETS + ".");
            List<Filling> sheets = new ArrayList<>();
            int at = 0;
            for (int i = 0; i < count; i++) {
                List<Picture> next = free.subList(Math.min(at, free.size()), Math.min(at + open.size(), free.size()));
                at += open.size();
                Map<String, String> filled = new LinkedHashMap<>();
                if (!named.isEmpty()) named.get(i).forEach((place, picture) -> filled.put(place.key(), picture.id()));
                dealt(open, next, filled);
                int line = i;
                Map<String, String> values = table.map(t -> t.rows().get(line).values()).orElse(Map.of());
                sheets.add(new Filling(name(i, count, values), filled, values, names(filled)));
            }
            left(free.size() - at, open.size());
            return new Plan(sheets, remarks);
        }

        private Map<String, String> names(Map<String, String> filled) {
            Map<String, String> names = new HashMap<>();
            for (Picture picture : pictures) if (filled.containsValue(picture.id())) names.put(picture.id(), picture.name());
            return names;
        }

        private void left(int over, int open) {
            if (over > 0 && table.isPresent()) remarks.add(counted(over, "picture was", "pictures were") + " left over.");
            if (over < 0) remarks.add(open > 0 && table.isPresent() ? counted(-over, "place got", "places got") + " no picture."
                    : counted(-over, "place", "places") + " of the last sheet got no picture.");
        }

        private static String counted(int n, String one, String many) {
            return n + " " + (n == 1 ? one : many);
        }

        /** The column of each place that has one. */
        private Map<Place, String> columns() {
            Map<Place, String> columns = new LinkedHashMap<>();
            if (table.isEmpty()) return columns;
            for (int i = 0; i < places.size(); i++) {
                List<String> names = new ArrayList<>(List.of(places.get(i).name(), "picture " + (i + 1)));
                if (places.size() == 1) names.add("picture");
                for (String name : names) if (table.get().has(name)) columns.putIfAbsent(places.get(i), Fields.key(name));
            }
            return columns;
        }

        /** The columns that the names ask for. */
        private Set<String> wanted() {
            Set<String> wanted = new LinkedHashSet<>(Fields.in(naming));
            wanted.removeAll(Set.of("template", "n"));
            return wanted;
        }

        /** What the captions and the names ask for must be there; what nobody asks for is said. */
        private void asked(Map<Place, String> columns) {
            Set<String> fields = new LinkedHashSet<>(Fields.in(template));
            if (table.isEmpty()) {
                if (!fields.isEmpty()) remarks.add("The captions keep " + braced(fields) + ": a table says what stands there.");
                return;
            }
            Set<String> wanted = wanted();
            for (String field : fields) if (!table.get().has(field)) problems.add("Line 1: a caption asks for {" + field
                    + "}, but no column is called that.");
            List<String> idle = table.get().columns().stream().filter(c -> !c.isEmpty() && !fields.contains(Fields.key(c))
                    && !wanted.contains(Fields.key(c)) && !columns.containsValue(Fields.key(c))).toList();
            if (!idle.isEmpty()) remarks.add((idle.size() == 1 ? "The column " : "The columns ") + idle.stream().map(c -> "“" + c + "”")
                    .collect(Collectors.joining(", ")) + (idle.size() == 1 ? " is" : " are") + " not used.");
        }

        private static String braced(Set<String> fields) {
            return fields.stream().map(field -> "{" + field + "}").collect(Collectors.joining(", "));
        }

        /** The pictures that each line names. */
        private List<Map<Place, Picture>> named(Map<Place, String> columns) {
            if (columns.isEmpty()) return List.of();
            Map<String, List<Picture>> byName = new HashMap<>();
            for (Picture picture : pictures) byName.computeIfAbsent(bare(picture.name()), n -> new ArrayList<>()).add(picture);
            List<Map<Place, Picture>> named = new ArrayList<>();
            for (Table.Row row : table.orElseThrow().rows()) {
                Map<Place, Picture> there = new LinkedHashMap<>();
                columns.forEach((place, column) -> {
                    String name = row.values().getOrDefault(column, "");
                    if (name.isEmpty()) return;
                    List<Picture> found = byName.getOrDefault(bare(name), List.of());
                    if (found.size() == 1) there.put(place, found.get(0));
                    else problems.add("Line " + row.line() + (found.isEmpty() ? ": no picture is called “" + name + "”."
                            : ": " + found.size() + " pictures are called “" + name + "”."));
                });
                named.add(there);
            }
            return named;
        }

        /** "dawn-ridge" for "photos/Dawn-Ridge.JPG". */
        private static String bare(String name) {
            return Fields.key(name.replaceFirst("^.*[/\\\\]", "").replaceFirst("\\.(?i)(jpe?g|png|tiff?|webp)$", ""));
        }

        private String told() {
            String some = problems.stream().limit(TOLD).collect(Collectors.joining("\n"));
            return problems.size() <= TOLD ? some : some + "\nAnd " + counted(problems.size() - TOLD, "more.", "more.");
        }

        private void dealt(List<Place> open, List<Picture> next, Map<String, String> filled) {
            if (order == Order.IN_TURN) {
                for (int i = 0; i < next.size(); i++) filled.put(open.get(i).key(), next.get(i).id());
                return;
            }
            List<Holder> holders = new ArrayList<>();
            for (int i = 0; i < open.size(); i++) holders.add(open.get(i).holder("p" + i));
            for (Dealing.Dealt dealt : Dealing.deal(holders, next, template.ppi(), false, Dealing.Use.ONCE)) {
                filled.put(open.get(Integer.parseInt(dealt.panel().substring(1))).key(), dealt.picture());
            }
        }

        private String name(int at, int count, Map<String, String> values) {
            String number = String.format(Locale.ROOT, "%0" + Integer.toString(count).length() + "d", at + 1);
            String name = Fields.filled(Fields.filled(naming, values), Map.of("template", template.name(), "n", number)).strip()
                    .replaceAll("\\s+", " ");
            String some = name.isEmpty() ? template.name() + " " + number : name;
            return some.length() > 120 ? some.substring(0, 120) : some;
        }
    }
}
