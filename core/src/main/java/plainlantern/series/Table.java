package plainlantern.series;

import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import plainlantern.asking.BadInput;
import plainlantern.sheet.Fields;

/**
 * A file of comma-separated values (RFC 4180) whose first line names its columns. Semicolons and tabs are taken for commas where the
 * first line has more of those, as spreadsheets in many countries write them; any line ends, with a byte order mark or without.
 *
 * @param columns as they are written
 */
public record Table(List<String> columns, List<Row> rows) {
    public static final int MOST_BYTES = 4 << 20;
    public static final int MOST_ROWS = 1000;
    private static final int MOST_COLUMNS = 200;
    private static final Pattern LINE = Pattern.compile("line:? ?(\\d+)");

    /**
     * One line.
     *
     * @param line   in the file, counted from 1, where it begins
     * @param values by {@link Fields#key} of their columns
     */
    public record Row(int line, Map<String, String> values) {}

    /** Throws {@link BadInput} at {@code data}, with the line, where the file is none that can be read. */
    public static Table read(byte[] file) {
        BadInput.unless(file.length <= MOST_BYTES, "data", "The table is larger than 4 MB.");
        String text = text(file);
        BadInput.unless(!text.isBlank(), "data", "The table is empty. Its first line names the columns.");
        CSVFormat format = CSVFormat.RFC4180.builder().setDelimiter(delimiter(text)).setIgnoreEmptyLines(true).setTrim(true).get();
        try (CSVParser parser = CSVParser.parse(new StringReader(text), format)) {
            List<String> columns = List.of();
            List<Row> rows = new ArrayList<>();
            int line = 1;
            for (CSVRecord record : parser) {
                // The parser has read to the end of the record: where it began is one more than where the last one ended.
                if (columns.isEmpty()) columns = columns(record);
                else rows.add(row(record, columns, line));
                line = (int) parser.getCurrentLineNumber() + 1;
                BadInput.unless(rows.size() <= MOST_ROWS, "data", "The table has more than " + MOST_ROWS + " lines.");
            }
            BadInput.unless(!rows.isEmpty(), "data", "The table names its columns, but has no line below them.");
            return new Table(columns, rows);
        } catch (UncheckedIOException | IOException e) {
            Matcher line = LINE.matcher(String.valueOf(e.getMessage()));
            throw new BadInput("data", (line.find() ? "Line " + line.group(1) : "The table")
                    + " can’t be read: a quote in it is never closed, "
                    + "or closes before its value ends.");
        }
    }

    private static String text(byte[] file) {
        try {
            String text = StandardCharsets.UTF_8.newDecoder().decode(ByteBuffer.wrap(file)).toString();
            return text.startsWith("\uFEFF") ? text.substring(1) : text;
        } catch (CharacterCodingException e) {
            throw new BadInput("data", "The table is not in UTF-8. Save it as “CSV UTF-8” and choose it once more.");
        }
    }

    /** Whichever is most often in the first line, outside of quotes. */
    private static char delimiter(String text) {
        int[] counts = new int[3];
        boolean quoted = false;
        for (int i = 0; i < text.length() && (quoted || text.charAt(i) != '\n' && text.charAt(i) != '\r'); i++) {
            char c = text.charAt(i);
            if (c == '"') quoted = !quoted;
            int at = quoted ? -1 : ",;\t".indexOf(c);
            if (at >= 0) counts[at]++;
        }
        return counts[1] > counts[0] && counts[1] >= counts[2] ? ';' : counts[2] > counts[0] ? '\t' : ',';
    }

    private static List<String> columns(CSVRecord record) {
        List<String> columns = record.toList();
        BadInput.unless(columns.size() <= MOST_COLUMNS, "data", "The table has more than " + MOST_COLUMNS + " columns.");
        Set<String> taken = new HashSet<>();
        for (String column : columns) BadInput.unless(column.isEmpty() || taken.add(Fields.key(column)), "data",
                "Two columns are called “" + column + "”.");
        BadInput.unless(!taken.isEmpty(), "data", "The first line of the table names no column.");
        return columns;
    }

    private static Row row(CSVRecord record, List<String> columns, int line) {
        BadInput.unless(record.size() <= columns.size() || record.toList().subList(columns.size(), record.size()).stream()
                .allMatch(String::isEmpty), "data", "Line " + line + " has " + record.size() + " values, but there are "
                + columns.size() + " columns. A value with a comma in it stands in quotes.");
        Map<String, String> values = new LinkedHashMap<>();
        for (int i = 0; i < columns.size(); i++) {
            if (!columns.get(i).isEmpty()) values.put(Fields.key(columns.get(i)), i < record.size() ? record.get(i) : "");
        }
        return new Row(line, values);
    }

    public boolean has(String column) {
        return columns.stream().anyMatch(c -> Fields.key(c).equals(Fields.key(column)));
    }
}
