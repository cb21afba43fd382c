package plainlantern.picture;

import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.EOFException;
import java.io.IOException;
import java.io.PrintStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDateTime;
import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import plainlantern.asking.BadInput;
import plainlantern.picture.PictureFile.Stored;
import plainlantern.picture.Previews.Level;
import plainlantern.sheet.Focal;
import plainlantern.sheet.Foot;

/**
 * A process of its own that reads picture files nobody vouches for, one after the other: it may be ended at any time, run out of
 * its own memory or crash in a native decoder, and the application goes on. Asked over standard input for a name and a file, it
 * answers over standard output: a byte for how it went, then words or an {@link Imported}.
 */
public final class ImportHelper {
    private static final int DONE = 1;
    private static final int REFUSED = 2;
    private static final int NO_MEMORY = 3;

    private ImportHelper() {}

    public static void main(String[] none) throws IOException {
        DataInputStream in = new DataInputStream(System.in);
        DataOutputStream out = new DataOutputStream(new PrintStream(System.out, false));
        // Nothing else may write between the answers.
        System.setOut(System.err);
        ProcessHandle.current().parent().ifPresent(parent -> parent.onExit().thenRun(() -> Runtime.getRuntime().halt(0)));
        while (true) {
            String name;
            try {
                name = in.readUTF();
            } catch (EOFException over) {
                return;
            }
            answer(name, Path.of(in.readUTF()), out);
            out.flush();
        }
    }

    private static void answer(String name, Path file, DataOutputStream out) throws IOException {
        try {
            Imported imported = Imported.of(name, Files.readAllBytes(file));
            out.writeByte(DONE);
            write(imported, out);
        } catch (BadInput refused) {
            out.writeByte(REFUSED);
            out.writeUTF(refused.getMessage());
        } catch (OutOfMemoryError e) {
            out.writeByte(NO_MEMORY);
        }
    }

    /** Asks for one file. */
    public static void ask(String name, Path file, DataOutputStream to) throws IOException {
        to.writeUTF(name);
        to.writeUTF(file.toString());
        to.flush();
    }

    /**
     * What is answered to {@link #ask}; throws {@link BadInput} for a file that was refused, {@link IOException} where the helper ended.
     */
    public static Imported answered(String name, DataInputStream from) throws IOException {
        return switch (from.readByte()) {
            case DONE -> read(from);
            case REFUSED -> throw new BadInput("pictures", from.readUTF());
            case NO_MEMORY -> throw new BadInput("pictures", name + Imported.TOO_LARGE);
            default -> throw new IOException("not an answer");
        };
    }

    private static void write(Imported imported, DataOutputStream out) throws IOException {
        PictureFile file = imported.file();
        out.writeUTF(file.kind().name());
        out.writeInt(file.width());
        out.writeInt(file.height());
        out.writeByte(file.orientation().ordinal());
        out.writeBoolean(file.srgb());
        out.writeUTF(file.taken().map(LocalDateTime::toString).orElse(""));
        out.writeByte(file.stored().bytes());
        out.writeBoolean(file.stored().deep());
        out.writeInt(file.stored().rows());
        out.writeByte(imported.previews().size());
        for (Map.Entry<Level, byte[]> preview : imported.previews().entrySet()) {
            out.writeByte(preview.getKey().ordinal());
            out.writeInt(preview.getValue().length);
            out.write(preview.getValue());
        }
        numbers(out, imported.focal().map(f -> new double[] {f.x(), f.y()}));
        numbers(out, imported.foot().map(f -> new double[] {f.left(), f.right(), f.down()}));
    }

    private static void numbers(DataOutputStream out, Optional<double[]> numbers) throws IOException {
        double[] all = numbers.orElse(new double[0]);
        out.writeByte(all.length);
        for (double number : all) out.writeDouble(number);
    }

    private static Imported read(DataInputStream in) throws IOException {
        FileKind kind = FileKind.valueOf(in.readUTF());
        int width = in.readInt();
        int height = in.readInt();
        Orientation orientation = Orientation.values()[in.readByte()];
        boolean srgb = in.readBoolean();
        String taken = in.readUTF();
        PictureFile file = new PictureFile(kind, width, height, orientation, srgb, taken.isEmpty() ? Optional.empty()
                : Optional.of(LocalDateTime.parse(taken)), new Stored(in.readByte(), in.readBoolean(), in.readInt()));
        Map<Level, byte[]> previews = new EnumMap<>(Level.class);
        for (int left = in.readByte(); left > 0; left--) {
            Level level = Level.values()[in.readByte()];
            previews.put(level, in.readNBytes(in.readInt()));
        }
        double[] focal = numbers(in);
        double[] foot = numbers(in);
        return new Imported(file, previews, focal.length == 0 ? Optional.empty() : Optional.of(new Focal(focal[0], focal[1], true)),
                foot.length == 0 ? Optional.empty() : Optional.of(new Foot(foot[0], foot[1], foot[2])));
    }

    private static double[] numbers(DataInputStream in) throws IOException {
        double[] all = new double[in.readByte()];
        for (int i = 0; i < all.length; i++) all[i] = in.readDouble();
        return all;
    }
}
