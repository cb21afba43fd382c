package plainlantern.studio.shelf;

import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Component;
import plainlantern.checking.Legibility;
import plainlantern.checking.Told;
import plainlantern.fitting.Shown;
import plainlantern.fitting.Vistas;
import plainlantern.rendering.Contrast;
import plainlantern.rendering.Hiding;
import plainlantern.sheet.Element;
import plainlantern.sheet.Holder;
import plainlantern.sheet.PictureLayer;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.Treated;

/** What the pixels of a sheet tell that Check asks for. */
@Component
public class Telling {
    private final Paints paints;
    private final Pictures pictures;

    Telling(Paints paints, Pictures pictures) {
        this.paints = paints;
        this.pictures = pictures;
    }

    /** How well the words of captions can be read, what tones cut off, what veils hide. */
    public Told of(UUID account, Sheet sheet) {
        Map<String, Legibility> words = new HashMap<>();
        for (Element element : sheet.elements()) {
            element.caption().filter(caption -> !caption.hidden()).flatMap(caption ->
                    paints.look(account, previews -> Contrast.of(sheet, caption, previews)))
                            .ifPresent(reading -> words.put(element.id(), reading));
        }
        Map<Treated, Told.Lost> lost = new HashMap<>();
        if (sheet.limits().clipped() == 0) return new Told(words, lost, Hiding.of(sheet));
        for (Holder holder : sheet.holders()) for (PictureLayer layer : holder.pictures()) {
            Shown shown = Vistas.shown(sheet, holder, layer);
            Treated seen = Treated.anywhere(shown.picture().id(), shown.treatment());
            if (!seen.tones().isEmpty()) lost.computeIfAbsent(seen, any -> pictures.lost(account, seen));
        }
        return new Told(words, lost, Hiding.of(sheet));
    }
}
