package plainlantern.bundle;

import java.io.Closeable;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.util.Enumeration;
import java.util.HashMap;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.zip.ZipEntry;
import java.util.zip.ZipException;
import java.util.zip.ZipFile;
import plainlantern.editing.ShelvePictures;
import plainlantern.geometry.BadInput;
import plainlantern.picture.PictureFile;
import plainlantern.picture.PictureReader;
import plainlantern.picture.Sha256;
import plainlantern.sheet.Content.OwnPicture;
import plainlantern.sheet.Paper;
import plainlantern.sheet.Picture;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.SheetJson;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;

/** A bundle opened for reading. Nothing in it is trusted; what is wrong is a {@link BadInput} that says so. */
public final class Bundle implements Closeable {
    static final String FORMAT = "plain-lantern-bundle";
    static final int VERSION = 4;
    static final String DOCUMENT = "sheet.json";
    static final String PICTURES = "pictures/";
    private static final Pattern PICTURE = Pattern.compile("pictures/([0-9a-f]{64})\\.[a-z]{1,5}");
    private static final int MOST_DOCUMENT_BYTES = 32 << 20;

    private final ZipFile zip;
    private final Map<String, ZipEntry> pictures = new HashMap<>();
    private final Sheet sheet;

    private Bundle(ZipFile zip) throws IOException {
        this.zip = zip;
        for (Enumeration<? extends ZipEntry> entries = zip.entries(); entries.hasMoreElements();) {
            ZipEntry entry = entries.nextElement();
            Matcher picture = PICTURE.matcher(entry.getName());
            if (picture.matches()) pictures.put(picture.group(1), entry);
        }
        BadInput.unless(pictures.size() <= ShelvePictures.MOST, "bundle", "This bundle has too many pictures.");
        ZipEntry document = zip.getEntry(DOCUMENT);
        BadInput.unless(document != null, "bundle", "This is not a bundle: it has no " + DOCUMENT + ".");
        sheet = sheet(bytes(document, MOST_DOCUMENT_BYTES));
        for (Picture picture : sheet.shelf()) {
            BadInput.unless(pictures.containsKey(picture.id()), "bundle", "The bundle lacks the picture " + picture.name() + ".");
        }
        for (var panel : sheet.panels()) {
            for (var layer : panel.content()) if (layer instanceof OwnPicture own) sheet.picture(own.picture());
        }
        for (var vista : sheet.vistas()) sheet.picture(vista.picture());
        if (sheet.paper() instanceof Paper.Pictured paper) sheet.picture(paper.picture());
    }

    public static Bundle open(Path file) throws IOException {
        ZipFile zip;
        try {
            zip = new ZipFile(file.toFile());
        } catch (ZipException e) {
            throw new BadInput("bundle", "This is not a bundle: it is no zip archive, or a damaged one.");
        }
        try {
            return new Bundle(zip);
        } catch (IOException | RuntimeException e) {
            zip.close();
            throw e;
        }
    }

    public Sheet sheet() {
        return sheet;
    }

    /** The picture's file as it was imported; throws where its bytes are not the ones that its id names. */
    public byte[] original(String id) {
        try {
            byte[] bytes = bytes(pictures.get(id), (int) PictureReader.MOST_BYTES);
            BadInput.unless(Sha256.of(bytes).equals(id), "bundle", "A picture in the bundle was changed: " + sheet.picture(id).name() + ".");
            return bytes;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** What the picture's file says of itself; throws where that is not what the document says. */
    public PictureFile inspected(Picture picture) {
        PictureFile file = PictureReader.inspect(picture.name().replace('.', ' '), original(picture.id()));
        BadInput.unless(file.width() == picture.width() && file.height() == picture.height(), "bundle",
                "The document gives " + picture.name() + " another size than its file has.");
        return file;
    }

    private static Sheet sheet(byte[] json) {
        try {
            JsonNode head = SheetJson.MAPPER.readTree(json);
            BadInput.unless(FORMAT.equals(head.path("format").asString("")), "bundle", "This is not a bundle of ours.");
            int version = head.path("version").asInt(0);
            BadInput.unless(version <= VERSION, "bundle", "This bundle has version " + version + ", this program reads up to "
                    + VERSION + ". Open it with a newer program.");
            Sheet sheet = SheetJson.MAPPER.treeToValue(head.path("sheet"), Sheet.class);
            if (sheet != null) return sheet;
        } catch (JacksonException | NullPointerException e) {
            // Said below: for the person, all damage is alike.
        }
        throw new BadInput("bundle", "The document in this bundle is damaged.");
    }

    /** Reads an entry without trusting its stated size. */
    private byte[] bytes(ZipEntry entry, int most) throws IOException {
        try (InputStream in = zip.getInputStream(entry)) {
            byte[] bytes = in.readNBytes(most + 1);
            BadInput.unless(bytes.length <= most, "bundle", entry.getName() + " in the bundle is too large.");
            return bytes;
        }
    }

    @Override
    public void close() throws IOException {
        zip.close();
    }
}
