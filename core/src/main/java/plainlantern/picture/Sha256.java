package plainlantern.picture;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;

/** The id of a file's bytes: SHA-256 (FIPS 180-4) in lower-case hex. */
public final class Sha256 {
    private Sha256() {}

    public static String of(byte[] bytes) {
        return HexFormat.of().formatHex(digest().digest(bytes));
    }

    /** Of a file, of which no more than a piece is in memory at a time. */
    public static String of(Path file) throws IOException {
        MessageDigest digest = digest();
        try (InputStream in = Files.newInputStream(file)) {
            byte[] piece = new byte[1 << 16];
            for (int read = in.read(piece); read > 0; read = in.read(piece)) digest.update(piece, 0, read);
        }
        return HexFormat.of().formatHex(digest.digest());
    }

    /** For bytes that come piece by piece. */
    public static MessageDigest digest() {
        try {
            return MessageDigest.getInstance("SHA-256");
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("every Java platform has SHA-256", e);
        }
    }
}
