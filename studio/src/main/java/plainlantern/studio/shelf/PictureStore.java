package plainlantern.studio.shelf;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Types;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import plainlantern.picture.FileKind;

/** The tables {@code picture}, {@code picture_data} and {@code picture_owner}. */
@Repository
public class PictureStore {
    /** The kind of the file as it was imported; the other kinds are preview levels in lower case. */
    public static final String ORIGINAL = "original";

    private static final String COLUMNS = "p.sha, p.file_kind, p.width, p.height, p.taken, p.focal_x, p.focal_y, "
            + "p.foot_left, p.foot_right, p.foot_down, p.bytes, p.reading_bytes, p.band";

    private final JdbcClient db;
    private final JdbcTemplate plain;

    PictureStore(JdbcClient db, JdbcTemplate plain) {
        this.db = db;
        this.plain = plain;
    }

    /** Bytes with their media type. */
    public record Data(String mediaType, byte[] data) {
        /** Of a file of a picture, whose kind its own bytes tell. */
        public static Data of(byte[] picture) {
            return new Data(FileKind.of(picture).orElseThrow().mediaType(), picture);
        }
    }

    Optional<PictureRow> find(String sha) {
        return db.sql("select " + COLUMNS + " from picture p where sha = :sha")
                .param("sha", sha).query(PictureRow.class).optional();
    }

    /** Those of the pictures that belong to the account. */
    List<PictureRow> owned(UUID account, Collection<String> shas) {
        if (shas.isEmpty()) return List.of();
        return db.sql("select " + COLUMNS
                + " from picture p join picture_owner o on o.sha = p.sha where o.account_id = :account and p.sha in (:shas)")
                .param("account", account).param("shas", shas).query(PictureRow.class).list();
    }

    /** One kind of a picture's bytes, if the picture belongs to the account. */
    public Optional<Data> data(UUID account, String sha, String kind) {
        return db.sql("""
                select d.media_type, d.data from picture_data d join picture_owner o on o.sha = d.sha
                where o.account_id = :account and d.sha = :sha and d.kind = :kind
                """).param("account", account).param("sha", sha).param("kind", kind).query(Data.class).optional();
    }

    /** So many bytes of a picture's file from a place on, fewer at its end; empty where the account has no such picture. */
    public Optional<byte[]> part(UUID account, String sha, long from, int length) {
        return db.sql("""
                select substring(d.data from :from for :length) from picture_data d join picture_owner o on o.sha = d.sha
                where o.account_id = :account and d.sha = :sha and d.kind = 'original'
                """).param("account", account).param("sha", sha).param("from", (int) from + 1).param("length", length)
                .query((row, n) -> row.getBytes(1)).optional();
    }

    /** Stores a picture with its file and its previews by their kinds, unless it is there already. */
    void add(PictureRow picture, String mediaType, Path file, Map<String, Data> previews) throws IOException {
        int added = db.sql("""
                insert into picture (sha, file_kind, width, height, taken, focal_x, focal_y,
                    foot_left, foot_right, foot_down, bytes, reading_bytes, band)
                values (:sha, :file_kind, :width, :height, :taken, :focal_x, :focal_y,
                    :foot_left, :foot_right, :foot_down, :bytes, :reading, :band)
                on conflict do nothing
                """).param("sha", picture.sha()).param("file_kind", picture.fileKind())
                .param("width", picture.width()).param("height", picture.height())
                .param("taken", picture.taken(), Types.TIMESTAMP).param("focal_x", picture.focalX(), Types.DOUBLE)
                        .param("focal_y", picture.focalY(), Types.DOUBLE)
                .param("foot_left", picture.footLeft(), Types.DOUBLE).param("foot_right", picture.footRight(), Types.DOUBLE)
                        .param("foot_down", picture.footDown(), Types.DOUBLE)
                .param("bytes", picture.bytes()).param("reading", picture.readingBytes())
                .param("band", picture.band(), Types.INTEGER).update();
        if (added == 0) return;
        String insert = "insert into picture_data (sha, kind, media_type, data) values (?, ?, ?, ?)";
        try (InputStream in = Files.newInputStream(file)) {
            // Straight from the file: it need not be in memory.
            plain.update(insert, row -> {
                row.setString(1, picture.sha());
                row.setString(2, ORIGINAL);
                row.setString(3, mediaType);
                row.setBinaryStream(4, in, picture.bytes());
            });
        }
        previews.forEach((kind, data) -> plain.update(insert, picture.sha(), kind, data.mediaType(), data.data()));
    }

    public void own(UUID account, String sha) {
        db.sql("""
                insert into picture_owner (account_id, sha) values (:account, :sha)
                on conflict (account_id, sha) do update set added_at = now()
                """)
                .param("account", account).param("sha", sha).update();
    }

    /** Takes pictures from an account that none of its sheets uses. */
    void disown(UUID account, Collection<String> shas) {
        if (shas.isEmpty()) return;
        db.sql("""
                delete from picture_owner o where o.account_id = :account and o.sha in (:shas)
                and not exists (select 1 from sheet_picture s where s.account_id = o.account_id and s.sha = o.sha)
                """).param("account", account).param("shas", shas).update();
    }
}
