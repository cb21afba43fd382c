package plainlantern.studio.account;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.nio.charset.StandardCharsets;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import plainlantern.geometry.BadInput;

/** Sign-in and sign-up. */
@Controller
public class AccountController {
    private final AccountStore accounts;
    private final PasswordEncoder passwords;
    private final Entry entry;
    private final boolean demo;

    AccountController(AccountStore accounts, PasswordEncoder passwords, Entry entry, @Value("${lantern.demo}") boolean demo) {
        this.accounts = accounts;
        this.passwords = passwords;
        this.entry = entry;
        this.demo = demo;
    }

    @GetMapping("/")
    String home() {
        return "redirect:/sheets";
    }

    @GetMapping("/sign-in")
    String signIn(Model model, @RequestParam(required = false) String wrong, @RequestParam(required = false) String left) {
        model.addAttribute("demo", demo);
        model.addAttribute("wrong", wrong != null);
        model.addAttribute("left", left != null);
        return "account/sign-in";
    }

    @GetMapping("/sign-up")
    String signUp() {
        return "account/sign-up";
    }

    @PostMapping("/sign-up")
    String make(@RequestParam String name, @RequestParam String password, Model model,
                HttpServletRequest request, HttpServletResponse response) {
        try {
            String wanted = name.strip();
            BadInput.unless(wanted.length() >= 2 && wanted.length() <= 60, "name", "A name has 2 to 60 characters.");
            BadInput.unless(password.length() >= 10, "password", "A password has 10 characters at least.");
            BadInput.unless(password.getBytes(StandardCharsets.UTF_8).length <= 72, "password", "A password has at most 72 bytes.");
            entry.let(accounts.add(wanted, passwords.encode(password)), request, response);
            return "redirect:/sheets";
        } catch (DuplicateKeyException e) {
            return again(model, name, new BadInput("name", "That name is taken. Choose another, or sign in."));
        } catch (BadInput problem) {
            return again(model, name, problem);
        }
    }

    private static String again(Model model, String name, BadInput problem) {
        model.addAttribute("name", name);
        model.addAttribute("problem", problem);
        return "account/sign-up";
    }
}
