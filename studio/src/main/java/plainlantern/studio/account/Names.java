package plainlantern.studio.account;

import java.security.SecureRandom;
import java.text.Normalizer;
import java.util.Locale;
import plainlantern.asking.BadInput;

/** What an account is called, and what it signs in as. */
final class Names {
    private static final SecureRandom RANDOM = new SecureRandom();

    private Names() {}

    /** A name as it is shown: 2 to 60 letters that can be seen and do not turn the writing around. */
    static String checked(String typed) {
        String name = Normalizer.normalize(typed.length() > 400 ? typed.substring(0, 400) : typed, Normalizer.Form.NFC).strip();
        int letters = name.codePointCount(0, name.length());
        BadInput.unless(letters >= 2 && letters <= 60, "name", "A name has 2 to 60 characters.");
        BadInput.unless(name.codePoints().allMatch(Names::seen) && name.codePoints().anyMatch(Character::isLetterOrDigit), "name",
                "A name has letters or digits, and no characters that can’t be seen.");
        return name;
    }

    private static boolean seen(int c) {
        return switch (Character.getType(c)) {
            case Character.CONTROL, Character.FORMAT, Character.SURROGATE, Character.PRIVATE_USE, Character.UNASSIGNED,
                    Character.LINE_SEPARATOR, Character.PARAGRAPH_SEPARATOR -> false;
            case Character.SPACE_SEPARATOR -> c == ' ';
            default -> true;
        };
    }

    /**
     * A name to sign in with, such as "anne-reed-4821". The digits are added to every one, so that making an account does not tell which
     * names there are.
     */
    static String signIn(String name) {
        StringBuilder plain = new StringBuilder();
        for (char c : Normalizer.normalize(name, Normalizer.Form.NFD).toLowerCase(Locale.ROOT).toCharArray()) {
            if (c >= 'a' && c <= 'z' || c >= '0' && c <= '9') plain.append(c);
            else if ((c == ' ' || c == '-') && plain.length() > 0 && plain.charAt(plain.length() - 1) != '-') plain.append('-');
            if (plain.length() == 24) break;
        }
        while (plain.length() > 0 && plain.charAt(plain.length() - 1) == '-') plain.setLength(plain.length() - 1);
        return (plain.length() == 0 ? "member" : plain) + "-" + (1000 + RANDOM.nextInt(9000));
    }
}
