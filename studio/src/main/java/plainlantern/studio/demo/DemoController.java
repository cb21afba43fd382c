package plainlantern.studio.demo;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PostMapping;
import plainlantern.studio.account.AccountStore;
import plainlantern.studio.account.Entry;
import plainlantern.studio.web.NotFound;

/** Lets people into the demo account; there is no such address unless the program was started with demo data. */
@Controller
@ConditionalOnProperty(name = "lantern.demo", havingValue = "true")
class DemoController {
    private final AccountStore accounts;
    private final Entry entry;

    DemoController(AccountStore accounts, Entry entry) {
        this.accounts = accounts;
        this.entry = entry;
    }

    @PostMapping("/demo/enter")
    String enter(HttpServletRequest request, HttpServletResponse response) {
        entry.let(accounts.find(DemoSetup.ACCOUNT).orElseThrow(NotFound::new), request, response);
        return "redirect:/sheets";
    }
}
