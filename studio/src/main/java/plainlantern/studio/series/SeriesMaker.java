package plainlantern.studio.series;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.stereotype.Component;
import plainlantern.asking.BadInput;
import plainlantern.editing.sheet.FollowTemplate;
import plainlantern.series.Filling;
import plainlantern.series.Following;
import plainlantern.sheet.Picture;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.SheetJson;
import plainlantern.studio.jobs.ShortJob;
import plainlantern.studio.jobs.ShortJobs;
import plainlantern.studio.sheets.Damaged;
import plainlantern.studio.sheets.Opened;
import plainlantern.studio.sheets.SheetKind;
import plainlantern.studio.sheets.Sheets;
import plainlantern.studio.sheets.Thumbnails;
import plainlantern.studio.shelf.Pictures;
import plainlantern.studio.web.NotFound;
import tools.jackson.core.JacksonException;

/** Makes the sheets of a series, all or none of them, and has them follow their template; in the background. */
@Component
class SeriesMaker implements ShortJob {
    static final String NAME = "series";
    /** Sheets that are told by their numbers. */
    private static final int MOST_NAMED = 10;
    private static final long TELLING_NANOS = 250_000_000;
    private static final Logger LOG = LoggerFactory.getLogger(SeriesMaker.class);

    private final SeriesStore store;
    private final Sheets sheets;
    private final Pictures pictures;
    private final ObjectProvider<ShortJobs> jobs;

    /** @param jobs of which this is one */
    SeriesMaker(SeriesStore store, Sheets sheets, Pictures pictures, ObjectProvider<ShortJobs> jobs) {
        this.jobs = jobs;
        this.store = store;
        this.sheets = sheets;
        this.pictures = pictures;
    }

    @Override
    public String name() {
        return NAME;
    }

    @Override
    public void run(String what) {
        UUID id = UUID.fromString(what);
        Optional<SeriesStore.Work> work = store.work(id).filter(w -> w.state().working());
        if (work.isEmpty()) return;
        boolean making = work.get().state() == SeriesState.MAKING;
        try {
            if (making) make(id, work.get());
            else follow(id, work.get());
        } catch (BadInput | NotFound | Damaged problem) {
            failed(id, making, problem instanceof NotFound ? "The template is not there any more." : problem.getMessage());
        } catch (RuntimeException problem) {
            LOG.warn("Series {} did not come to its end", id, problem);
            failed(id, making, "Something went wrong on the server." + (making ? " No sheet was made."
                    : " Some sheets may not follow yet."));
        }
    }

    private void failed(UUID id, boolean making, String said) {
        if (making) store.turn(id, SeriesState.MAKING, SeriesState.FAILED, said);
        else store.turn(id, SeriesState.FOLLOWING, SeriesState.READY, said);
    }

    private void make(UUID id, SeriesStore.Work work) {
        Sheet template = SheetJson.read(work.base());
        Map<String, Picture> known = known(work.account(), work.fillings());
        List<Sheet> made = new ArrayList<>();
        long told = System.nanoTime();
        for (Filling filling : work.fillings()) {
            made.add(filling.on(template, known));
            if (System.nanoTime() - told < TELLING_NANOS) continue;
            if (!store.progress(id, 0.8 * made.size() / work.fillings().size())) return;
            told = System.nanoTime();
        }
        List<UUID> ids = sheets.addAll(work.account(), made, "New sheet of a series", SheetKind.SERIES,
                added -> store.made(id, added, work.fillings()));
        // Before anybody asks for them.
        if (!store.sheets(id).isEmpty()) Thumbnails.draw(ids, jobs.getObject());
    }

    /** The account's own pictures among those that are named. */
    private Map<String, Picture> known(UUID account, List<Filling> fillings) {
        Map<String, String> names = new LinkedHashMap<>();
        for (Filling filling : fillings) for (String picture : filling.pictures().values()) names.put(picture, filling.names()
                .getOrDefault(picture, "Picture"));
        Map<String, Picture> known = new HashMap<>();
        for (Picture picture : pictures.owned(account, names)) known.put(picture.id(), picture);
        return known;
    }

    private void follow(UUID id, SeriesStore.Work work) {
        Opened template = sheets.open(work.template(), work.account());
        Sheet before = SheetJson.read(work.base());
        List<SeriesStore.Part> parts = store.parts(id);
        Map<String, Picture> known = known(work.account(), parts.stream().map(SeriesStore.Part::filling).toList());
        List<Integer> apart = new ArrayList<>();
        for (SeriesStore.Part part : parts) {
            if (!store.progress(id, (double) (part.place() - 1) / parts.size())) return;
            if (!followed(work.account(), part, before, template.sheet(), known)) apart.add(part.place());
        }
        store.follow(id, SheetJson.write(template.sheet()), template.version());
        store.turn(id, SeriesState.FOLLOWING, SeriesState.READY, said(apart));
    }

    private static String said(List<Integer> apart) {
        if (apart.isEmpty()) return "";
        String which = apart.stream().limit(MOST_NAMED).map(String::valueOf).collect(Collectors.joining(", "))
                + (apart.size() > MOST_NAMED ? " and " + (apart.size() - MOST_NAMED) + " more" : "");
        return (apart.size() == 1 ? "Sheet " + which + " stayed as it was" : "Sheets " + which + " stayed as they were")
                + ": what changed there by hand does not go together with the template any more.";
    }

    /** False where a sheet does not go together with the template. */
    private boolean followed(UUID account, SeriesStore.Part part, Sheet before, Sheet after, Map<String, Picture> known) {
        try {
            sheets.apply(part.sheet(), account, mine -> new FollowTemplate(Following.followed(part.filling().on(before, known).named(
                    mine.name()), part.filling().on(after, known).named(mine.name()), mine)));
            return true;
        } catch (NotFound putAway) {
            return true;
        } catch (BadInput | Damaged | JacksonException problem) {
            LOG.info("Sheet {} does not follow its template: {}", part.sheet(), problem.getMessage());
            return false;
        }
    }
}
