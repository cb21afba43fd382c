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

    /** The account that signs in so, whatever the capitals. */
    public Optional<Member> find(String signIn) {
        return db.sql("select id, name, sign_in from account where lower(sign_in) = lower(:sign_in) and erased_at is null")
                .param("sign_in", signIn)
                .query(Member.class).optional();
    }

    /** The hash of an account's password. */
    Optional<String> hash(UUID account) {
        return db.sql("select password_hash from account where id = :id and erased_at is null").param("id", account)
                .query(String.class).optional();
    }

    /** Throws {@code DuplicateKeyException} where another account signs in so. */
    public Member add(String name, String signIn, String passwordHash) {
        Member member = new Member(UUID.randomUUID(), name, signIn);
        db.sql("insert into account (id, name, sign_in, password_hash) values (:id, :name, :sign_in, :hash)")
                .param("id", member.id()).param("name", name).param("sign_in", signIn).param("hash", passwordHash).update();
        return member;
    }

    void change(UUID account, String passwordHash) {
        db.sql("update account set password_hash = :hash where id = :id").param("hash", passwordHash).param("id", account).update();
    }

    /** Gives an account another name to sign in with. */
    public void rename(UUID account, String signIn) {
        db.sql("update account set sign_in = :sign_in where id = :id").param("sign_in", signIn).param("id", account).update();
    }

    /** Nobody can sign in any more; what the account holds goes little by little. */
    public void erase(UUID account) {
        db.sql("update account set erased_at = now(), name = '', sign_in = 'erased ' || id, password_hash = '' where id = :id")
                .param("id", account).update();
    }
}
