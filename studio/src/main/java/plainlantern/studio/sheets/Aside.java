package plainlantern.studio.sheets;

import org.springframework.ui.Model;
import plainlantern.studio.account.Member;

/** What another feature shows on My sheets. */
public interface Aside {
    /** Adds what its part of the page needs. */
    void show(Member member, Model model);
}
