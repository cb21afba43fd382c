package plainlantern.studio.shelf;

import java.sql.Types;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** The tables {@code picture}, {@code picture_data} and {@code picture_owner}. */
@Repository
public class PictureStore {
    /** The kind of the file as it was imported; the other kinds are preview levels in lower case. */
    public static final String ORIGINAL = "original";

    private final JdbcClient db;

    PictureStore(JdbcClient db) {
        this.db = db;
    }

    /** Bytes with their media type. */
    public record Data(String mediaType, byte[] data) {}

    public Optional<PictureRow> find(String sha) {
        return db.sql("select sha, file_kind, width, height, taken, focal_x, focal_y, foot_left, foot_right, foot_down from picture where sha = :sha")
                .param("sha", sha).query(PictureRow.class).optional();
    }

    /** Those of the pictures that belong to the account. */
    public List<PictureRow> owned(UUID account, Collection<String> shas) {
        if (shas.isEmpty()) return List.of();
        return db.sql("""
                select p.sha, p.file_kind, p.width, p.height, p.taken, p.focal_x, p.focal_y, p.foot_left, p.foot_right, p.foot_down from picture p join picture_owner o on o.sha = p.sha
                where o.account_id = :account and p.sha in (:shas)
                """).param("account", account).param("shas", shas).query(PictureRow.class).list();
    }

    /** One kind of a picture's bytes, if the picture belongs to the account. */
    public Optional<Data> data(UUID account, String sha, String kind) {
        return db.sql("""
                select d.media_type, d.data from picture_data d join picture_owner o on o.sha = d.sha
                where o.account_id = :account and d.sha = :sha and d.kind = :kind
                """).param("account", account).param("sha", sha).param("kind", kind).query(Data.class).optional();
    }

    /** Stores a picture unless it is there already. */
    public void add(PictureRow picture, Map<String, Data> kinds) {
        int added = db.sql("""
                insert into picture (sha, file_kind, width, height, taken, focal_x, focal_y, foot_left, foot_right, foot_down)
                values (:sha, :file_kind, :width, :height, :taken, :focal_x, :focal_y, :foot_left, :foot_right, :foot_down)
                on conflict do nothing
                """).param("sha", picture.sha()).param("file_kind", picture.fileKind())
                .param("width", picture.width()).param("height", picture.height())
                .param("taken", picture.taken(), Types.TIMESTAMP).param("focal_x", picture.focalX(), Types.DOUBLE).param("focal_y", picture.focalY(), Types.DOUBLE)
                .param("foot_left", picture.footLeft(), Types.DOUBLE).param("foot_right", picture.footRight(), Types.DOUBLE).param("foot_down", picture.footDown(), Types.DOUBLE).update();
        if (added == 0) return;
        kinds.forEach((kind, data) -> db.sql("""
                insert into picture_data (sha, kind, media_type, data) values (:sha, :kind, :type, :data)
                """).param("sha", picture.sha()).param("kind", kind).param("type", data.mediaType())
                .param("data", data.data()).update());
    }

    public void own(UUID account, String sha) {
        db.sql("insert into picture_owner (account_id, sha) values (:account, :sha) on conflict do nothing")
                .param("account", account).param("sha", sha).update();
    }
}
