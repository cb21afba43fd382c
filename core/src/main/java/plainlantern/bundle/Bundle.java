package plainlantern.bundle;

import java.io.Closeable;
import java.io.EOFException;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.channels.SeekableByteChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.util.Enumeration;
import java.util.HashMap;
import java.util.HexFormat;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.zip.ZipEntry;
import java.util.zip.ZipException;
import java.util.zip.ZipFile;
import plainlantern.asking.BadInput;
import plainlantern.editing.filling.ShelvePictures;
import plainlantern.picture.PictureReader;
import plainlantern.picture.Sha256;
import plainlantern.sheet.Picture;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.SheetJson;
import plainlantern.treating.CubeFile;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;

/** A bundle opened for reading. Nothing in it is trusted; what is wrong is a {@link BadInput} that says so. */
public final class Bundle implements Closeable {
    static final String FORMAT = "plain-lantern-bundle";
    static final int VERSION = 14;
    static final String DOCUMENT = "sheet.json";
    static final String PICTURES = "pictures/";
    static final String TABLES = "tables/";
    private static final Pattern PICTURE = Pattern.compile("pictures/([0-9a-f]{64})\\.[a-z]{1,5}");
    private static final Pattern TABLE = Pattern.compile("tables/([0-9a-f]{64})\\.cube");
    /** Tables are text, which is packed more tightly than pictures. */
    private static final int TEXT = 8;
    private static final int MOST_TABLES = 1000;
    private static final int MOST_DOCUMENT_BYTES = 32 << 20;
    /** Pictures are packed already: laid open, they are hardly larger than the bundle. */
    private static final int MOST_RATIO = 4;
    private static final long AT_LEAST = 16L << 20;
    /** A list of contents of so many bytes names far more pictures than a shelf holds. */
    private static final long MOST_CONTENTS = 4L << 20;
    private static final int END_RECORD = 22;

    private final ZipFile zip;
    private final Map<String, ZipEntry> pictures = new HashMap<>();
    private final Map<String, ZipEntry> tables = new HashMap<>();
    private final Sheet sheet;

    private long room;

    private Bundle(ZipFile zip, long bytes) throws IOException {
        this.zip = zip;
        room = Math.max(AT_LEAST, MOST_RATIO * bytes);
        for (Enumeration<? extends ZipEntry> entries = zip.entries(); entries.hasMoreElements();) {
            ZipEntry entry = entries.nextElement();
            Matcher picture = PICTURE.matcher(entry.getName());
            if (picture.matches()) pictures.put(picture.group(1), entry);
            Matcher table = TABLE.matcher(entry.getName());
            if (table.matches()) tables.put(table.group(1), entry);
        }
        BadInput.unless(pictures.size() <= ShelvePictures.MOST, "bundle", "This bundle has too many pictures.");
        BadInput.unless(tables.size() <= MOST_TABLES, "bundle", "This bundle has too many colour tables.");
        ZipEntry document = zip.getEntry(DOCUMENT);
        BadInput.unless(document != null, "bundle", "This is not a bundle: it has no " + DOCUMENT + ".");
        sheet = sheet(bytes(document, MOST_DOCUMENT_BYTES));
        for (Picture picture : sheet.shelf()) {
            BadInput.unless(pictures.containsKey(picture.id()), "bundle", "The bundle lacks the picture " + picture.name() + ".");
        }
    }

    public static Bundle open(Path file) throws IOException {
        ZipFile zip;
        checkContents(file);
        try {
            zip = new ZipFile(file.toFile());
        } catch (ZipException e) {
            throw new BadInput("bundle", "This is not a bundle: it is no zip archive, or a damaged one.");
        }
        try {
            return new Bundle(zip, Files.size(file));
        } catch (ZipException | EOFException e) {
            zip.close();
            throw new BadInput("bundle", "This bundle is cut off or damaged.");
        } catch (IOException | RuntimeException e) {
            zip.close();
            throw e;
        }
    }

    /** The archive's list of contents is read whole: how long it is says its end (APPNOTE 4.3.16), which is looked at first. */
    private static void checkContents(Path file) throws IOException {
        long length = Files.size(file);
        int tail = (int) Math.min(length, END_RECORD + 0xFFFF);
        ByteBuffer end = ByteBuffer.allocate(tail).order(ByteOrder.LITTLE_ENDIAN);
        try (SeekableByteChannel channel = Files.newByteChannel(file)) {
            channel.position(length - tail);
            while (end.hasRemaining() && channel.read(end) >= 0) continue;
        }
        for (int at = tail - END_RECORD; at >= 0; at--) {
            if (end.getInt(at) != 0x06054B50) continue;
            BadInput.unless(Integer.toUnsignedLong(end.getInt(at + 12)) <= MOST_CONTENTS, "bundle",
                    "This bundle has too many files in it.");
            return;
        }
    }

    public Sheet sheet() {
        return sheet;
    }

    /** Writes a picture's file as it was imported; throws where its bytes are not the ones that its id names. */
    public void extract(Picture picture, Path to) throws IOException {
        MessageDigest digest = Sha256.digest();
        try (InputStream in = zip.getInputStream(pictures.get(picture.id())); OutputStream out = Files.newOutputStream(to)) {
            byte[] piece = new byte[1 << 16];
            long bytes = 0;
            for (int read = in.read(piece); read > 0; read = in.read(piece)) {
                bytes += read;
                BadInput.unless(bytes <= PictureReader.MOST_BYTES, "bundle", picture.name() + " in the bundle is too large.");
                spend(read);
                digest.update(piece, 0, read);
                out.write(piece, 0, read);
            }
        } catch (ZipException | EOFException e) {
            throw new BadInput("bundle", "A picture in the bundle is damaged: " + picture.name() + ".");
        }
        BadInput.unless(HexFormat.of().formatHex(digest.digest()).equals(picture.id()), "bundle", "A picture in the bundle was changed: "
                + picture.name() + ".");
    }

    private void spend(long bytes) {
        room -= bytes;
        BadInput.unless(room >= 0, "bundle", "This bundle is packed far more tightly than pictures can be, so it was not opened.");
    }

    /** The picture's file as it was imported; throws where its bytes are not the ones that its id names. */
    public byte[] original(String id) {
        try {
            byte[] bytes = bytes(pictures.get(id), (int) PictureReader.MOST_BYTES);
            BadInput.unless(Sha256.of(bytes).equals(id), "bundle", "A picture in the bundle was changed: "
                    + sheet.picture(id).name() + ".");
            return bytes;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /**
     * The file of a table of colours that the sheet uses; throws where it is not there, or its bytes are not the ones that its id
     * names.
     */
    public byte[] table(String id) {
        BadInput.unless(tables.containsKey(id), "bundle", "The bundle lacks a colour table that its sheet uses.");
        try {
            byte[] bytes = bytes(tables.get(id), CubeFile.MOST_BYTES);
            spend(bytes.length / TEXT);
            BadInput.unless(Sha256.of(bytes).equals(id), "bundle", "A colour table in the bundle was changed.");
            return bytes;
        } catch (ZipException | EOFException e) {
            throw new BadInput("bundle", "A colour table in the bundle is damaged.");
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static Sheet sheet(byte[] json) {
        try {
            JsonNode head = SheetJson.MAPPER.readTree(json);
            BadInput.unless(FORMAT.equals(head.path("format").asString("")), "bundle", "This is not a bundle of ours.");
            int version = head.path("version").asInt(0);
            BadInput.unless(version <= VERSION, "bundle", "This bundle has version " + version + ", this program reads up to "
                    + VERSION + ". Open it with a newer program.");
            Sheet sheet = SheetJson.of(head.path("sheet"));
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
