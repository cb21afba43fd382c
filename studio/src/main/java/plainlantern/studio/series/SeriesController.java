package plainlantern.studio.series;

import java.io.IOException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.multipart.MultipartFile;
import plainlantern.asking.BadInput;
import plainlantern.asking.Choice;
import plainlantern.sheet.Fields;
import plainlantern.series.Place;
import plainlantern.series.Plan;
import plainlantern.series.Shipped;
import plainlantern.series.Table;
import plainlantern.sheet.Picture;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.SheetJson;
import plainlantern.studio.account.Member;
import plainlantern.studio.deliver.HandOver;
import plainlantern.studio.jobs.ShortJobs;
import plainlantern.studio.sheets.Card;
import plainlantern.studio.sheets.Opened;
import plainlantern.studio.sheets.Sheets;
import plainlantern.studio.sheets.Templates;
import plainlantern.studio.sheets.Thumbnails;
import plainlantern.studio.shelf.Pictures;
import plainlantern.studio.web.NotFound;
import tools.jackson.core.JacksonException;
import tools.jackson.core.type.TypeReference;

/** Making a series, looking at it, keeping it like its template, handing it over. */
@Controller
public class SeriesController {
    private static final int MOST_TEMPLATES = 60;
    private static final int LONGEST_NAME = 120;

    private final SeriesStore store;
    private final SeriesDesk desk;
    private final Sheets sheets;
    private final Templates templates;
    private final Pictures all;
    private final HandOver handOver;
    private final ShortJobs jobs;

    SeriesController(SeriesStore store, SeriesDesk desk, Sheets sheets, Templates templates, Pictures pictures, HandOver handOver,
            ShortJobs jobs) {
        this.store = store;
        this.desk = desk;
        this.sheets = sheets;
        this.templates = templates;
        this.all = pictures;
        this.handOver = handOver;
        this.jobs = jobs;
    }

    /** The form for a new one. {@code template} may be a template of the account, any of its sheets, or one that comes with the program. */
    @GetMapping("/series/new")
    String ask(@AuthenticationPrincipal Member member, @RequestParam(defaultValue = "") String template, Model model) {
        List<Card> own = sheets.templates(member.id(), MOST_TEMPLATES);
        String chosen = !template.isEmpty() ? template : own.isEmpty() ? Shipped.all().get(0).id() : own.get(0).id().toString();
        Sheet sheet = templates.sheet(member.id(), chosen);
        model.addAttribute("member", member);
        model.addAttribute("own", own);
        model.addAttribute("shipped", Shipped.all());
        model.addAttribute("chosen", chosen);
        model.addAttribute("sheet", sheet);
        model.addAttribute("places", Place.of(sheet));
        model.addAttribute("fields", List.copyOf(Fields.in(sheet)));
        model.addAttribute("orders", Plan.Order.values());
        return "series/new";
    }

    /** Where a new series is. */
    record Begun(String address) {}

    /**
     * Begins a series.
     *
     * @param pictures which, in their order, as JSON
     */
    @PostMapping("/series")
    @ResponseBody
    Begun begin(@AuthenticationPrincipal Member member, @RequestParam(defaultValue = "") String template,
            @RequestParam(defaultValue = "") String name, @RequestParam(defaultValue = "[]") String pictures,
            @RequestParam(required = false) MultipartFile data, @RequestParam(defaultValue = "best") String order,
                    @RequestParam(defaultValue = "") String naming) throws IOException {
        List<Picture> brought = all.owned(member.id(), names(pictures));
        Optional<Table> table = data == null || data.isEmpty() ? Optional.empty() : Optional.of(Table.read(data.getBytes()));
        Plan.Order meant = Choice.called(order, Plan.Order.values()).orElseThrow(() -> new BadInput("order", "Choose an order."));
        Plan plan = Plan.of(templates.sheet(member.id(), template), brought, table, meant, naming);
        Opened base = sheets.open(templates.own(member.id(), template), member.id());
        return new Begun("/series/" + desk.begin(member.id(), base, named(name.isBlank() ? base.sheet().name() + " series" : name), plan));
    }

    /** A picture that the form names. */
    record Named(String id, String name) {}

    private static Map<String, String> names(String json) {
        List<Named> told;
        try {
            told = SheetJson.MAPPER.readValue(json, new TypeReference<>() {});
        } catch (JacksonException e) {
            throw new BadInput("pictures", "Choose the pictures once more.");
        }
        BadInput.unless(told.size() <= Plan.MOST_PICTURES, "pictures", "At most " + Plan.MOST_PICTURES
                + " pictures can be used at once.");
        Map<String, String> names = new LinkedHashMap<>();
        for (Named picture : told) {
            BadInput.unless(picture != null && picture.id != null && picture.name != null, "pictures", "Choose the pictures once more.");
            names.put(picture.id, picture.name);
        }
        return names;
    }

    private static String named(String name) {
        String said = name.strip();
        BadInput.unless(!said.isEmpty(), "name", "A series needs a name.");
        BadInput.unless(said.length() <= LONGEST_NAME, "name", "A name has at most " + LONGEST_NAME + " characters.");
        return said;
    }

    private SeriesRow found(Member member, UUID id) {
        return store.find(id, member.id()).orElseThrow(NotFound::new);
    }

    @GetMapping("/series/{id}")
    String page(@AuthenticationPrincipal Member member, @PathVariable UUID id, Model model) {
        model.addAttribute("member", member);
        model.addAttribute("sets", handOver.settings(member.id()));
        show(member, found(member, id), model);
        return "series/series";
    }

    /** Its state and its miniatures, for a page that waits. */
    @GetMapping("/series/{id}/sheets")
    String sheets(@AuthenticationPrincipal Member member, @PathVariable UUID id, Model model) {
        show(member, found(member, id), model);
        return "series/sheets :: sheets";
    }

    private void show(Member member, SeriesRow row, Model model) {
        List<Card> cards = row.state() == SeriesState.MAKING ? List.of() : sheets.cards(member.id(), store.sheets(row.id()));
        Thumbnails.draw(cards, jobs);
        model.addAttribute("series", row);
        model.addAttribute("cards", cards);
        model.addAttribute("changed", changed(member, row));
    }

    /** Whether its template changed since the sheets took it over. */
    private boolean changed(Member member, SeriesRow row) {
        if (row.template() == null || row.sheets() == 0) return false;
        try {
            return sheets.version(row.template(), member.id()) != row.baseVersion();
        } catch (NotFound putAway) {
            return false;
        }
    }

    @PostMapping("/series/{id}/stop")
    String stop(@AuthenticationPrincipal Member member, @PathVariable UUID id, Model model) {
        SeriesRow row = found(member, id);
        if (!store.turn(id, SeriesState.MAKING, SeriesState.STOPPED, "Stopped. No sheet was made.")) {
            store.turn(id, SeriesState.FOLLOWING, SeriesState.READY, "Stopped. Some sheets do not follow the template yet.");
        }
        show(member, found(member, row.id()), model);
        return "series/sheets :: sheets";
    }

    /** Has all sheets take over what changed on the template. */
    @PostMapping("/series/{id}/follow")
    String follow(@AuthenticationPrincipal Member member, @PathVariable UUID id, Model model) {
        found(member, id);
        if (store.turn(id, SeriesState.READY, SeriesState.FOLLOWING, "")) jobs.add(SeriesMaker.NAME, id.toString());
        show(member, found(member, id), model);
        return "series/sheets :: sheets";
    }

    @PostMapping("/series/{id}/rename")
    @ResponseBody
    void rename(@AuthenticationPrincipal Member member, @PathVariable UUID id, @RequestParam String name) {
        found(member, id);
        store.rename(id, named(name));
    }

    /** Ends the series; its sheets go under Deleted sheets. */
    @PostMapping("/series/{id}/remove")
    String remove(@AuthenticationPrincipal Member member, @PathVariable UUID id) {
        found(member, id);
        sheets.release(member.id(), store.sheets(id));
        store.remove(id);
        return "redirect:/sheets";
    }

    @GetMapping("/series/{id}/deliveries")
    String deliveries(@AuthenticationPrincipal Member member, @PathVariable UUID id, Model model) {
        found(member, id);
        model.addAttribute("deliveries", handOver.of(member.id(), store.sheets(id)));
        return "deliver/deliveries :: list";
    }

    @PostMapping("/series/{id}/deliveries")
    String deliver(@AuthenticationPrincipal Member member, @PathVariable UUID id, @RequestParam(defaultValue = "") String set,
            Model model) {
        SeriesRow row = found(member, id);
        List<Sheet> all = new ArrayList<>();
        List<Card> cards = sheets.cards(member.id(), store.sheets(id));
        BadInput.unless(!cards.isEmpty() && !row.state().working(), "set", "There is nothing to hand over yet.");
        for (Card card : cards) all.add(sheets.open(card.id(), member.id()).sheet());
        handOver.order(member.id(), cards.get(0).id(), all, row.name(), set);
        return deliveries(member, id, model);
    }
}
