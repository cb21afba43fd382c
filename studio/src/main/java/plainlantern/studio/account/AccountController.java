package plainlantern.studio.account;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.security.authentication.LockedException;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import plainlantern.asking.BadInput;
import plainlantern.studio.jobs.ShortJobs;
import plainlantern.studio.quota.Quotas;

/** Sign-in, sign-up, and what a member can see and do of the account. */
@Controller
public class AccountController {
    /** The short job that empties erased accounts. */
    private static final String UPKEEP = "upkeep";
    private static final int MOST_NAMES = 20;

    private final AccountStore accounts;
    private final Passwords passwords;
    private final Door door;
    private final Tries tries;
    private final Entry entry;
    private final Quotas quotas;
    private final ShortJobs jobs;
    private final boolean demo;

    AccountController(AccountStore accounts, Passwords passwords, Door door, Tries tries, Entry entry, Quotas quotas, ShortJobs jobs,
            @Value("${lantern.demo}") boolean demo) {
        this.accounts = accounts;
        this.passwords = passwords;
        this.door = door;
        this.tries = tries;
        this.entry = entry;
        this.quotas = quotas;
        this.jobs = jobs;
        this.demo = demo;
    }

    @GetMapping("/")
    String home() {
        return "redirect:/sheets";
    }

    @GetMapping("/sign-in")
    String signIn(Model model, @RequestParam(required = false) String wrong, @RequestParam(required = false) String left,
            @RequestParam(required = false) String erased) {
        model.addAttribute("demo", demo);
        model.addAttribute("wrong", wrong != null);
        model.addAttribute("left", left != null);
        model.addAttribute("erased", erased != null);
        return "account/sign-in";
    }

    @GetMapping("/sign-up")
    String signUp() {
        return "account/sign-up";
    }

    @PostMapping("/sign-up")
    String make(@RequestParam String name, @RequestParam String password, Model model, HttpServletRequest request,
            HttpServletResponse response) {
        try {
            String wanted = Names.checked(name);
            BadInput.unless(tries.signUp(request.getRemoteAddr()), "name",
                    "Many accounts were made from here in a short time. Try again in an hour.");
            Member member = added(wanted, passwords.hashed(password, wanted));
            SecurityLog.said("sign-up", member.id(), request.getRemoteAddr());
            entry.let(member, request, response);
            return "redirect:/sheets?welcome";
        } catch (BadInput problem) {
            model.addAttribute("name", name);
            model.addAttribute("problem", problem);
            return "account/sign-up";
        }
    }

    private Member added(String name, String hash) {
        for (int i = 0; i < MOST_NAMES; i++) {
            try {
                return accounts.add(name, Names.signIn(name), hash);
            } catch (DuplicateKeyException taken) {
                // Other digits will do.
            }
        }
        throw new BadInput("name", "Choose another name.");
    }

    @GetMapping("/account")
    String account(@AuthenticationPrincipal Member member, Model model, @RequestParam(required = false) String changed) {
        model.addAttribute("member", member);
        model.addAttribute("holdings", Holding.of(quotas.usage(member.id()), quotas.quota()));
        model.addAttribute("changed", changed != null);
        return "account/account";
    }

    @PostMapping("/account/password")
    String password(@AuthenticationPrincipal Member member, @RequestParam String present, @RequestParam String password, Model model,
            HttpServletRequest request) {
        try {
            known(member, present, request);
            accounts.change(member.id(), passwords.hashed(password, member.name(), member.signIn()));
        } catch (BadInput problem) {
            model.addAttribute("problem", problem);
            return account(member, model, null);
        }
        SecurityLog.said("password changed", member.id(), request.getRemoteAddr());
        entry.out(member.id(), request.getSession().getId());
        return "redirect:/account?changed";
    }

    @PostMapping("/account/sign-out-everywhere")
    String everywhere(@AuthenticationPrincipal Member member, HttpServletRequest request) {
        entry.out(member.id(), "");
        SecurityLog.said("signed out everywhere", member.id(), request.getRemoteAddr());
        request.getSession().invalidate();
        return "redirect:/sign-in?left";
    }

    @PostMapping("/account/erase")
    String erase(@AuthenticationPrincipal Member member, @RequestParam String present, Model model, HttpServletRequest request) {
        try {
            known(member, present, request);
        } catch (BadInput problem) {
            model.addAttribute("problem", new BadInput("erase", problem.getMessage()));
            return account(member, model, null);
        }
        accounts.erase(member.id());
        entry.out(member.id(), "");
        jobs.add(UPKEEP, "now");
        SecurityLog.said("account erased", member.id(), request.getRemoteAddr());
        request.getSession().invalidate();
        return "redirect:/sign-in?erased";
    }

    private void known(Member member, String password, HttpServletRequest request) {
        try {
            BadInput.unless(door.right(member, password, request.getRemoteAddr()), "present", "This is not your present password.");
        } catch (LockedException e) {
            throw new BadInput("present", "Too many tries. Wait a quarter of an hour, then try again.");
        }
    }
}
