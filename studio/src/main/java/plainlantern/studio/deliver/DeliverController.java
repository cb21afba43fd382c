package plainlantern.studio.deliver;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.servlet.mvc.method.annotation.StreamingResponseBody;
import plainlantern.asking.BadInput;
import plainlantern.asking.Unit;
import plainlantern.rendering.Delivery;
import plainlantern.rendering.Estimate;
import plainlantern.scene.Extent;
import plainlantern.scene.Page;
import plainlantern.sheet.Sheet;
import plainlantern.studio.account.Member;
import plainlantern.studio.quota.Quotas;
import plainlantern.studio.sheets.SheetStore;
import plainlantern.studio.sheets.Sheets;
import plainlantern.studio.shelf.Paints;
import plainlantern.studio.web.NotFound;

/** The Deliver stage: sizes before anything is made, orders, what became of them, and settings under names. */
@Controller
public class DeliverController {
    private static final int MOST_SHEETS = 50;
    private static final int MOST_SETS = 60;

    private final Sheets sheets;
    private final SheetStore rows;
    private final Paints paints;
    private final DeliveryStore store;
    private final DeliveryJobs jobs;
    private final SetStore sets;
    private final Downloads downloads;
    private final HandOver handOver;
    private final Estimate estimate = new Estimate();

    DeliverController(Sheets sheets, SheetStore rows, Paints paints, DeliveryStore store, DeliveryJobs jobs, SetStore sets,
            Downloads downloads, HandOver handOver) {
        this.sheets = sheets;
        this.rows = rows;
        this.paints = paints;
        this.store = store;
        this.jobs = jobs;
        this.sets = sets;
        this.downloads = downloads;
        this.handOver = handOver;
    }

    /** How large a delivery would be, in words. */
    public record Size(String told) {}

    @PostMapping("/sheets/{id}/delivery-size")
    @ResponseBody
    Size size(@AuthenticationPrincipal Member member, @PathVariable UUID id, @ModelAttribute DeliveryForm form) {
        DeliveryOrder order = order(member, id, form, form.delivery());
        Delivery delivery = order.delivery();
        List<Page> pages = order.pages();
        delivery.check(pages);
        Page first = pages.get(0);
        int[] pixels = delivery.pixels(first);
        String px = pixels[0] + " × " + pixels[1] + " px";
        String mm = String.format(Locale.ROOT, "%.1f × %.1f mm", first.box().width() * delivery.scale(),
                first.box().height() * delivery.scale());
        boolean screen = order.sheets().get(0).unit() == Unit.PX;
        String size = screen ? px : delivery.format().pixels() ? px + ", " + mm : mm;
        return new Size(pages.size() == 1 ? size : pages.size() + (delivery.archived(pages.size()) ? " files, the first "
                : " pages, the first ") + size);
    }

    @PostMapping("/sheets/{id}/delivery-estimate")
    @ResponseBody
    Size estimate(@AuthenticationPrincipal Member member, @PathVariable UUID id, @ModelAttribute DeliveryForm form) {
        DeliveryOrder order = order(member, id, form, form.delivery());
        List<Page> pages = order.pages();
        order.delivery().check(pages);
        long bytes = paints.sampled(member.id(), order.delivery(), pages, originals -> estimate.bytes(order.delivery(), pages, originals));
        long[] range = Estimate.range(order.delivery(), pages, bytes);
        return new Size(Quotas.told(range[0]) + " to " + Quotas.told(range[1]));
    }

    /** The deliveries that were ordered. */
    public record Ordered(List<UUID> ids) {}

    @PostMapping("/sheets/{id}/deliveries")
    @ResponseBody
    Ordered deliver(@AuthenticationPrincipal Member member, @PathVariable UUID id, @ModelAttribute DeliveryForm form) {
        List<DeliveryOrder> orders = new ArrayList<>();
        if (form.sets() == null || form.sets().isEmpty()) orders.add(order(member, id, form, form.delivery()));
        else for (SetRow set : all(member)) if (form.sets().contains(set.id())) orders.add(order(member, id, form, set.settings()));
        BadInput.unless(!orders.isEmpty(), "sets", "Choose at least one of the settings.");
        return new Ordered(jobs.add(orders));
    }

    /** The sheets must be the member's own. */
    private DeliveryOrder order(Member member, UUID id, DeliveryForm form, Delivery delivery) {
        List<Sheet> all = new ArrayList<>(List.of(sheets.open(id, member.id()).sheet()));
        List<UUID> more = form.more() == null || delivery.extent() != Extent.SHEET ? List.of() : form.more();
        BadInput.unless(more.size() < MOST_SHEETS, "more", "At most " + MOST_SHEETS + " sheets can be made together.");
        for (UUID other : more) all.add(sheets.open(other, member.id()).sheet());
        return new DeliveryOrder(member.id(), id, all, form.chosen(), delivery, Optional.empty());
    }

    @GetMapping("/sheets/{id}/deliveries")
    String deliveries(@AuthenticationPrincipal Member member, @PathVariable UUID id, Model model) {
        sheets.version(id, member.id());
        model.addAttribute("deliveries", store.list(member.id(), List.of(id), HandOver.SHOWN));
        return "deliver/deliveries :: list";
    }

    /** The member's other sheets, to be delivered together with this one. */
    @GetMapping("/sheets/{id}/delivery-others")
    String others(@AuthenticationPrincipal Member member, @PathVariable UUID id, Model model) {
        sheets.version(id, member.id());
        model.addAttribute("others", rows.latest(member.id(), MOST_SHEETS).stream().filter(row -> !row.id().equals(id))
                .limit(MOST_SHEETS - 1).toList());
        return "deliver/others :: list";
    }

    @GetMapping("/delivery-sets")
    String sets(@AuthenticationPrincipal Member member, Model model) {
        model.addAttribute("sets", all(member));
        return "deliver/sets :: list";
    }

    private List<SetRow> all(Member member) {
        return handOver.settings(member.id());
    }

    @PostMapping("/delivery-sets")
    String keep(@AuthenticationPrincipal Member member, @RequestParam String name, @ModelAttribute DeliveryForm form, Model model) {
        String said = name.strip();
        BadInput.unless(!said.isEmpty() && said.length() <= 60, "name", "Settings need a name of at most 60 letters.");
        BadInput.unless(SetRow.USUAL.stream().noneMatch(set -> set.name().equalsIgnoreCase(said)), "name",
                "“" + said + "” comes with the application. Choose another name.");
        BadInput.unless(sets.list(member.id()).size() < MOST_SETS, "name", "There are " + MOST_SETS
                + " settings already. Delete one first.");
        sets.put(member.id(), said, form.delivery());
        return sets(member, model);
    }

    @PostMapping("/delivery-sets/{set}/forget")
    String forget(@AuthenticationPrincipal Member member, @PathVariable UUID set, Model model) {
        if (!sets.remove(member.id(), set)) throw new NotFound();
        return sets(member, model);
    }

    @PostMapping("/deliveries/{delivery}/stop")
    ResponseEntity<Void> stop(@AuthenticationPrincipal Member member, @PathVariable UUID delivery) {
        store.find(member.id(), delivery).orElseThrow(NotFound::new);
        store.end(delivery, DeliveryState.STOPPED, "");
        return ResponseEntity.noContent().build();
    }

    @PostMapping("/deliveries/{delivery}/forget")
    ResponseEntity<Void> remove(@AuthenticationPrincipal Member member, @PathVariable UUID delivery) {
        if (!store.remove(member.id(), delivery)) throw new NotFound();
        return ResponseEntity.noContent().build();
    }

    @GetMapping("/deliveries/{delivery}/file")
    ResponseEntity<StreamingResponseBody> file(@AuthenticationPrincipal Member member, @PathVariable UUID delivery) {
        DeliveryRow row = store.find(member.id(), delivery).filter(found -> found.state() == DeliveryState.DONE).orElseThrow(NotFound::new);
        return ResponseEntity.ok().contentType(MediaType.parseMediaType(row.mediaType())).contentLength(row.bytes())
                .header(HttpHeaders.CONTENT_DISPOSITION, BundleController.attachment(row.file())).body(downloads.of(member.id(), out -> {
                    int part = 0;
                    for (Optional<byte[]> bytes = store.part(delivery, part); bytes.isPresent(); bytes = store.part(delivery, ++part))
                        out.write(bytes.get());
                }));
    }
}
