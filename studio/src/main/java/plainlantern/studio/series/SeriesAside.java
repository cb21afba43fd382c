package plainlantern.studio.series;

import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;
import plainlantern.studio.account.Member;
import plainlantern.studio.jobs.ShortJobs;
import plainlantern.studio.sheets.Aside;
import plainlantern.studio.sheets.Card;
import plainlantern.studio.sheets.Sheets;
import plainlantern.studio.sheets.Thumbnails;

/** The series on My sheets. */
@Component
class SeriesAside implements Aside {
    private static final int MOST = 60;
    private static final int SHOWN = 3;

    private final SeriesStore store;
    private final Sheets sheets;
    private final ShortJobs jobs;

    SeriesAside(SeriesStore store, Sheets sheets, ShortJobs jobs) {
        this.store = store;
        this.sheets = sheets;
        this.jobs = jobs;
    }

    /** A series with its first sheets. */
    public record Stack(SeriesRow row, List<Card> first) {}

    @Override
    public void show(Member member, Model model) {
        model.addAttribute("series", store.list(member.id(), MOST).stream().map(row -> {
            List<UUID> first = store.sheets(row.id()).stream().limit(SHOWN).toList();
            List<Card> cards = sheets.cards(member.id(), first);
            for (Card card : cards) if (!card.drawn() && !card.damaged()) jobs.add(Thumbnails.NAME, card.id().toString());
            return new Stack(row, cards);
        }).toList());
    }
}
