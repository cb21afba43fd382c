package plainlantern.studio.account;

import java.util.UUID;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** What happened at the door, without secrets: no password, and no name that belongs to no account, which may be a mistyped password. */
public final class SecurityLog {
    private static final Logger LOG = LoggerFactory.getLogger("plainlantern.security");

    private SecurityLog() {}

    public static void said(String what, UUID account, String address) {
        LOG.info("{} account={} address={}", what, account == null ? "none" : account, address);
    }

    /** A request that was refused. */
    static void refused(String why, String method, String path, String account, String address) {
        LOG.warn("refused: {} {} {} account={} address={}", why, method, path.length() > 200 ? path.substring(0, 200)
                : path, account, address);
    }
}
