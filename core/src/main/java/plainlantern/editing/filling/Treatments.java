package plainlantern.editing.filling;

import java.util.Optional;
import java.util.function.UnaryOperator;
import plainlantern.sheet.Paper;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.Treatment;

/** Treatments of a picture wherever a sheet shows it. */
public final class Treatments {
    private Treatments() {}

    /** The sheet with the treatment changed of each layer, each vista and the paper that show the picture. */
    public static Sheet changing(Sheet sheet, String picture, UnaryOperator<Treatment> change) {
        Sheet layers = sheet.everywhere(e -> e.holding(h -> h.changingOwn(layer ->
                layer.shows(picture) ? layer.treated(change.apply(layer.treatment())) : layer)));
        Optional<Paper.Pictured> paper = sheet.paper().pictured().filter(p -> p.picture().equals(picture));
        return paper.map(p -> layers.withPaper(p.treated(change.apply(p.treatment())))).orElse(layers)
                .changingVistas(v -> v.picture().equals(picture) ? v.treated(change.apply(v.treatment())) : v);
    }
}
