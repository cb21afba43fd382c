package plainlantern.studio.account;

import java.time.Duration;
import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.boot.context.properties.bind.DefaultValue;

/**
 * How many tries there are before somebody has to wait: {@code lantern.throttle.passwords}, or LANTERN_THROTTLE_PASSWORDS.
 *
 * @param passwords  wrong ones for one account from one address
 * @param byAccount  wrong ones for one account from anywhere
 * @param byAddress  wrong ones from one address for any account
 * @param within     the time in which they are counted, which is also the time to wait
 * @param signUps    new accounts from one address
 * @param signUpTime the time in which those are counted
 */
@ConfigurationProperties("lantern.throttle")
record Throttle(@DefaultValue("10") int passwords, @DefaultValue("100") int byAccount, @DefaultValue("60") int byAddress,
        @DefaultValue("15m") Duration within,
        @DefaultValue("20") int signUps, @DefaultValue("1h") Duration signUpTime) {}
