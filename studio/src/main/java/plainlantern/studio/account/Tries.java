package plainlantern.studio.account;

import java.net.InetAddress;
import java.net.UnknownHostException;
import java.util.Arrays;
import java.util.HexFormat;
import java.util.Locale;
import org.springframework.stereotype.Component;

/** Whether somebody may try once more. A try is counted before it is made, so that many at once do not slip through. */
@Component
public class Tries {
    private final TriesStore store;
    private final Throttle throttle;

    Tries(TriesStore store, Throttle throttle) {
        this.store = store;
        this.throttle = throttle;
    }

    /** A password for an account. */
    boolean password(String signIn, String address) {
        String from = network(address);
        String name = shortened(signIn);
        return store.count("password from", from, throttle.within()) <= throttle.byAddress()
                & store.count("password for", name, throttle.within()) <= throttle.byAccount()
                & store.count("password for, from", name + " " + from, throttle.within()) <= throttle.passwords();
    }

    /** The password was right: wrong ones before do not count. */
    void right(String signIn, String address) {
        store.forget("password for, from", shortened(signIn) + " " + network(address));
    }

    boolean signUp(String address) {
        return store.count("sign-up from", network(address), throttle.signUpTime()) <= throttle.signUps();
    }

    /**
     * Something that strangers do at an open page.
     *
     * @param most how often from one address in the time that passwords are counted in
     */
    public boolean open(String what, String address, int most) {
        return store.count(what + " from", network(address), throttle.within()) <= most;
    }

    private static String shortened(String signIn) {
        String name = signIn.strip().toLowerCase(Locale.ROOT);
        return name.length() <= 80 ? name : name.substring(0, 80);
    }

    /** An address, of IPv6 the network that one household or server has: its first 64 bits. */
    static String network(String address) {
        try {
            byte[] bytes = InetAddress.getByName(address).getAddress();
            return bytes.length == 4 ? address : HexFormat.of().formatHex(Arrays.copyOf(bytes, 8)) + "/64";
        } catch (UnknownHostException e) {
            return "elsewhere";
        }
    }
}
