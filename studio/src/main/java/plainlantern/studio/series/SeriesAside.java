package plainlantern.studio.series;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
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
        Map<UUID, List<UUID>> first = store.first(member.id(), SHOWN);
        Map<UUID, Card> cards = new HashMap<>();
        for (Card card : sheets.cards(member.id(), first.values().stream().flatMap(List::stream).toList())) cards.put(card.id(), card);
        Thumbnails.draw(cards.values(), jobs);
        model.addAttribute("series", store.list(member.id(), MOST).stream().map(row -> new Stack(row,
                first.getOrDefault(row.id(), List.of()).stream().map(cards::get).filter(Objects::nonNull).toList())).toList());
    }
}
