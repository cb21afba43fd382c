package plainlantern.studio.shelf;

import com.fasterxml.jackson.annotation.JsonInclude;
import java.nio.charset.StandardCharsets;
import java.util.Base64;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import plainlantern.asking.BadInput;
import plainlantern.scene.Fingerprint;
import plainlantern.scene.Scene;
import plainlantern.sheet.Cleared;
import plainlantern.sheet.Lens;
import plainlantern.sheet.SheetJson;
import plainlantern.sheet.Through;
import plainlantern.sheet.Toned;
import plainlantern.sheet.Treated;
import plainlantern.sheet.Veiled;
import plainlantern.sheet.Warp;
import tools.jackson.core.JacksonException;

/**
 * Where the previews of a treated picture are: its treatment is a part of the address, so that each may be kept for good. It is JSON, as
 * documents have it, in the letters of RFC 4648 for addresses.
 */
public final class PictureAddress {
    private PictureAddress() {}

    @JsonInclude(JsonInclude.Include.NON_EMPTY)
    private record Told(Optional<Cleared> cleared, List<Toned> tones, Optional<Warp> warp, Optional<Through> through,
            Optional<Lens> lens) {}

    /** Such as "/pictures/…" or "/pictures/…/eyJ0b25l…"; the level follows. */
    public static String of(Treated what) {
        return "/pictures/" + told(what);
    }

    /** The same on a sheet: what lies beneath a glaze is painted from that, such as "/sheets/…/glazes/p4-5f3a/eyJ0aH…". */
    public static String of(Treated what, UUID sheet) {
        return what.through().isEmpty() ? of(what) : "/sheets/" + sheet + "/glazes/" + told(what);
    }

    /** Of a mask of what the veil of a layer leaves, such as "/sheets/…/veils/p4-0-5f3a"; another veil has another address. */
    public static String veil(UUID sheet, String element, Scene.Layer layer) {
        return "/sheets/" + sheet + "/veils/" + name(element, layer);
    }

    /** The same as an edit would make it, told as JSON. */
    public static String veil(UUID sheet, String element, Scene.Layer layer, String edit) {
        return veil(sheet, element, layer) + "/" + written(edit.getBytes(StandardCharsets.UTF_8));
    }

    /** The JSON of an edit that a part of an address tells, if it does. */
    public static Optional<String> edit(String written) {
        try {
            return Optional.of(read(written));
        } catch (IllegalArgumentException damaged) {
            return Optional.empty();
        }
    }

    /** The name of a mask in its address; it covers the veil and, where that hides colours, the picture whose colours it looks at. */
    public static String name(String element, Scene.Layer layer) {
        Optional<Veiled> veil = layer.mask().map(Scene.Mask::veil);
        Optional<Treated> colours = veil.filter(Veiled::looks).flatMap(looking -> layer.picture())
                .map(picture -> picture.treated().toneless().unveiled());
        return element + "-" + layer.at() + "-" + Fingerprint.of(veil, colours);
    }

    private static String told(Treated what) {
        Told told = new Told(what.cleared(), what.tones(), what.warp(), what.through(), what.lens());
        // A veil is no part of it: it may be longer than any address.
        return what.picture() + (what.unveiled().untouched() ? "" : "/" + written(SheetJson.MAPPER.writeValueAsBytes(told)));
    }

    private static String written(byte[] json) {
        return Base64.getUrlEncoder().withoutPadding().encodeToString(json);
    }

    private static String read(String written) {
        return new String(Base64.getUrlDecoder().decode(written), StandardCharsets.UTF_8);
    }

    /** A picture with the treatment that a part of an address names. */
    public static Optional<Treated> read(String picture, String written) {
        try {
            Told told = SheetJson.MAPPER.readValue(read(written), Told.class);
            return Optional.ofNullable(told).map(t -> new Treated(picture, t.cleared(), t.tones(), t.warp(), t.through(), t.lens(),
                    Optional.empty()));
        } catch (JacksonException | IllegalArgumentException | NullPointerException | BadInput damaged) {
            return Optional.empty();
        }
    }
}
