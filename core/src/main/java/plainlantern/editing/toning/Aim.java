package plainlantern.editing.toning;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.BiFunction;
import java.util.function.UnaryOperator;
import plainlantern.asking.BadInput;
import plainlantern.asking.Typed;
import plainlantern.editing.Titles;
import plainlantern.sheet.Glaze;
import plainlantern.sheet.Holder;
import plainlantern.sheet.Paper;
import plainlantern.sheet.PictureLayer;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.Source;
import plainlantern.sheet.Tone;
import plainlantern.sheet.Tones;
import plainlantern.sheet.Treatment;

/**
 * Whose tone is meant.
 *
 * @param panels elements that show pictures, and glazes
 * @param layer  which picture of each, see {@link Holder#acting}
 * @param whole  whether of a slice its whole vista is meant
 * @param paper  whether the picture behind all panels is meant, too
 */
public record Aim(List<String> panels, @Typed.Layer int layer, @Typed.Switch boolean whole, @Typed.Switch boolean paper) {
    public Aim {
        panels = panels == null ? List.of() : List.copyOf(panels);
    }

    /** One tone that is meant, with the picture that it is of, empty for a glaze's, and what comes before it. */
    public record Meant(String picture, Treatment treatment) {}

    /** What is meant, in the order of the panels; a vista once. */
    public List<Meant> meant(Sheet sheet) {
        List<Meant> all = new ArrayList<>();
        Set<String> vistas = new LinkedHashSet<>();
        for (Holder holder : holders(sheet)) {
            holder.glaze().ifPresent(glaze -> all.add(new Meant("", treatment(glaze))));
            holder.picture(layer).ifPresent(picture -> {
                Optional<String> vista = vista(picture);
                if (vista.isEmpty() || vistas.add(vista.get())) all.add(meant(sheet, picture));
            });
        }
        behind(sheet).ifPresent(p -> all.add(new Meant(p.picture(), p.treatment())));
        return all;
    }

    private List<Holder> holders(Sheet sheet) {
        return panels.isEmpty() ? List.of() : sheet.elements(panels).stream().flatMap(e -> e.holder().stream()).toList();
    }

    private Meant meant(Sheet sheet, PictureLayer picture) {
        Treatment treatment = vista(picture).map(id -> sheet.vista(id).treatment())
                .orElseGet(() -> picture.slice().map(slice -> sheet.vista(slice.vista()).treatment().slice(picture.treatment()))
                        .orElse(picture.treatment()));
        return new Meant(sheet.pictureOf(picture), treatment);
    }

    /** The tone of the first that is meant; throws where there is none. */
    public Meant first(Sheet sheet) {
        return meant(sheet).stream().findFirst().orElseThrow(() -> new BadInput("panels", "There is no picture in there yet."));
    }

    /** Those that are of pictures; throws where there is none. */
    List<Meant> pictures(Sheet sheet) {
        first(sheet);
        List<Meant> pictures = meant(sheet).stream().filter(meant -> !meant.picture().isEmpty()).toList();
        BadInput.unless(!pictures.isEmpty(), "panels", "This looks at a picture, and a glaze has none of its own.");
        return pictures;
    }

    private Optional<String> vista(PictureLayer picture) {
        return picture.slice().filter(slice -> whole).map(Source.Slice::vista);
    }

    private Optional<Paper.Pictured> behind(Sheet sheet) {
        return paper ? sheet.paper().pictured() : Optional.empty();
    }

    /** The sheet with each of them changed, and all that follow the same named tones; refuses where there is none. */
    Sheet changing(Sheet before, UnaryOperator<Tone> change) {
        return changing(before, (meant, tone) -> change.apply(tone));
    }

    Sheet changing(Sheet before, Change change) {
        return changed(before, change, true);
    }

    /** The sheet with another tone for each of them, which may follow another name, or none. */
    Sheet replacing(Sheet before, UnaryOperator<Tone> change) {
        return changed(before, (meant, tone) -> change.apply(tone), false);
    }

    /** What becomes of a tone of a picture. */
    interface Change {
        Tone of(Meant meant, Tone tone);
    }

    /** The sheet with each of them switched off, or on again. */
    Sheet switching(Sheet before, boolean off) {
        return treating(before, (picture, was) -> was.switched(off));
    }

    private Sheet changed(Sheet before, Change change, boolean follow) {
        Map<String, Tone> named = new HashMap<>();
        Sheet all = treating(before, (picture, was) -> {
            Tone tone = change.of(new Meant(picture, was), was.tone());
            if (!follow) return was.toned(tone);
            was.tone().named().ifPresent(id -> named.put(id, tone));
            return was.toned(tone.following(was.tone().named()));
        });
        return named.isEmpty() ? all : Tones.followed(all, named);
    }

    /** @param treated given the picture and how it is treated */
    private Sheet treating(Sheet before, BiFunction<String, Treatment, Treatment> treated) {
        first(before);
        Set<String> vistas = new LinkedHashSet<>();
        Sheet layers = holders(before).isEmpty() ? before : before.holding(panels, holder -> {
            if (holder.glaze().isPresent()) return toned(holder.glaze().get(), treated);
            int at = holder.acting(layer);
            if (at < 0) return holder;
            PictureLayer picture = holder.picture(at).orElseThrow();
            Optional<String> vista = vista(picture);
            vista.ifPresent(vistas::add);
            if (vista.isPresent()) return holder;
            Treatment own = treated.apply(before.pictureOf(picture), meant(before, picture).treatment());
            return holder.changingLayer(at, c -> picture.treated(picture.treatment().toned(own.tone()).switched(own.off())));
        });
        Sheet seen = layers.changingVistas(v -> vistas.contains(v.id()) ? v.treated(treated.apply(v.picture(), v.treatment())) : v);
        return behind(before).map(p -> seen.withPaper(p.treated(treated.apply(p.picture(), p.treatment())))).orElse(seen);
    }

    private static Treatment treatment(Glaze glaze) {
        return Treatment.NONE.toned(glaze.tone()).switched(glaze.toneOff());
    }

    private static Glaze toned(Glaze glaze, BiFunction<String, Treatment, Treatment> treated) {
        Treatment own = treated.apply("", treatment(glaze));
        return glaze.toned(own.tone(), own.off());
    }

    /** "Exposure: Centre", "Exposure: 3 panels", "Exposure: paper". */
    String title(String what, Sheet sheet) {
        return panels.isEmpty() ? what + ": paper" : Titles.of(what, sheet, panels);
    }
}
