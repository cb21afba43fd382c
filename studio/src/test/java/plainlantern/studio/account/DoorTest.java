package plainlantern.studio.account;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import plainlantern.asking.BadInput;

/** Names and passwords; the rest of the door is tried as strangers try it. */
class DoorTest {
    private final Passwords passwords = new Passwords(new BCryptPasswordEncoder(4));

    @ParameterizedTest
    @ValueSource(strings = {"A", " ", "!!", "Anne\u202Edreer", "An\u200Bne", "Anne\nReed", "Anne\u0000", "\uD800nne", "Anne\u00A0Reed"})
    void namesThatCannotBeSeenAreRefused(String name) {
        assertThatThrownBy(() -> Names.checked(name)).isInstanceOf(BadInput.class);
    }

    /** Every name gets digits, so that making an account tells nothing of others. */
    @Test
    void aNameToSignInWithIsPlainAndHasDigits() {
        assertThat(Names.checked("  Åse Øvergård-Reed ")).isEqualTo("Åse Øvergård-Reed");
        assertThat(Names.signIn("Åse  O'Hara-Reed")).matches("ase-ohara-reed-[1-9][0-9]{3}");
        assertThat(Names.signIn("水車")).matches("member-[1-9][0-9]{3}");
        assertThat(Names.signIn("n".repeat(60))).matches("n{24}-[0-9]{4}");
    }

    /** Found by what the shipped list and its patterns guess first (Wheeler: zxcvbn, USENIX Security 2016). */
    @ParameterizedTest
    @ValueSource(strings = {"password12", "qwertyuiop", "1234567890", "iloveyou123", "aaaaaaaaaaaa", "anne reed anne",
            "sunshine2024", "short"})
    void passwordsThatAreTriedFirstAreRefused(String password) {
        assertThatThrownBy(() -> passwords.hashed(password, "Anne Reed")).isInstanceOf(BadInput.class);
    }

    /** Where there is no account nothing is right; a long one is not cut off in silence. */
    @Test
    void onlyTheVeryPasswordIsRight() {
        String hash = passwords.hashed("reeds and water", "Anne Reed");
        assertThat(passwords.right("reeds and water", hash)).isTrue();
        assertThat(passwords.right("reeds and wader", hash)).isFalse();
        assertThat(passwords.right("nobody has this password", null)).isFalse();
        assertThatThrownBy(() -> passwords.hashed("ö".repeat(40), "Anne")).hasMessageContaining("72 bytes");
        assertThat(passwords.right("ö".repeat(400), hash)).isFalse();
    }

    /** Of IPv6 a household has a whole network (RFC 4291: 64 bits), of IPv4 an address. */
    @Test
    void addressesAreCountedAsTheyAreGivenOut() {
        assertThat(Tries.network("2001:db8:1:2::77")).isEqualTo(Tries.network("2001:db8:1:2:ffff::1"))
                .isNotEqualTo(Tries.network("2001:db8:1:3::77"));
        assertThat(Tries.network("192.0.2.7")).isEqualTo("192.0.2.7");
    }
}
