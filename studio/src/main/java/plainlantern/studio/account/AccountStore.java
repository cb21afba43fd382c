package plainlantern.studio.account;

import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** The table {@code account}. */
@Repository
public class AccountStore {
    private final JdbcClient db;

    AccountStore(JdbcClient db) {
        this.db = db;
    }

    /** The account with that name, whatever its capitals. */
    public Optional<Member> find(String name) {
        return db.sql("select id, name, password_hash from account where lower(name) = lower(:name)")
                .param("name", name).query(Member.class).optional();
    }

    /** Throws {@code DuplicateKeyException} where the name is taken. */
    public Member add(String name, String passwordHash) {
        Member member = new Member(UUID.randomUUID(), name, passwordHash);
        db.sql("insert into account (id, name, password_hash) values (:id, :name, :hash)")
                .param("id", member.id()).param("name", name).param("hash", passwordHash).update();
        return member;
    }
}
