package plainlantern.studio.sheets;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.stereotype.Service;
import plainlantern.asking.Unit;
import plainlantern.picture.DecodedPictures;
import plainlantern.rendering.Delivery;
import plainlantern.rendering.Format;
import plainlantern.scene.Extent;
import plainlantern.scene.Pages;
import plainlantern.series.Filling;
import plainlantern.series.Shipped;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.StandIn;
import plainlantern.studio.shelf.Pictures;
import plainlantern.studio.web.NotFound;

/** Templates: those of an account, which are sheets of their own, and those that come with the application. */
@Service
public class Templates {
    private static final int SIDE = 480;

    private final Sheets sheets;
    private final Pictures pictures;
    private final Map<String, byte[]> painted = new ConcurrentHashMap<>();

    Templates(Sheets sheets, Pictures pictures) {
        this.sheets = sheets;
        this.pictures = pictures;
    }

    /**
     * Keeps a sheet's layout as a template.
     *
     * @param stays the pictures that stay in it
     */
    UUID keep(UUID account, UUID sheet, String name, Set<String> stays) {
        return add(account, Filling.template(sheets.open(sheet, account).sheet(), stays).named(name));
    }

    private UUID add(UUID account, Sheet template) {
        standIns(account, template);
        return sheets.addAll(account, List.of(template), "New template", SheetKind.TEMPLATE, ids -> true).get(0);
    }

    /** A new sheet that begins as a template is now. */
    UUID begin(UUID account, String template) {
        Sheet sheet = sheet(account, template);
        standIns(account, sheet);
        return sheets.add(account, sheet, "New sheet");
    }

    /** A template, or any sheet, of the account, or one that comes with the application. */
    public Sheet sheet(UUID account, String template) {
        Optional<Shipped> shipped = Shipped.find(template);
        return shipped.isPresent() ? shipped.get().sheet() : sheets.open(id(template), account).sheet();
    }

    /** That template as a sheet of the account: one that comes with the application is copied. */
    public UUID own(UUID account, String template) {
        Optional<Shipped> shipped = Shipped.find(template);
        if (shipped.isPresent()) return add(account, shipped.get().sheet());
        UUID id = id(template);
        sheets.version(id, account);
        return id;
    }

    private static UUID id(String template) {
        try {
            return UUID.fromString(template);
        } catch (IllegalArgumentException e) {
            throw new NotFound();
        }
    }

    /** Gives an account the stand-ins of a sheet. */
    private void standIns(UUID account, Sheet sheet) {
        sheet.shelf().stream().filter(picture -> !pictures.has(account, picture)).flatMap(picture -> StandIn.find(picture.id()).stream())
                .forEach(standIn -> pictures.add(account, standIn.file(), standIn.bytes()));
    }

    /** One that comes with the application, painted small; JPEG. */
    byte[] picture(Shipped shipped) {
        byte[] there = painted.get(shipped.id());
        if (there != null) return there;
        Sheet sheet = shipped.sheet();
        double ppi = SIDE * Unit.MM_PER_INCH / Math.max(sheet.width(), sheet.height());
        byte[] jpeg = Delivery.of(Format.JPEG, ppi).file(Pages.of(sheet, Extent.SHEET, List.of(), false).get(0),
                new DecodedPictures(sha -> StandIn.find(sha).orElseThrow().bytes()));
        painted.put(shipped.id(), jpeg);
        return jpeg;
    }
}
