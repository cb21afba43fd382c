package plainlantern.bundle;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.zip.Deflater;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import plainlantern.picture.FileKind;
import plainlantern.sheet.ColourTable;
import plainlantern.sheet.Picture;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.SheetJson;
import plainlantern.sheet.Tones;

/** Writes a bundle as docs/bundle-format.md describes it. */
public final class BundleWriter {
    private BundleWriter() {}

    /** Enough of a file to know its kind. */
    private static final int HEAD = 16;

    /**
     * {@code originals} opens a picture's file as it was imported; no more than a piece of it is in memory at a time. {@code tables} gives
     * the files of tables of colours, where they are there. The stream is left open.
     */
    public static void write(Sheet sheet, Function<String, InputStream> originals, Function<String, Optional<byte[]>> tables,
            OutputStream to)
            throws IOException {
        ZipOutputStream zip = new ZipOutputStream(to, StandardCharsets.UTF_8);
        Map<String, Object> head = new LinkedHashMap<>();
        head.put("format", Bundle.FORMAT);
        head.put("version", Bundle.VERSION);
        head.put("sheet", sheet);
        zip.putNextEntry(new ZipEntry(Bundle.DOCUMENT));
        zip.write(SheetJson.MAPPER.writerWithDefaultPrettyPrinter().writeValueAsBytes(head));
        for (ColourTable table : Tones.tables(sheet)) {
            Optional<byte[]> file = tables.apply(table.id());
            if (file.isEmpty()) continue;
            zip.putNextEntry(new ZipEntry(Bundle.TABLES + table.id() + ".cube"));
            zip.write(file.get());
        }
        // Pictures are compressed already.
        zip.setLevel(Deflater.NO_COMPRESSION);
        for (Picture picture : sheet.shelf()) {
            try (InputStream original = originals.apply(picture.id())) {
                byte[] first = original.readNBytes(HEAD);
                String extension = FileKind.of(first).map(FileKind::extension).orElse("bin");
                zip.putNextEntry(new ZipEntry(Bundle.PICTURES + picture.id() + "." + extension));
                zip.write(first);
                original.transferTo(zip);
            }
        }
        zip.finish();
    }
}
